import { HYSTERESIS_V, restVoltageCurve } from '$lib/core/foundation/chemistry';
import { matchCells } from '$lib/core/match/groups';
import { normalDraw, seededRandom, type Random } from '$lib/core/foundation/statistics';
import type { CellTypeInput } from '$lib/server/records/cell-types/input';
import { matchState } from '$lib/core/match/state';
import { loadBankPicture } from '$lib/server/bank-picture/load';
import { acceptMatch } from '$lib/server/stages/match/accept';
import { batteries, cells } from '$lib/server/records';
import { recordKind } from '$lib/server/records/registry';
import { changeRecord } from '$lib/server/records/write';
import { daysBefore } from './clock';
import { drawCrate, readResistance, readRestVoltage, type HiddenCell } from './hidden-cells';
import { make } from './make';

/** A made-up maker's 280 Ah cell. */
const ORCHARD_280: CellTypeInput = {
	name: 'Orchard 280',
	maker: 'Hedgerow Energy',
	chemistry: 'LFP',
	ratedAh: 280,
	acResistanceMohm: 0.126,
	chargeLimitV: 3.65,
	dischargeLimitV: 2.5,
	chargeColdC: 0,
	chargeHotC: 45,
	dischargeColdC: -20,
	dischargeHotC: 60,
	chargeCRate: 0.5,
	dischargeCRate: 1,
	widthMm: 174,
	thicknessMm: 72,
	heightMm: 205,
	massKg: 5.3,
	terminal: 'M6 thread',
	holeDepthMm: 10,
	torqueNm: 6
};

const YEARS = 6;
const EFC_PER_YEAR = 140;
/** The truth behind the tests: start, calendar and cycle fade. */
const FADE = { q0: 1.015, a: 0.021, b: 5e-5 };
/** Group whose self-discharge is higher, and by how much, Ah a year. */
const LAGGING = { group: 10, ahPerYear: 0.85 };
/** Where its charge ends, fraction, and what a cell adds to its rest voltage while charged, Ω·Ah. */
const END_OF_CHARGE_SOC = 1.003;
const CHARGING_OHM_AH = 0.08;

/** An orchard cabin with six years of checks and capacity tests; one group slowly falls behind. */
export async function loadDamsonRise(random: Random, now: Date): Promise<void> {
	const type = await make('cell-types', ORCHARD_280);
	const start = YEARS * 365.25;
	const { id: bankId } = await make('banks', {
		name: 'Damson Rise',
		bankUse: 'cabin',
		chemistry: 'LFP',
		series: 16,
		parallel: 1,
		batteries: 1,
		cellTypeId: type.id,
		inServiceOn: daysBefore(now, start),
		notes: 'Hill orchard cabin, off the grid. Press, cold store, two winters of snow on the panels.',
		endFraction: 0.8
	});
	const delivery = await make('deliveries', {
		bankId,
		name: 'First crate',
		receivedOn: daysBefore(now, start + 70).slice(0, 10),
		supplier: 'Hedgerow Energy',
		cellCount: 18,
		labelPrefix: 'D',
		batch: 'O-88'
	});
	const crate = drawCrate(random, { ratedAh: 280, count: 18, capacityMean: 1.02, capacitySd: 0.006, soc: 0.41 });
	const rows = await cells.all({ deliveryId: delivery.id });
	for (const [i, cell] of crate.entries())
		await readAndTest(random, rows[i]!.id, cell, daysBefore(now, start + 60 - i));
	const { candidates } = matchState(await loadBankPicture(bankId));
	const match = matchCells({ series: 16, parallel: 1, cells: candidates }, { timeLimitS: 1, clockS: () => 0 });
	await acceptMatch(bankId, {
		groups: match.groups.map((g) => g.cellIds.map(Number)),
		placedAt: daysBefore(now, start + 20)
	});
	await make('limit-plans', { bankId, strategy: 'middle-road' });
	const [battery] = await batteries.all({ bankId });
	await changeRecord(recordKind('batteries'), battery!.id, {
		version: battery!.version,
		bmsA: 150,
		bmsResolutionV: 0.001,
		fuseA: 200,
		cableA: 245,
		standbyA: 0.02
	});
	// Of a stream of its own: what was drawn before stays what it was.
	await builtAndProved(seededRandom(BUILT_SEED), battery!.id, now);
	for (let year = 0; year <= YEARS; year++) await yearlyRound(random, bankId, year, now);
	await make('service-checks', {
		bankId,
		checkedAt: daysBefore(now, 4),
		context: 'rest',
		currentA: 0.3,
		temperatureC: 11,
		groupVoltagesV: Array.from({ length: 16 }, () => Number(normalDraw(random, 3.331, 0.0008).toFixed(3))),
		notes: 'Looked even from the sofa.'
	});
}

/** Joint of a group that has come loose over the years, and what it has too much, Ω. */
const LOOSE_JOINT = { group: 11, ohm: 0.00021 };
/** A group the BMS reads wrong, and by how much, V. */
const MISREAD = { group: 5, volts: 0.011 };
const BUILT_SEED = 1811;
const LOAD_A = -90;
/** Of a sound group with its joint, Ω. */
const GROUP_OHM = 0.00031;

/** Leads and torques of the day it was built; joints and BMS as they were read this autumn. */
async function builtAndProved(random: Random, batteryId: number, now: Date): Promise<void> {
	const builtAt = daysBefore(now, YEARS * 365.25 + 15);
	const volts = (mean: number, sd: number) =>
		Array.from({ length: 16 }, () => Number(normalDraw(random, mean, sd).toFixed(3)));
	const cellsV = volts(3.334, 0.001);
	const staircase = cellsV.reduce((all, v) => [...all, Number((all[all.length - 1]! + v).toFixed(2))], [0]);
	const positiveV = staircase.map((_, lead) => (lead === 0 ? -staircase.at(-1)! : null));
	await make('lead-readings', {
		batteryId,
		readAt: builtAt,
		readingsV: staircase,
		positiveV,
		notes: 'Plug out, twice.'
	});
	for (let position = 0; position <= 16; position++)
		await make('joint-torques', { batteryId, position, torqueNm: 6, tightenedAt: builtAt });
	const restV = volts(3.331, 0.0008);
	const loadV = restV.map((v, g) => {
		const ohm = GROUP_OHM * (1 + normalDraw(random, 0, 0.05)) + (g + 1 === LOOSE_JOINT.group ? LOOSE_JOINT.ohm : 0);
		return Number((v + LOAD_A * ohm).toFixed(3));
	});
	await make('load-readings', { batteryId, readAt: daysBefore(now, 9), restV, loadV, currentA: LOAD_A });
	const bmsV = restV.map((v, g) => Number((v + (g + 1 === MISREAD.group ? MISREAD.volts : 0)).toFixed(3)));
	await make('bms-comparisons', { batteryId, readAt: daysBefore(now, 9), bmsV, meterV: restV });
	await make('charge-counts', { batteryId, countedAt: daysBefore(now, 8), chargedAh: 251.3, dischargedAh: 250.4 });
}

async function readAndTest(random: Random, cellId: number, cell: HiddenCell, at: string): Promise<void> {
	await make('readings', {
		cellId,
		quantity: 'restVoltage',
		rawText: readRestVoltage(random, cell),
		restS: 5 * 86400,
		takenAt: at
	});
	await make('readings', {
		cellId,
		quantity: 'acResistance',
		rawText: readResistance(random, cell),
		takenAt: at
	});
	await make('runs', {
		cellId,
		capacityAh: Number(normalDraw(random, cell.truth.capacityAh, 0.8).toFixed(1)),
		sdAh: 1.8,
		temperatureC: 23,
		testedAt: at,
		tester: 'Borrowed tester'
	});
}

async function yearlyRound(random: Random, bankId: number, year: number, now: Date): Promise<void> {
	const days = Math.max(6, (YEARS - year) * 365.25 - 12);
	const efc = EFC_PER_YEAR * year;
	const fraction = FADE.q0 - FADE.a * Math.sqrt(year) - FADE.b * efc;
	const curve = restVoltageCurve('LFP');
	const currentA = Number(normalDraw(random, 5, 0.6).toFixed(1));
	// Read while it charges: on the upper branch of the hysteresis, and above the resistance.
	const chargingV = HYSTERESIS_V.LFP + (currentA * CHARGING_OHM_AH) / 280;
	const groupVoltagesV = Array.from({ length: 16 }, (_, g) => {
		const behindAh = (g + 1 === LAGGING.group ? LAGGING.ahPerYear * year : 0) + normalDraw(random, 0, 0.08);
		return Number((curve.at(END_OF_CHARGE_SOC - behindAh / 280) + chargingV).toFixed(3));
	});
	await make('service-checks', {
		bankId,
		checkedAt: daysBefore(now, days + 1),
		context: 'full',
		currentA,
		temperatureC: 17,
		groupVoltagesV
	});
	await make('capacity-tests', {
		bankId,
		testedAt: daysBefore(now, days),
		capacityAh: Number(normalDraw(random, 280 * fraction, 2.2).toFixed(1)),
		sdAh: 2.8,
		efc,
		temperatureC: 19,
		notes: year === 0 ? 'First test, shunt against the inverter.' : null
	});
}

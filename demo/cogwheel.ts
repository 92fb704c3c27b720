import { estimateTopCharge } from '$lib/core/foundation/parallel-charge';
import { matchCells } from '$lib/core/match/groups';
import { normalDraw, type Random } from '$lib/core/foundation/statistics';
import type { CellTypeInput } from '$lib/server/records/cell-types/input';
import { balanceFacts } from '$lib/server/stages/balance/face';
import { matchState } from '$lib/core/match/state';
import { loadBankPicture } from '$lib/server/bank-picture/load';
import { acceptMatch } from '$lib/server/stages/match/accept';
import { importRun } from '$lib/server/stages/test/runs';
import { cells } from '$lib/server/records';
import { daysBefore } from './clock';
import { drawCrate, readResistance, readRestVoltage, testerLog } from './hidden-cells';
import { make } from './make';

/** A made-up maker's 105 Ah cell. */
const TINKER_105: CellTypeInput = {
	name: 'Tinker T105',
	maker: 'Tinker & Rowe',
	chemistry: 'LFP',
	ratedAh: 105,
	acResistanceMohm: 0.335,
	chargeLimitV: 3.65,
	dischargeLimitV: 2.5,
	chargeColdC: 0,
	chargeHotC: 45,
	dischargeColdC: -20,
	dischargeHotC: 55,
	chargeCRate: 0.5,
	dischargeCRate: 1,
	widthMm: 130,
	thicknessMm: 36,
	heightMm: 200,
	massKg: 1.98,
	terminal: 'M6 stud',
	holeDepthMm: null,
	torqueNm: 5
};

const TESTER_GAIN = 0.004;
const HOURS_INTO_CHARGE = 11;
const SUPPLY = { supplyA: 30, leadOhm: 0.006 };
const ARRIVAL_SOC = 0.33;

/** A bicycle workshop in a van: tested, matched, and eleven hours into its parallel top balance. */
export async function loadCogwheel(random: Random, now: Date): Promise<void> {
	const type = await make('cell-types', TINKER_105);
	const { id: bankId } = await make('banks', {
		name: 'Cogwheel',
		bankUse: 'van',
		chemistry: 'LFP',
		series: 4,
		parallel: 2,
		batteries: 1,
		cellTypeId: type.id,
		notes: 'Mobile bicycle workshop: compressor, truing-stand lights, coffee.',
		endFraction: 0.8
	});
	const delivery = await make('deliveries', {
		bankId,
		name: 'Two boxes of five',
		receivedOn: daysBefore(now, 34).slice(0, 10),
		supplier: 'Weir Lane Components',
		cellPrice: 41,
		shipping: 22,
		promisedAh: 105,
		promisedClause: 'minimum',
		cellCount: 10,
		labelPrefix: 'C',
		batch: 'T-0519'
	});
	const crate = drawCrate(random, { ratedAh: 105, count: 10, capacityMean: 1.03, capacitySd: 0.006, soc: ARRIVAL_SOC });
	crate[3]!.truth.capacityAh = 100.4;
	crate[7]!.truth.capacityAh = 104.9;
	const rows = await cells.all({ deliveryId: delivery.id });
	for (const [i, cell] of crate.entries()) {
		await make('readings', {
			cellId: rows[i]!.id,
			quantity: 'restVoltage',
			rawText: readRestVoltage(random, cell),
			restS: 2 * 86400,
			takenAt: daysBefore(now, 33)
		});
		await make('readings', {
			cellId: rows[i]!.id,
			quantity: 'acResistance',
			rawText: readResistance(random, cell),
			takenAt: daysBefore(now, 33)
		});
		await importRun(rows[i]!.id, new TextEncoder().encode(testerLog(random, cell, 105, TESTER_GAIN)), {
			fileName: `${rows[i]!.label}.csv`,
			temperatureC: 22,
			testedAt: daysBefore(now, 30 - 2 * i),
			tester: 'Bench tester',
			bridgeGaps: false
		});
	}
	// Charged again to the middle after their tests, and read once more before they are joined.
	for (const [i, cell] of crate.entries())
		await make('readings', {
			cellId: rows[i]!.id,
			quantity: 'restVoltage',
			rawText: readRestVoltage(random, cell),
			restS: 2 * 86400,
			takenAt: daysBefore(now, 4)
		});
	const { candidates } = matchState(await loadBankPicture(bankId));
	const match = matchCells({ series: 4, parallel: 2, cells: candidates }, { timeLimitS: 1, clockS: () => 0 });
	await acceptMatch(bankId, { groups: match.groups.map((g) => g.cellIds.map(Number)), placedAt: daysBefore(now, 2) });
	await loadBalance(random, bankId, now);
}

/** The log of the running charge, from the same estimate a person is shown, with the readings' own scatter. */
async function loadBalance(random: Random, bankId: number, now: Date): Promise<void> {
	const checklist = { joined: true, 'set-loose': true, 'set-checked': true, covered: true, attended: true };
	const run = await make('balance-runs', {
		bankId,
		...SUPPLY,
		startedAt: daysBefore(now, HOURS_INTO_CHARGE / 24),
		checklist
	});
	const { plan, cells: balancing } = await balanceFacts(await loadBankPicture(bankId));
	const totalAh = balancing.reduce((sum, c) => sum + c.capacityAh, 0);
	const charge = {
		chemistry: 'LFP' as const,
		totalAh,
		cells: balancing.length,
		setV: plan!.setV,
		tailA: plan!.tailA,
		...SUPPLY
	};
	for (const hours of [0.2, 2, 4.5, 7, 9, 10.7]) {
		const supplyA = Math.min(
			SUPPLY.supplyA,
			estimateTopCharge(charge, ARRIVAL_SOC + (hours * SUPPLY.supplyA) / totalAh).startA
		);
		const cellV = 3.325 + hours * 0.0022;
		await make('balance-readings', {
			balanceRunId: run.id,
			readAt: daysBefore(now, (HOURS_INTO_CHARGE - hours) / 24),
			supplyV: Number((cellV + supplyA * SUPPLY.leadOhm).toFixed(2)),
			supplyA: Number(normalDraw(random, supplyA, 0.02).toFixed(1)),
			cellV: Number(normalDraw(random, cellV, 0.001).toFixed(3)),
			deliveredAh: Number((hours * supplyA).toFixed(1))
		});
	}
}

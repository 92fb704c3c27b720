import type { Random } from '$lib/core/foundation/statistics';
import type { BankInput } from '$lib/server/records/banks/input';
import type { CellTypeInput } from '$lib/server/records/cell-types/input';
import { cells } from '$lib/server/records';
import { daysBefore } from './clock';
import { drawCrate, readResistance, readRestVoltage } from './hidden-cells';
import { lookAtCrate } from './crate-looked-at';
import { make } from './make';

/** A made-up maker's 230 Ah cell. */
export const MARSH_230: CellTypeInput = {
	name: 'Marshlight M230',
	maker: 'Marshlight Cells',
	chemistry: 'LFP',
	ratedAh: 230,
	acResistanceMohm: 0.155,
	chargeLimitV: 3.65,
	dischargeLimitV: 2.5,
	chargeColdC: 0,
	chargeHotC: 45,
	dischargeColdC: -20,
	dischargeHotC: 55,
	chargeCRate: 0.5,
	dischargeCRate: 1,
	widthMm: 174,
	thicknessMm: 54,
	heightMm: 207,
	massKg: 4.1,
	terminal: 'M6 thread',
	holeDepthMm: 9,
	torqueNm: 6
};

const READ_SO_FAR = 16;

/** A bird hide on a raft: the crate has just been opened, sixteen of twenty cells are read. */
export async function loadHeronry(random: Random, now: Date): Promise<void> {
	const type = await make('cell-types', MARSH_230);
	const bank: BankInput = {
		name: 'Heronry',
		bankUse: 'boat',
		chemistry: 'LFP',
		series: 8,
		parallel: 2,
		batteries: 1,
		cellTypeId: type.id,
		notes: 'Tidal bird hide on a raft. Lamps, a camera mast and a kettle nobody admits to.',
		endFraction: 0.8
	};
	const { id: bankId } = await make('banks', bank);
	const delivery = await make('deliveries', {
		bankId,
		name: 'Crate from the quay',
		receivedOn: daysBefore(now, 3).slice(0, 10),
		supplier: 'Saltpan Battery Stores',
		orderedOn: daysBefore(now, 41).slice(0, 10),
		promisedOn: daysBefore(now, 9).slice(0, 10),
		cellPrice: 74.5,
		shipping: 96,
		promisedGrade: 'A',
		promisedAh: 230,
		promisedClause: 'minimum',
		promisedTerminals: 'thread',
		gradeCapacityAh: 230,
		gradeResistanceMohm: 0.2,
		promisedResistanceMohm: 0.17,
		promisedProducedOn: '2025-10-01',
		cellCount: 20,
		labelPrefix: 'H',
		batch: 'M-2614'
	});
	const crate = drawCrate(random, { ratedAh: 230, count: 20, capacityMean: 1.01, capacitySd: 0.012, soc: 0.47 });
	crate[12] = { ...crate[12]!, soc: 0.215 };
	crate[6]!.truth.resistanceFactor = 1.24;
	crate[10] = { ...crate[10]!, soc: -0.0042 };
	const rows = await cells.all({ deliveryId: delivery.id });
	const readAt = daysBefore(now, 0.1);
	for (const [i, cell] of crate.slice(0, READ_SO_FAR).entries()) {
		await make('readings', {
			cellId: rows[i]!.id,
			quantity: 'restVoltage',
			rawText: readRestVoltage(random, cell),
			restS: 3 * 86400,
			takenAt: readAt
		});
		await make('readings', {
			cellId: rows[i]!.id,
			quantity: 'acResistance',
			rawText: readResistance(random, cell),
			takenAt: readAt
		});
	}
	await lookAtCrate(rows, READ_SO_FAR, readAt);
	// One of them is on a lamp since this morning, followed by what its display shows.
	await make('noted-runs', {
		cellId: rows[0]!.id,
		startedAt: daysBefore(now, 0.35),
		currentA: 23,
		cutoffV: 2.5,
		notes: [
			{ timeS: 1800, ah: 11.5, voltageV: 3.32 },
			{ timeS: 9000, ah: 57.4, voltageV: 3.314 },
			{ timeS: 19_800, ah: 126.3, voltageV: 3.276 }
		]
	});
	await make('notes', {
		cellId: rows[12]!.id,
		text: 'Sleeve scuffed at one corner, can looks sound underneath.',
		writtenAt: readAt
	});
}

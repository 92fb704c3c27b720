import type { Knex } from 'knex';
import { afterAll, beforeAll, beforeEach, describe, expect, it } from 'vitest';
import { loadBankPicture } from '$lib/server/bank-picture/load';
import { batteries, cells, groups, type BalanceRun, type Bank, type Cell } from '$lib/server/records';
import { bankVerdicts } from '$lib/server/judgements/store';
import { balanceFacts } from '$lib/server/stages/balance/face';
import { freshDatabase } from '../support/database';
import { change, make, matchOf } from '../support/records';

let pool: Knex;
beforeAll(async () => {
	pool = await freshDatabase('arrival');
});
afterAll(() => pool.destroy());

const PLACED = '2026-11-04T08:00:00.000Z';
const [ARRIVED, TOUCHED, LATER] = ['2026-11-02T08:00:00.000Z', '2026-11-05T08:00:00.000Z', '2026-11-09T08:00:00.000Z'];
let bank: Bank;
let row: Cell[];
beforeEach(async () => {
	bank = await make<Bank>('banks', { name: 'Sedge', bankUse: 'van', chemistry: 'LFP', series: 4, parallel: 1 });
	const delivery = await make<{ id: number }>('deliveries', {
		bankId: bank.id,
		name: 'Box',
		receivedOn: '2026-11-01',
		cellCount: 4
	});
	row = await cells.all({ deliveryId: delivery.id });
});
const read = (cell: Cell, takenAt: string, rawText: string, state = 'loose') =>
	make('readings', { cellId: cell.id, quantity: 'restVoltage', rawText, takenAt, state });
const placed = async (placedAt: string, own = row.slice(0, 1)) => {
	const [battery] = await batteries.all({ bankId: bank.id });
	const places = await groups.all({ batteryId: battery!.id });
	for (const [i, cell] of own.entries())
		await make('placements', { cellId: cell.id, groupId: places[i]!.id, placedAt });
};
const cameAs = async (cell = row[0]!) => {
	const { touches, arrivalRead } = (await loadBankPicture(bank.id)).cells.find((c) => c.id === cell.id)!;
	return [touches[0]?.from ?? null, arrivalRead?.value ?? null];
};
const run = (cell: Cell, capacityAh = 100) => make('runs', { cellId: cell.id, capacityAh, testedAt: TOUCHED });

describe('how a cell came', () => {
	it('is the last it read by itself before anything was done to it, however often it is read afterwards', async () => {
		await read(row[0]!, ARRIVED, '3.31');
		await read(row[0]!, '2026-11-03T08:00:00Z', '3.301');
		await read(row[0]!, '2026-11-04T08:00:00Z', '3.2', 'joined');
		await read(row[0]!, LATER, '3.4');
		expect(await cameAs(), 'untouched: the latest').toEqual([null, 3.4]);
		await run(row[0]!);
		expect(await cameAs()).toEqual([TOUCHED, 3.301]);
	});
	it('is unknown where it was read only afterwards', async () => {
		await read(row[0]!, LATER, '3.4');
		await run(row[0]!);
		expect(await cameAs()).toEqual([TOUCHED, null]);
	});

	const touches: [string, () => Promise<unknown>][] = [
		['a run', () => run(row[0]!)],
		[
			'a run by notes',
			() => make('noted-runs', { cellId: row[0]!.id, startedAt: TOUCHED, currentA: 20, cutoffV: 2.5, notes: [] })
		],
		[
			'a test of what it loses',
			() => make('storage-tests', { cellId: row[0]!.id, chargedAt: TOUCHED, dueOn: '2026-12-05T00:00:00Z' })
		],
		[
			'a charge side by side',
			() =>
				make('balance-runs', {
					bankId: bank.id,
					supplyA: 10,
					leadOhm: 0.01,
					startedAt: TOUCHED,
					cellIds: row.map((c) => c.id)
				})
		],
		[
			'a step of a method',
			async () => {
				const cellIds = row.map((c) => c.id);
				const { id } = await make<{ id: number }>('method-runs', { bankId: bank.id, method: 'bottom', cellIds });
				await make('method-entries', {
					methodRunId: id,
					cellId: row[0]!.id,
					step: 'stage-1',
					doneAt: TOUCHED,
					voltageV: 2.7,
					currentA: 40
				});
			}
		],
		[
			'a step of the string it sits in',
			async () => {
				await placed(PLACED, row);
				const { id } = await make<{ id: number }>('method-runs', {
					bankId: bank.id,
					method: 'balancer',
					setup: { balancerA: 2 }
				});
				await make('method-entries', {
					methodRunId: id,
					step: 'read',
					doneAt: TOUCHED,
					volts: [3.45, 3.46, 3.45, 3.47],
					currentA: 10
				});
			}
		],
		[
			'its bank was put to work',
			async () => {
				await placed(PLACED);
				await change('banks', bank.id, { version: bank.version, inServiceOn: TOUCHED });
			}
		],
		[
			'its battery was checked as a whole',
			async () => {
				await placed(PLACED);
				await make('service-checks', {
					bankId: bank.id,
					checkedAt: TOUCHED,
					context: 'rest',
					currentA: 0,
					groupVoltagesV: [3.3, 3.3, 3.3, 3.3]
				});
			}
		],
		[
			'its battery was tested as a whole',
			async () => {
				await placed(PLACED);
				await make('capacity-tests', { bankId: bank.id, testedAt: TOUCHED, capacityAh: 100, sdAh: 1 });
			}
		],
		[
			'it came into a bank at work',
			async () => {
				await change('banks', bank.id, { version: bank.version, inServiceOn: '2024-05-01T00:00:00Z' });
				await placed(TOUCHED);
			}
		]
	];
	it.each(touches)('is what it read before %s', async (_, touch) => {
		await read(row[0]!, ARRIVED, '3.301');
		await touch();
		await read(row[0]!, LATER, '3.4');
		expect(await cameAs()).toEqual([TOUCHED, 3.301]);
	});

	it('leaves the forecast of unbalanced cells what they came with', async () => {
		for (const cell of row) {
			await read(cell, ARRIVED, '3.301');
			await run(cell);
			await read(cell, LATER, '3.42');
		}
		const { candidates } = await matchOf(bank.id);
		expect(candidates.map((c) => c.rest?.voltageV)).toEqual([3.301, 3.301, 3.301, 3.301]);
	});
});

describe('what a row holds as it begins', () => {
	const bounds = async (nowIso: string, chosen: number[] | null = null) => {
		const { cells: own } = await balanceFacts(await loadBankPicture(bank.id), chosen, nowIso);
		const { restVoltageV, socLow, socHigh } = own.find((c) => c.id === row[0]!.id)!;
		return { restVoltageV, socLow, socHigh };
	};
	const UNKNOWN = { restVoltageV: null, socLow: 0, socHigh: 1 };
	const charge = (more: object = {}) =>
		make<BalanceRun>('balance-runs', {
			bankId: bank.id,
			supplyA: 10,
			leadOhm: 0.01,
			startedAt: TOUCHED,
			cellIds: row.map((c) => c.id),
			...more
		});

	it('is what its cells read last, less what they may have lost since', async () => {
		await read(row[0]!, ARRIVED, '3.315');
		const soon = await bounds('2026-11-02T09:00:00Z');
		const late = await bounds('2027-03-02T09:00:00Z');
		expect(soon).toMatchObject({ restVoltageV: 3.315 });
		expect(soon.socLow).toBeGreaterThan(0.3);
		// Four months at 3 % each.
		expect(soon.socLow - late.socLow).toBeCloseTo(0.118, 2);
		expect(late.socHigh).toBe(soon.socHigh);
	});
	it('stays so when they are read again afterwards, and is unknown to the next row', async () => {
		await read(row[0]!, ARRIVED, '3.315');
		const run = await charge();
		const began = await bounds(LATER);
		expect(began.restVoltageV).toBe(3.315);
		await change('balance-runs', run.id, { version: run.version, endedAt: '2026-11-07T08:00:00Z' });
		const again = row.map((c) => c.id);
		expect(await bounds(LATER, again), 'charged since').toEqual(UNKNOWN);
		await read(row[0]!, LATER, '3.44');
		expect(await bounds(LATER)).toEqual(began);
		expect(await bounds(LATER, again)).toMatchObject({ restVoltageV: 3.44, socHigh: 1 });
	});
	it('is unknown to a row that was tested after it was read, whatever is read later', async () => {
		await read(row[0]!, ARRIVED, '3.315');
		await run(row[0]!);
		await charge({ startedAt: '2026-11-06T08:00:00Z' });
		await read(row[0]!, LATER, '3.44');
		expect(await bounds(LATER)).toEqual(UNKNOWN);
	});
	it('is unknown in a bank at work, but for a week after a cell was read by itself', async () => {
		await read(row[0]!, ARRIVED, '3.315');
		await placed(PLACED);
		await change('banks', bank.id, { version: bank.version, inServiceOn: TOUCHED });
		expect(await bounds(LATER)).toEqual(UNKNOWN);
		await read(row[0]!, LATER, '3.301');
		expect(await bounds('2026-11-12T08:00:00Z')).toMatchObject({ restVoltageV: 3.301 });
		expect(await bounds('2027-11-12T08:00:00Z')).toEqual(UNKNOWN);
	});
	it('settles only where nothing has touched it since its charge', async () => {
		const { id } = await charge({ endedAt: '2026-11-07T08:00:00Z' });
		for (const readAt of ['2026-11-07T07:00:00Z', '2026-11-07T07:40:00Z'])
			await make('balance-readings', { balanceRunId: id, readAt, supplyV: 3.6, supplyA: 0.5, cellV: 3.6 });
		for (const cell of row) await read(cell, '2026-11-08T08:00:00Z', cell === row[0] ? '3.30' : '3.44');
		const low = async () => (await bankVerdicts(bank.id, 'balance')).filter((v) => v.code === 'settle-low');
		expect(await low()).toMatchObject([{ subject: { id: row[0]!.id } }]);
		// It was half emptied before it was read.
		await make('runs', { cellId: row[0]!.id, capacityAh: 100, testedAt: '2026-11-07T20:00:00Z' });
		expect(await low()).toEqual([]);
	});
});

describe('a cell that something stops', () => {
	const leaking = () => make<{ id: number; version: number }>('inspections', { cellId: row[1]!.id, leak: 'bad' });
	const rowOf = async (chosen: number[] | null = null) => {
		const state = await balanceFacts(await loadBankPicture(bank.id), chosen);
		return { row: state.cells.map((c) => c.id), stopped: state.stopped.map((c) => c.id) };
	};
	const others = () => row.filter((_, i) => i !== 1).map((c) => c.id);

	it('stands in no row unless somebody puts it there, and that is said', async () => {
		await leaking();
		expect(await rowOf()).toEqual({ row: others(), stopped: [] });
		const all = row.map((c) => c.id);
		expect(await rowOf(all)).toEqual({ row: all, stopped: [row[1]!.id] });
	});
	it('stops a charge it stands in, until it is out of it or was seen wrongly', async () => {
		await make('balance-runs', {
			bankId: bank.id,
			supplyA: 10,
			leadOhm: 0.01,
			startedAt: TOUCHED,
			cellIds: row.map((c) => c.id)
		});
		const stops = async () => (await bankVerdicts(bank.id, 'balance')).filter((v) => v.code === 'row-stopped');
		expect(await stops()).toEqual([]);
		const seen = await leaking();
		expect(await stops()).toMatchObject([{ warmth: 'stop', members: [{ id: row[1]!.id }] }]);
		// No record mends a leak; an answer that was wrong is corrected.
		const noted = await change<typeof seen>('inspections', seen.id, { version: seen.version, resolved: 'wiped' });
		expect(await stops()).toHaveLength(1);
		await change('inspections', seen.id, { version: noted.version, leak: 'good' });
		expect(await stops()).toEqual([]);
	});
});

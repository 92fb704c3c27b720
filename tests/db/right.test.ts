import type { Knex } from 'knex';
import { afterAll, beforeAll, describe, expect, it } from 'vitest';
import { bankVerdicts } from '$lib/server/judgements/store';
import {
	balanceRuns,
	batteries,
	cells,
	placements,
	type Bank,
	type BalanceRun,
	type Battery,
	type Cell
} from '$lib/server/records';
import { exchangeCell } from '$lib/server/stages/serve/exchange-cell';
import { acceptMatch } from '$lib/server/stages/match/accept';
import { changeIn, createIn, restoreIn } from '$lib/server/collections/collections';
import { freshDatabase } from '../support/database';
import { change, make, matchOf, remove } from '../support/records';

let pool: Knex;
beforeAll(async () => {
	pool = await freshDatabase('right');
});
afterAll(() => pool.destroy());

/** A bank of 2S1P with cells as they came out of the crate. */
async function bankOf(name: string, count: number): Promise<{ bank: Bank; tray: Cell[] }> {
	const type = await make<{ id: number }>('cell-types', { name, chemistry: 'LFP', ratedAh: 100, chargeLimitV: 3.65 });
	const bank = await make<Bank>('banks', {
		name,
		bankUse: 'van',
		chemistry: 'LFP',
		series: 2,
		parallel: 1,
		cellTypeId: type.id
	});
	const delivery = await make<{ id: number }>('deliveries', {
		bankId: bank.id,
		name: 'Box',
		receivedOn: '2026-01-01',
		cellCount: count
	});
	return { bank, tray: await cells.all({ deliveryId: delivery.id }) };
}
const read = (cell: Cell, rawText: string, quantity = 'restVoltage', more: object = {}) =>
	make('readings', { cellId: cell.id, quantity, rawText, ...more });
const now = () => new Date().toISOString();

describe('a row is not started around its checks', () => {
	const start = ({ bank, tray }: { bank: Bank; tray: Cell[] }) =>
		createIn('balance-runs', {
			bankId: bank.id,
			supplyA: 20,
			leadOhm: 0.01,
			startedAt: now(),
			cellIds: tray.map((c) => c.id)
		});
	it('unread: the server names who is missing', async () => {
		const own = await bankOf('Unread', 2);
		await read(own.tray[0]!, '3.295');
		await expect(start(own)).rejects.toMatchObject({
			faults: [{ path: 'cellIds', message: expect.stringContaining('1 of 2 have no rest voltage') }]
		});
		await read(own.tray[1]!, '3.296');
		expect((await start(own)).isNew).toBe(true);
	});
	it('reversed: refused until its plus is recorded on the other side', async () => {
		const own = await bankOf('Reversed', 2);
		await read(own.tray[0]!, '3.295');
		await read(own.tray[1]!, '-3.296');
		await expect(start(own)).rejects.toThrow(/joined by the print this is a short circuit/);
		expect((await bankVerdicts(own.bank.id, 'receive')).find((v) => v.code === 'polarity')).toMatchObject({
			warmth: 'stop'
		});
		await change('cells', own.tray[1]!.id, { version: own.tray[1]!.version, plusTurned: true });
		expect((await start(own)).isNew).toBe(true);
	});
	it('too far apart, below freezing, or with a cell that something stops', async () => {
		const own = await bankOf('Apart', 2);
		await read(own.tray[0]!, '3.33');
		await read(own.tray[1]!, '2.90');
		await expect(start(own)).rejects.toThrow(/must not join the others yet/);
		await read(own.tray[1]!, '3.33');
		await read(own.tray[0]!, '-6', 'temperature');
		await expect(start(own)).rejects.toThrow(/too cold to be charged.*−6 °C/);
		await read(own.tray[0]!, '18', 'temperature');
		await make('inspections', { cellId: own.tray[0]!.id, smell: 'bad' });
		await expect(start(own)).rejects.toThrow(/must not be charged: .*it smells/);
	});
	it('in two charges at once, by a change of its record, or brought back', async () => {
		const own = await bankOf('Twice', 2);
		for (const cell of own.tray) await read(cell, '3.295');
		const running = (await start(own)).record as BalanceRun;
		await expect(start(own)).rejects.toThrow(/being charged or tested already \(a balance of Twice\)/);
		const planned = (await createIn('balance-runs', { bankId: own.bank.id, supplyA: 20, leadOhm: 0.01 })).record;
		const body = { version: planned.version, startedAt: now() };
		await expect(changeIn('balance-runs', planned.id, body)).rejects.toThrow(/No cell is in this row/);
		const gone = await balanceRuns.get(running.id);
		await remove('balance-runs', gone.id, gone.version);
		const again = (await start(own)).record;
		await expect(restoreIn('balance-runs', gone.id)).rejects.toThrow(/already/);
		expect(again.id).not.toBe(gone.id);
	});
	it('what is entered afterwards, begun and ended, is only written down', async () => {
		const own = await bankOf('Past', 2);
		const past = { startedAt: '2026-01-02T08:00:00Z', endedAt: '2026-01-03T08:00:00Z' };
		expect((await createIn('balance-runs', { bankId: own.bank.id, supplyA: 20, leadOhm: 0.01, ...past })).isNew).toBe(
			true
		);
	});
	it('a reversed cell stays a stop in a row that runs', async () => {
		const own = await bankOf('Running', 2);
		await read(own.tray[0]!, '3.295');
		await read(own.tray[1]!, '-3.296');
		// As a release before wrote it.
		await make('balance-runs', {
			bankId: own.bank.id,
			supplyA: 20,
			leadOhm: 0.01,
			startedAt: now(),
			cellIds: own.tray.map((c) => c.id)
		});
		expect(await bankVerdicts(own.bank.id, 'balance')).toEqual(
			expect.arrayContaining([expect.objectContaining({ code: 'join-polarity', warmth: 'stop' })])
		);
	});
});

describe('one cell is exchanged', () => {
	const PROVED = '2026-02-01T10:00:00Z';
	/** Built, read and proved in all that Build asks. */
	async function built(name: string) {
		const own = await bankOf(name, 4);
		for (const [i, cell] of own.tray.entries()) {
			await read(cell, '3.295');
			await make('runs', { cellId: cell.id, capacityAh: 101 + i, temperatureC: 25, testedAt: '2026-01-05' });
		}
		const [a, b] = own.tray as [Cell, Cell];
		await acceptMatch(own.bank.id, { groups: [[a.id], [b.id]], placedAt: '2026-01-20T10:00:00Z' });
		const [battery] = (await batteries.all({ bankId: own.bank.id })) as [Battery];
		await make('lead-readings', {
			batteryId: battery.id,
			readAt: PROVED,
			readingsV: [0, 3.295, 6.59],
			positiveV: [-6.59, null, null]
		});
		for (const position of [0, 1, 2])
			await make('joint-torques', { batteryId: battery.id, position, torqueNm: 5, tightenedAt: PROVED });
		return { ...own, battery };
	}
	const codes = async (bankId: number) => (await bankVerdicts(bankId, 'build')).map((v) => v.code);

	it('in its one place: the others keep theirs and their day, and its leads and joints are open again and say why', async () => {
		const { bank, tray } = await built('Exchange');
		expect(await codes(bank.id)).toEqual(['leads-right', 'torques-kept']);
		const [a, b, c] = tray as [Cell, Cell, Cell];
		const before = await placements.all({ bankId: bank.id, removedAt: null });
		await exchangeCell(bank.id, { outCellId: b.id, intoCellId: c.id, at: '2026-03-01T10:00:00Z' });
		const after = await placements.all({ bankId: bank.id, removedAt: null });
		expect(after.map((p) => [p.cellId, p.position])).toEqual([
			[a.id, 1],
			[c.id, 2]
		]);
		expect(after[0]).toEqual(before[0]);
		const verdicts = await bankVerdicts(bank.id, 'build');
		expect(verdicts.map((v) => v.code)).toEqual(['evidence-lapsed', 'torques-open']);
		expect(verdicts[0]).toMatchObject({
			warmth: 'open',
			finding: expect.stringContaining(`${b.label} in group 2 was exchanged for ${c.label}`),
			facts: { evidence: ['leads', 'torques'], cause: 'cell-exchanged', on: '2026-03-01' }
		});
		// Joint 0, at the battery negative, was not touched.
		expect(verdicts[1]!.facts).toMatchObject({ joints: [1, 2] });
	});
	it('of two cells side by side names the one that came, not the one that stayed', async () => {
		const { bank, tray } = await bankOf('Pair', 3);
		const { version } = await make0(bank);
		await change('banks', bank.id, { version, series: 1, parallel: 2 });
		const [a, b, c] = tray as [Cell, Cell, Cell];
		for (const cell of tray) {
			await read(cell, '3.295');
			await make('runs', { cellId: cell.id, capacityAh: 101, temperatureC: 25, testedAt: '2026-01-05' });
		}
		await acceptMatch(bank.id, { groups: [[b.id, c.id]], placedAt: '2026-01-20T10:00:00Z' });
		const [battery] = (await batteries.all({ bankId: bank.id })) as [Battery];
		await make('lead-readings', {
			batteryId: battery.id,
			readAt: PROVED,
			readingsV: [0, 3.295],
			positiveV: [-3.295, null]
		});
		await exchangeCell(bank.id, { outCellId: b.id, intoCellId: a.id, at: '2026-03-01T10:00:00Z' });
		const lapsed = (await bankVerdicts(bank.id, 'build')).find((v) => v.code === 'evidence-lapsed')!;
		expect(lapsed.finding).toContain(`${b.label} in group 1 was exchanged for ${a.label}`);
	});
	it('a lead that was moved, recorded, opens the leads alone', async () => {
		const { bank, battery } = await built('Lead');
		await make('battery-works', { batteryId: battery.id, doneAt: '2026-02-02', what: 'lead-moved', positions: [1] });
		expect(await bankVerdicts(bank.id, 'build')).toMatchObject([
			{ code: 'evidence-lapsed', facts: { evidence: ['leads'], cause: 'lead-moved' } },
			{ code: 'torques-kept' }
		]);
		await make('lead-readings', {
			batteryId: battery.id,
			readAt: '2026-02-03',
			readingsV: [0, 3.295, 6.59],
			positiveV: [-6.59, null, null]
		});
		expect(await codes(bank.id)).toEqual(['leads-right', 'torques-kept']);
		await expect(
			make('battery-works', { batteryId: battery.id, doneAt: '2026-02-02', what: 'joint-opened', positions: [7] })
		).rejects.toThrow(/0 to 2/);
	});
	it('laid anew by Match, a cell that stays was not touched', async () => {
		const { bank, tray } = await built('Anew');
		const [a, b, , d] = tray as [Cell, Cell, Cell, Cell];
		const [first] = await placements.all({ bankId: bank.id, removedAt: null });
		await acceptMatch(bank.id, { groups: [[a.id], [d.id]] });
		const open = await placements.all({ bankId: bank.id, removedAt: null });
		expect(open.find((p) => p.cellId === a.id)).toEqual(first);
		expect(open.map((p) => p.cellId)).not.toContain(b.id);
	});
	it('refuses a cell that is not there, one that sits elsewhere, and one that should not be built', async () => {
		const { bank, tray } = await built('Refused');
		const other = await built('Other');
		const [a, , c] = tray as [Cell, Cell, Cell];
		await expect(exchangeCell(bank.id, { outCellId: c.id, intoCellId: a.id })).rejects.toThrow(/sits in no group/);
		await expect(exchangeCell(bank.id, { outCellId: a.id, intoCellId: a.id })).rejects.toThrow(/another cell/);
		await expect(exchangeCell(bank.id, { outCellId: a.id, intoCellId: other.tray[0]!.id })).rejects.toMatchObject({
			status: 409
		});
		await make('inspections', { cellId: c.id, leak: 'bad' });
		await expect(exchangeCell(bank.id, { outCellId: a.id, intoCellId: c.id })).rejects.toMatchObject({
			code: 'should-not-be-built'
		});
		expect((await placements.all({ bankId: bank.id, removedAt: null })).map((p) => p.cellId)).toContain(a.id);
	});
	it('matching goes by the newest capacity there is: the battery’s own test brings its cells to it', async () => {
		const { bank, tray } = await built('Newest');
		await change('banks', bank.id, { version: (await make0(bank)).version, inServiceOn: '2026-02-10' });
		await make('capacity-tests', { bankId: bank.id, testedAt: '2026-11-20', capacityAh: 92, sdAh: 0.5 });
		const { candidates } = await matchOf(bank.id);
		const of = (cell: Cell) => candidates.find((c) => c.id === cell.id)!.capacityAh;
		expect(of(tray[0]!)).toBeCloseTo(92, 0);
		expect(of(tray[1]!)).toBeCloseTo((92 * 102) / 101, 0);
		// A spare that was never built in keeps what it was tested at.
		expect(of(tray[2]!)).toBeGreaterThan(102);
	});
	const make0 = async ({ id }: Bank): Promise<Bank> => (await import('$lib/server/records')).banks.get(id);
});

describe('what cannot have been read is asked about, not stored', () => {
	async function charging(name: string) {
		const own = await bankOf(name, 2);
		for (const cell of own.tray) await read(cell, '3.295');
		const run = await make<BalanceRun>('balance-runs', {
			bankId: own.bank.id,
			supplyA: 20,
			leadOhm: 0.01,
			startedAt: now(),
			cellIds: own.tray.map((c) => c.id)
		});
		const line = (more: object) =>
			createIn('balance-readings', {
				balanceRunId: run.id,
				readAt: now(),
				supplyV: 3.6,
				supplyA: 20,
				cellV: 3.4,
				...more
			});
		return { ...own, run, line };
	}
	it('a line of a charge in the future, and one of a row in series', async () => {
		const { line } = await charging('Lines');
		const inADay = new Date(Date.now() + 86_400_000).toISOString();
		await expect(line({ readAt: inADay })).rejects.toMatchObject({ faults: [{ path: 'readAt' }] });
		await expect(line({ supplyV: 14.6 })).rejects.toMatchObject({
			faults: [{ path: 'supplyV', message: expect.stringContaining('5 cells in series') }]
		});
		const kept = (await line({})).record;
		await expect(
			changeIn('balance-readings', kept.id, { version: kept.version, readAt: inADay })
		).rejects.toMatchObject({ faults: [{ path: 'readAt' }] });
	});
	it('a supply at the cells’ limit wants a reason; above it no reason is one', async () => {
		const { bank } = await bankOf('Set', 2);
		const planned = (setV: number, setVReason?: string) =>
			createIn('balance-runs', { bankId: bank.id, supplyA: 20, leadOhm: 0.01, setV, setVReason });
		await expect(planned(3.65)).rejects.toMatchObject({ faults: [{ path: 'setV' }] });
		expect((await planned(3.65, 'The maker’s sheet says 3.65 V, the supply is checked')).record).toMatchObject({
			setV: 3.65,
			setVReason: 'The maker’s sheet says 3.65 V, the supply is checked'
		});
		await expect(planned(3.7, 'I want it full')).rejects.toMatchObject({
			faults: [{ path: 'setV', message: expect.stringContaining('no supply is set above it') }]
		});
	});
});

describe('the report claims at once what is sure without a test', () => {
	it('a dented cell, while nothing is tested', async () => {
		const { tray } = await bankOf('Dented', 3);
		const { deliveryReport } = await import('$lib/server/stages/receive/delivery-report');
		const of = () => deliveryReport(tray[0]!.deliveryId);
		expect(await of()).toMatchObject({ toReturn: 0, untested: 3 });
		await make('inspections', { cellId: tray[1]!.id, dent: 'bad' });
		const report = await of();
		expect(report.cells.map((c) => c.claimed?.why ?? null)).toEqual([null, 'damaged', null]);
		expect(report).toMatchObject({ toReturn: 1, untested: 2 });
	});
});

import type { Knex } from 'knex';
import { afterAll, beforeAll, describe, expect, it } from 'vitest';
import { balanceCells, cells, type Bank, type BalanceRun, type Cell } from '$lib/server/records';
import { loadBankPicture } from '$lib/server/bank-picture/load';
import { bankVerdicts } from '$lib/server/judgements/store';
import { acceptMatch } from '$lib/server/stages/match/accept';
import { importRun } from '$lib/server/stages/test/runs';
import { freshDatabase } from '../support/database';
import { balanceOf, bytesOf, capacitiesOf, change, make, matchOf, remove } from '../support/records';

let pool: Knex;
beforeAll(async () => {
	pool = await freshDatabase('any_order');
});
afterAll(() => pool.destroy());

/** A bank of 2S1P with three unpacked cells that nobody has tested. */
async function unpacked(name: string): Promise<{ bank: Bank; tray: Cell[] }> {
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
		cellCount: 3
	});
	return { bank, tray: await cells.all({ deliveryId: delivery.id }) };
}
const read = (cell: Cell, rawText: string, more: object = {}) =>
	make('readings', { cellId: cell.id, quantity: 'restVoltage', rawText, ...more });
const at = (hour: number) => `2026-01-06T${String(hour).padStart(2, '0')}:00:00Z`;

describe('a row before anything is tested or matched', () => {
	it('is planned for all cells of the delivery, and asks nothing on Home while it is only looked at', async () => {
		const { bank, tray } = await unpacked('Row');
		const state = await balanceOf(bank.id);
		expect(state.cells.map((c) => c.id)).toEqual(tray.map((c) => c.id));
		expect(state.plan).toMatchObject({ barsNeeded: 4, setV: 3.6 });
		expect(state.join!.verdict.code).toBe('join-unknown');
		expect(await bankVerdicts(bank.id, 'balance')).toEqual([]);
	});
	it('stands as it was chosen, and what is placed without having stood in it is named', async () => {
		const { bank, tray } = await unpacked('Chosen');
		for (const cell of tray) await read(cell, '3.295');
		const [a, b, c] = tray as [Cell, Cell, Cell];
		const run = await make<BalanceRun>('balance-runs', {
			bankId: bank.id,
			supplyA: 20,
			leadOhm: 0.01,
			startedAt: at(8),
			cellIds: [a.id, b.id]
		});
		expect((await balanceOf(bank.id)).cells.map((x) => x.id)).toEqual([a.id, b.id]);
		// Its charge is counted for those two, whatever is placed meanwhile.
		const before = (await balanceOf(bank.id)).plan!.totalAh;
		await acceptMatch(bank.id, { groups: [[a.id], [c.id]] });
		expect((await balanceOf(bank.id)).plan!.totalAh).toBe(before);
		for (const hour of [20, 21])
			await make('balance-readings', { balanceRunId: run.id, readAt: at(hour), supplyV: 3.6, supplyA: 1, cellV: 3.6 });
		await change('balance-runs', run.id, { version: run.version, endedAt: at(22) });
		const [missing, ...others] = await bankVerdicts(bank.id, 'balance');
		expect(missing).toMatchObject({ code: 'balance-misses', warmth: 'look', members: [{ id: c.id }] });
		expect(others).toEqual([]);
	});
	it('keeps its cells while it is charged, and takes none the bank does not have', async () => {
		const { bank, tray } = await unpacked('Kept');
		const { tray: strangers } = await unpacked('Strangers');
		const begin = (cellIds: number[]) =>
			make<BalanceRun>('balance-runs', { bankId: bank.id, supplyA: 20, leadOhm: 0, startedAt: at(8), cellIds });
		await expect(begin([strangers[0]!.id])).rejects.toThrow(/not one of this bank/);
		const run = await begin(tray.map((c) => c.id));
		const [member] = await balanceCells.all({ balanceRunId: run.id });
		await expect(remove('balance-cells', member!.id, member!.version)).rejects.toThrow(/end the balance before/);
	});
	it('is logged with what a cell can show: a slipped point is refused with a question', async () => {
		const { bank, tray } = await unpacked('Slip');
		const run = await make<BalanceRun>('balance-runs', {
			bankId: bank.id,
			supplyA: 20,
			leadOhm: 0,
			startedAt: at(8),
			cellIds: tray.map((c) => c.id)
		});
		const logged = (cellV: number) =>
			make('balance-readings', { balanceRunId: run.id, readAt: at(9), supplyA: 5, cellV });
		await expect(logged(6.48)).rejects.toMatchObject({
			faults: [{ path: 'cellV', message: expect.stringContaining('4.4 V') }]
		});
		await logged(3.48);
	});
	it('is not set so high that meter and supply could carry it past the cells’ limit', async () => {
		const { bank } = await unpacked('High');
		const plan = (setV: number) => make('balance-runs', { bankId: bank.id, supplyA: 20, leadOhm: 0, setV });
		await expect(plan(3.65)).rejects.toMatchObject({
			faults: [{ path: 'setV', message: expect.stringContaining('3.63 V') }]
		});
		await plan(3.62);
	});
});

describe('how and when a cell was read', () => {
	it('a joined reading is never used as one cell’s: it shows a bar that does not carry', async () => {
		const { bank, tray } = await unpacked('Joined');
		for (const cell of tray) await read(cell, '3.295', { takenAt: at(6) });
		const joined = { state: 'joined', takenAt: at(9) };
		await read(tray[0]!, '3.401', joined);
		await read(tray[1]!, '3.400', joined);
		await read(tray[2]!, '3.340', joined);
		const picture = await loadBankPicture(bank.id);
		expect(picture.cells.map((c) => c.readings.restVoltage!.value)).toEqual([3.295, 3.295, 3.295]);
		expect(picture.cells[2]!.joined!.value).toBe(3.34);
		expect(await bankVerdicts(bank.id, 'receive')).not.toContainEqual(
			expect.objectContaining({ code: 'voltage-outlier' })
		);
		expect(await bankVerdicts(bank.id, 'balance')).toMatchObject([
			{ code: 'joined-apart', subject: { kind: 'cell', id: tray[2]!.id } }
		]);
	});
	it('keeps a rough time with its doubt', async () => {
		const { bank, tray } = await unpacked('Rough');
		await read(tray[0]!, '3.3', { takenAt: '2026-01-05T22:00:00Z', takenDoubtS: 3600 });
		expect((await loadBankPicture(bank.id)).cells[0]!.readings.restVoltage).toMatchObject({
			takenAt: '2026-01-05T22:00:00.000Z',
			takenDoubtS: 3600
		});
	});
});

describe('a result by hand', () => {
	it('is corrected like any other: by the amperes, or the watts, and the temperature', async () => {
		const { bank, tray } = await unpacked('Hand');
		const [a, b] = tray as [Cell, Cell];
		const run = { capacityAh: 98, temperatureC: 15, testedAt: at(8) };
		await make('runs', {
			...run,
			cellId: a.id,
			currentA: 50,
			energyWh: 313.6,
			cutoffV: 2.5,
			restS: 3600,
			tester: 'T1'
		});
		await make('runs', { ...run, cellId: b.id, powerW: 160, tester: 'T1', startedFull: true });
		const facts = (await bankVerdicts(bank.id, 'test')).filter((v) => v.subject.kind === 'cell').map((v) => v.facts);
		// 98 / (1 − 0.029) × 2.5^0.01: 15 °C takes 2.9 %, and 0.5 C instead of 0.2 C 0.9 %; 160 W over 3.2 V is 50 A as well.
		for (const own of facts)
			expect((own.capacityAh as { value: number }).value).toBeCloseTo((98 / 0.971) * 2.5 ** 0.01, 1);
	});
	it('that gave none does not lend its date to an older figure', async () => {
		const { bank, tray } = await unpacked('Dates');
		await make('runs', { cellId: tray[0]!.id, capacityAh: 99, temperatureC: 25, testedAt: at(6) });
		await make('runs', { cellId: tray[0]!.id, capacityAh: 40, startedFull: false, testedAt: at(9) });
		const [own] = await capacitiesOf(bank.id);
		expect(own!.capacityAh).toBeCloseTo(99, 6);
		expect(own!.run!.testedAt).toBe('2026-01-06T06:00:00.000Z');
	});
	it('of a cell that was not full, or not run to its end, is a lower bound', async () => {
		const { bank, tray } = await unpacked('Bound');
		await make('runs', { cellId: tray[0]!.id, capacityAh: 61, startedFull: false });
		await make('runs', { cellId: tray[1]!.id, capacityAh: 90, cutoffV: 3.0 });
		expect((await bankVerdicts(bank.id, 'test')).filter((v) => v.code === 'capacity-at-least')).toMatchObject([
			{ facts: { atLeastAh: 61, why: 'not-full' } },
			{ facts: { atLeastAh: 90, why: 'ended-early' } }
		]);
	});
});

describe('a log', () => {
	const options = { fileName: 'a.csv', temperatureC: 25, testedAt: null, tester: null, bridgeGaps: false };
	const rows = Array.from({ length: 40 }, (_, i) => {
		const minutes = String(i % 60).padStart(2, '0');
		return `2026-03-09 08:${minutes}:00,${(3.38 - 0.88 * (i / 39) ** 6).toFixed(4)},-100`;
	});
	const text = ['time,voltage_V,current_A', ...rows].join('\n');
	it('is of the day it tells, and of one cell alone', async () => {
		const { tray } = await unpacked('Log');
		const { run } = await importRun(tray[0]!.id, bytesOf(text), options);
		expect(run).toMatchObject({ testedAt: '2026-03-09T08:39:00.000Z', testedDoubtS: 43_200 });
		await expect(importRun(tray[1]!.id, bytesOf(text), options)).rejects.toMatchObject({
			code: 'same-log',
			message: expect.stringContaining('a run of C-01 already')
		});
	});
});

describe('a cell with too much resistance', () => {
	it('is named when it is built in although a sound one is at hand, and left out of a search while enough others are there', async () => {
		const { bank, tray } = await unpacked('Resistive');
		for (const [i, mohm] of ['0.25', '0.251', '0.385'].entries()) {
			await make('runs', { cellId: tray[i]!.id, capacityAh: 101 + i / 10, temperatureC: 25 });
			await make('readings', { cellId: tray[i]!.id, quantity: 'acResistance', rawText: mohm });
		}
		const [a, b, odd] = tray as [Cell, Cell, Cell];
		expect((await matchOf(bank.id)).candidates.map((c) => c.leftOut)).toEqual([false, false, true]);
		await acceptMatch(bank.id, { groups: [[a.id], [odd.id]] });
		const [resistive, even] = await bankVerdicts(bank.id, 'match');
		expect(resistive).toMatchObject({
			code: 'match-resistive',
			warmth: 'look',
			members: [{ id: odd.id }],
			facts: { spares: ['C-02'] }
		});
		expect(even!.code).toBe('match-even');
		await acceptMatch(bank.id, { groups: [[a.id], [b.id]] });
		expect((await bankVerdicts(bank.id, 'match'))[0]!.code).toBe('match-even');
	});
});

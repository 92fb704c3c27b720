import type { Knex } from 'knex';
import { afterAll, beforeAll, expect, it } from 'vitest';
import { loadDemo } from '$demo/load';
import { balanceRuns, banks, cells, placements, type Cell } from '$lib/server/records';
import { bankOfCell } from '$lib/server/bank-picture/bank-of-cell';
import { cellPassport } from '$lib/server/passport/passport';
import { pickCells, stockPage } from '$lib/server/stock/stock';
import { freshDatabase } from '../support/database';
import { change, make, remove, restore } from '../support/records';

let pool: Knex;
beforeAll(async () => {
	pool = await freshDatabase('stock');
	await loadDemo(new Date('2026-06-01T09:00:00Z'));
});
afterAll(() => pool.destroy());

const idOf = async (name: string) => (await banks.all({ name }))[0]!.id;
const cellOf = async (label: string) => (await cells.all({ label }))[0]!;
const shown = (query = '') => stockPage(new URLSearchParams(query), Infinity);
const find = async (label: string) => (await shown(`q=${label}`)).cells.find((c) => c.label === label)!;

it('shows every cell of one’s own with where it is, by search and place, and no simulated one', async () => {
	await make('deliveries', { name: 'Pair', receivedOn: '2026-05-30', cellCount: 2, labelPrefix: '%_' });
	const all = await shown();
	expect(all).toMatchObject({ found: all.total, page: 1 });
	expect(await shown('place=loose')).toMatchObject({ total: all.total, found: (await shown()).total - 24 });
	expect((await shown('place=placed')).cells.every((c) => c.inBank !== null)).toBe(true);
	// What a search for any text could take for a wildcard is text.
	expect((await shown('q=%25_')).cells.map((c) => c.label)).toEqual(['%_-01', '%_-02']);
	expect((await shown('q=nothing-like-it')).cells).toEqual([]);
	expect((await shown('page=9999&place=odd')).cells).toEqual([]);
	expect(await find('%_-01')).toMatchObject({ inBank: null, consideredFor: [], wasIn: [], warning: null });
	await pool('deliveries').where({ name: 'Pair' }).update({ rehearsal: true });
	expect((await shown()).total).toBe(all.total - 2);
	await pool('deliveries').where({ name: 'Pair' }).update({ rehearsal: false });
});
it('warns of a cell that its bank judges, whoever looks for cells to pick', async () => {
	expect(await find('H-11')).toMatchObject({
		warning: { code: 'deep-discharged', warmth: 'stop' },
		restVoltageV: 2.379
	});
	expect((await find('H-02')).warning).toBeNull();
	// A bank that is out of date does not hold the list up: what it said before is shown, and that it is judged.
	await pool('bank_judgements').update({ edition: 0 });
	const atOnce = await stockPage(new URLSearchParams('q=H-11'), -1);
	expect(atOnce.beingJudged).toBeGreaterThan(0);
	expect(atOnce.cells[0]!.warning).toMatchObject({ code: 'deep-discharged' });
	expect((await shown('q=H-11')).beingJudged).toBe(0);
});
it('lets a bank consider cells, once each; an unknown one is named by its place in the list', async () => {
	const heronry = await idOf('Heronry');
	const { id } = await cellOf('%_-01');
	expect(await pickCells(heronry, { cellIds: [id, id] })).toHaveLength(1);
	expect(await pickCells(heronry, { cellIds: [id] })).toHaveLength(1);
	expect((await find('%_-01')).consideredFor).toEqual([{ id: heronry, name: 'Heronry' }]);
	await expect(pickCells(heronry, { cellIds: [id, 999_999] })).rejects.toMatchObject({
		faults: [{ path: 'cellIds.1' }]
	});
});
it('finds a cell by the bank it is considered for, as its tile says it', async () => {
	const bank = await make<{ id: number }>('banks', {
		name: 'Sallow Hide',
		bankUse: 'boat',
		chemistry: 'LFP',
		series: 4,
		parallel: 1
	});
	const loose = await make<{ id: number }>('deliveries', {
		name: 'Odd box',
		receivedOn: '2026-02-01',
		cellCount: 2,
		labelPrefix: 'ZZ'
	});
	const [one] = await cells.all({ deliveryId: loose.id });
	await pickCells(bank.id, { cellIds: [one!.id] });
	for (const q of ['for Sallow', 'Sallow', 'FOR sallow hide'])
		expect((await shown(`q=${encodeURIComponent(q)}`)).cells.map((c) => c.label)).toEqual(['ZZ-01']);
});

it('a cell leaves a bank and joins another with its whole history', async () => {
	const [from, to] = [await idOf('Damson Rise'), await idOf('Heronry')];
	const [place] = await placements.all({ bankId: from, removedAt: null });
	const cell: Cell = await cells.get(place!.cellId);
	const before = await cellPassport(cell.id);
	expect(before).toMatchObject({ bank: { id: from }, place: { id: place!.id, bankName: 'Damson Rise' } });

	await change('placements', place!.id, { version: place!.version, removedAt: '2026-05-31T10:00:00Z' });
	for (const wish of before.considered) await remove('candidates', wish.id, wish.version);
	expect(await bankOfCell(cell.id)).toBeNull();
	await pickCells(to, { cellIds: [cell.id] });
	const after = await cellPassport(cell.id);
	expect(after).toMatchObject({ bank: { id: to }, place: null, considered: [{ bankName: 'Heronry' }] });
	const told = (kind: string) => after.events.filter((e) => e.kind === kind).length;
	for (const kind of ['arrival', 'reading', 'run', 'note'] as const)
		expect(told(kind)).toBe(before.events.filter((e) => e.kind === kind).length);
	expect(told('removal')).toBe(1);
	expect((await find(cell.label)).wasIn).toEqual(['Damson Rise']);
	// No longer considered, and considered again.
	const [wish] = after.considered;
	await remove('candidates', wish!.id, wish!.version);
	expect((await cellPassport(cell.id)).considered).toEqual([]);
	await restore('candidates', wish!.id);
	expect((await cellPassport(cell.id)).considered).toHaveLength(1);
});
it('still shows the cells of a bank that was put away', async () => {
	const bank = await banks.get(await idOf('Cogwheel'));
	const [run] = await balanceRuns.all({ bankId: bank.id });
	await change('balance-runs', run!.id, { version: run!.version, endedAt: new Date().toISOString() });
	await remove('banks', bank.id, bank.version);
	const cell = await find('C-01');
	expect(cell).toMatchObject({ warning: null, inBank: { name: 'Cogwheel' } });
	await cellPassport(cell.id);
	await restore('banks', bank.id);
	expect((await find('C-01')).inBank).toMatchObject({ name: 'Cogwheel' });
});

import { describe, expect, it } from 'vitest';
import { INSPECTED, type Inspection } from '$lib/core/picture';
import { InspectionDesk, type InspectionStore, type StoredInspection } from './inspection-desk.svelte';

/** A store that can be told to refuse, and what the page is given after each change. */
function storeOf() {
	const rows = new Map<number, StoredInspection>();
	const log: string[] = [];
	let refusing = false;
	const answer = (row: StoredInspection) => {
		if (refusing) throw new Error('no network');
		rows.set(row.cellId, row);
		return Promise.resolve(row);
	};
	const store: InspectionStore = {
		async attempt(work) {
			try {
				await work();
				return true;
			} catch {
				return false;
			}
		},
		async create(values) {
			log.push(`create ${values.cellId}`);
			return answer({ ...values, id: 100 + values.cellId, version: 1 });
		},
		async change(id, { version, ...values }) {
			log.push(`change ${id} of version ${version}: ${Object.keys(values).join(' ')}`);
			const before = [...rows.values()].find((r) => r.id === id)!;
			return answer({ ...before, ...values, version: version + 1 });
		},
		refresh: () => Promise.resolve()
	};
	const cell = (id: number) => ({ id, inspection: (rows.get(id) ?? null) as Inspection | null });
	return { store, log, cell, refuse: (on: boolean) => (refusing = on) };
}

describe('what is seen on cells', () => {
	it('is shown at once, stored, and then no draft any more', async () => {
		const { store, cell, log } = storeOf();
		const desk = new InspectionDesk(store);
		const kept = desk.change(1, { leak: 'good' });
		expect(desk.of(cell(1)).leak).toBe('good');
		expect(desk.isUnkept(1)).toBe(true);
		expect(await kept).toBe(true);
		expect(desk.isUnkept(1)).toBe(false);
		expect(desk.of(cell(1)).leak).toBe('good');
		expect(log).toEqual(['create 1']);
	});
	it('given one after the other goes into one record, each on the version of the last', async () => {
		const { store, log } = storeOf();
		const desk = new InspectionDesk(store);
		await Promise.all([desk.change(1, { leak: 'good' }), desk.change(1, { smell: 'bad' })]);
		await desk.change(1, { dent: 'unsure' });
		expect(log[0]).toBe('create 1');
		expect(log.slice(1)).toEqual(['change 101 of version 1: dent']);
	});
	it('that could not be stored stays on the screen, and goes along with the next answer', async () => {
		const { store, cell, refuse } = storeOf();
		const desk = new InspectionDesk(store);
		refuse(true);
		expect(await desk.change(1, { leak: 'bad' })).toBe(false);
		expect(desk.of(cell(1)).leak).toBe('bad');
		expect(desk.isUnkept(1)).toBe(true);
		refuse(false);
		expect(await desk.change(1, { smell: 'good' })).toBe(true);
		expect(cell(1).inspection).toMatchObject({ leak: 'bad', smell: 'good' });
		expect(desk.isUnkept(1)).toBe(false);
	});
	it('all good leaves every answer that was given, and asks nothing of a cell that has all', async () => {
		const { store, cell, log } = storeOf();
		const desk = new InspectionDesk(store);
		await desk.change(1, { vent: 'bad' });
		await desk.allGood([cell(1), cell(2)]);
		expect(cell(1).inspection).toMatchObject({ vent: 'bad', leak: 'good' });
		expect(INSPECTED.every((key) => cell(2).inspection![key] === 'good')).toBe(true);
		const before = log.length;
		await desk.allGood([cell(1), cell(2)]);
		expect(log).toHaveLength(before);
	});
});

import { describe, expect, it } from 'vitest';
import type { Arrangement } from './arrangement';
import { ArrangementDesk } from './arrangement-desk.svelte';

const of = (...ids: number[]): Arrangement => ({ groups: ids.map((id) => [id]), spares: [] });

describe('groups while they are worked at', () => {
	it('go back step by step, to the beginning and no further', () => {
		const desk = new ArrangementDesk();
		desk.show(of(1, 2));
		desk.show(of(2, 1));
		desk.undo();
		expect(desk.current).toEqual(of(1, 2));
		desk.undo();
		expect(desk.current).toBeNull();
		expect(desk.canUndo).toBe(false);
		desk.undo();
		expect(desk.current).toBeNull();
	});
	it('are three beside each other at most, under letters that stay theirs', () => {
		const desk = new ArrangementDesk();
		for (const id of [1, 2, 3, 4]) desk.keep(of(id));
		expect(desk.kept.map((k) => k.name)).toEqual(['A', 'B', 'C']);
		desk.release('B');
		expect(desk.kept.map((k) => k.name)).toEqual(['A', 'C']);
		desk.keep(of(9));
		expect(desk.kept.map((k) => [k.name, k.arrangement.groups[0]![0]])).toEqual([
			['A', 1],
			['B', 9],
			['C', 3]
		]);
	});
	it('once placed have nothing to go back to', () => {
		const desk = new ArrangementDesk();
		desk.show(of(1));
		desk.settle();
		expect([desk.current, desk.canUndo]).toEqual([null, false]);
	});
});

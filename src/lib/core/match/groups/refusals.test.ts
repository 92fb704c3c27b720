import { describe, expect, it } from 'vitest';
import { matchCells, refusalsOf, type BuildableCell } from '.';

const cell = (id: number, more: Partial<BuildableCell> = {}): BuildableCell => ({
	id,
	label: `X-${id}`,
	isStopped: false,
	isUsed: false,
	capacityAh: 100,
	resistanceMohm: 0.2,
	terminalKind: 'thread',
	grade: 'A',
	producedOn: '2026-01-10',
	chemistry: 'LFP',
	...more
});
const four = (more: Partial<BuildableCell> = {}) => [[cell(1)], [cell(2)], [cell(3)], [cell(4, more)]];
const why = (more: Partial<BuildableCell>) => refusalsOf(four(more), 'LFP').map((r) => r.why);

describe('what should not be built in series', () => {
	it('is nothing of cells that are alike', () => expect(refusalsOf(four(), 'LFP')).toEqual([]));
	it.each([
		[{ isStopped: true }, 'stopped'],
		[{ isUsed: true, capacityAh: null }, 'used-untested'],
		[{ chemistry: 'NMC' }, 'chemistry'],
		[{ terminalKind: 'stud' }, 'terminals'],
		[{ grade: 'B' }, 'grade'],
		[{ producedOn: '2024-12-01' }, 'age'],
		[{ capacityAh: 91 }, 'capacity-spread'],
		[{ resistanceMohm: 0.33 }, 'resistance-spread']
	] as const)('%j: %s', (more, reason) => expect(why(more)).toEqual([reason]));
	it('the few are named, not the many', () =>
		expect(refusalsOf(four({ terminalKind: 'stud' }), 'LFP')[0]).toEqual({
			why: 'terminals',
			cellIds: [4],
			found: 'thread and stud'
		}));
	it('what is not known is held against nobody', () => {
		const unknown = { capacityAh: null, resistanceMohm: null, terminalKind: null, grade: null };
		expect(why({ ...unknown, producedOn: null, chemistry: null })).toEqual([]);
	});
	it('unlike cells that make like groups are no spread', () => {
		const groups = [
			[cell(1, { capacityAh: 90 }), cell(2, { capacityAh: 110 })],
			[cell(3), cell(4)]
		];
		expect(refusalsOf(groups, 'LFP')).toEqual([]);
	});
	it('at the limit is within it', () => {
		// 108 against 100: eight per cent of the smaller.
		expect(refusalsOf([[cell(1, { capacityAh: 100 })], [cell(2, { capacityAh: 108 })]], 'LFP')).toEqual([]);
		expect(why({ resistanceMohm: 0.32 })).toEqual([]);
	});
});

describe('capacities that lie orders of magnitude apart', () => {
	it.each([
		[[280, 280, 0.028, 280], 'cells.2.capacityAh'],
		[[0.001, 1000, 1000, 1000], 'cells.0.capacityAh']
	])('%j are refused with the one that is off', (capacities, path) => {
		const cells = capacities.map((capacityAh, id) => ({ id, capacityAh }));
		const control = { timeLimitS: 0.1, clockS: () => performance.now() / 1000 };
		expect(() => matchCells({ series: 2, parallel: 2, cells }, control)).toThrow(path);
	});
});

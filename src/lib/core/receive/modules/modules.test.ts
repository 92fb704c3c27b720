import { describe, expect, it } from 'vitest';
import { restVoltageCurve } from '../../foundation/chemistry';
import { seededRandom } from '../../foundation/statistics';
import type { Subject } from '../../foundation/verdicts';
import { judgeModules, lowestHidden, type WholeModule } from '.';
import { makeOf, moduleCellLabels, placeInModule, positionsOfModule } from '../../picture';

const delivery: Subject = { kind: 'delivery', id: 1, label: 'Crate' };
const make = { series: 12, parallel: 1 };
const module = (number: number, more: Partial<WholeModule>, size = 12): WholeModule => ({
	subject: { kind: 'module', id: number, label: `S${number}` },
	cells: Array.from({ length: size }, (_, i): Subject => ({
		kind: 'cell',
		id: number * 100 + i + 1,
		label: `S${number}-${i + 1}`
	})),
	voltageV: null,
	groupsV: null,
	seen: [],
	...more
});
const judged = (modules: WholeModule[], own: { series: number; parallel: number } = make) =>
	judgeModules(modules, { make: own, chemistry: 'LFP', sdV: () => 0.003, restS: 2 * 86400 }, delivery);
const codes = (modules: WholeModule[], own = make) => judged(modules, own).map((v) => v.code);

describe('where a cell sits in its module', () => {
	it('counts from the minus of the module, group by group', () => {
		const two = { series: 3, parallel: 2 };
		expect(placeInModule(1, two)).toEqual({ module: 1, group: 1 });
		expect(placeInModule(2, two)).toEqual({ module: 1, group: 1 });
		expect(placeInModule(6, two)).toEqual({ module: 1, group: 3 });
		expect(placeInModule(7, two)).toEqual({ module: 2, group: 1 });
		expect(positionsOfModule(2, two)).toEqual([7, 8, 9, 10, 11, 12]);
		for (const position of positionsOfModule(2, two)) expect(placeInModule(position, two).module).toBe(2);
	});
	it('labels its cells by the module', () =>
		expect(moduleCellLabels('S', 2, { series: 2, parallel: 1 })).toEqual(['S2-01', 'S2-02']));
	it('single cells have no make', () => {
		expect(makeOf({ moduleSeries: null, moduleParallel: null })).toBeNull();
		expect(makeOf({})).toBeNull();
		expect(makeOf({ moduleSeries: 6, moduleParallel: 2 })).toEqual({ series: 6, parallel: 2 });
	});
});

describe('a module in one piece', () => {
	it('asks to be read, and says nothing of cells that nobody can reach', () => {
		expect(judged([])).toEqual([]);
		const [whole, ...rest] = judged([module(1, {}), module(2, {})]);
		expect(rest).toEqual([]);
		expect(whole).toMatchObject({ code: 'modules-whole', warmth: 'open', facts: { modules: 2, cells: 24, unread: 2 } });
	});
	it('39.6 V over twelve: 3.3 V each if they are alike, and one could be empty unseen', () => {
		const told = judged([module(1, { voltageV: 39.6 })])[0]!;
		expect(told).toMatchObject({ code: 'module-volts', warmth: 'calm' });
		expect(told.facts.meanV).toBeCloseTo(3.3, 9);
		// 39.6 − 0.006 − 11 · 3.65.
		expect(told.facts.lowestHiddenV).toBeCloseTo(-0.556, 2);
		expect(told.doubt).toContain('empty, or even stand reversed');
		// Volts over four hide less: 13.2 − 3 · 3.65 = 2.25.
		const four = judged([module(1, { voltageV: 13.2 }, 4)], { series: 4, parallel: 1 })[0]!;
		expect(four.doubt).toContain('as low as 2.24 V');
	});
	it('29.4 V over twelve is a cell below 2.5 V for certain; 44.4 V one above its limit', () => {
		expect(judged([module(1, { voltageV: 29.4 })])[0]).toMatchObject({ code: 'module-low', warmth: 'stop' });
		expect(judged([module(1, { voltageV: 44.4 })])[0]).toMatchObject({ code: 'module-high', warmth: 'stop' });
		expect(judged([module(1, { voltageV: 29.4 })])[0]!.members).toHaveLength(12);
		// 30.0 V is the limit itself: the meter cannot tell.
		expect(codes([module(1, { voltageV: 30 })])).not.toContain('module-low');
	});
	it('probes the wrong way round are told as that', () =>
		expect(judged([module(1, { voltageV: -39.6 })])[0]).toMatchObject({ code: 'module-turned', warmth: 'stop' }));
	it('stands out only by more than like cells differ: 0.2 V over twelve does not, 1.2 V does', () => {
		const three = (low: number) => [39.6, 39.58, low].map((voltageV, i) => module(i + 1, { voltageV }));
		expect(codes(three(39.4))).not.toContain('module-below-others');
		const told = judged(three(38.4)).find((v) => v.code === 'module-below-others')!;
		expect(told.subject.label).toBe('S3');
		expect(told.facts.missingV).toBeCloseTo(39.59 - 38.4, 9);
	});
	it('what is seen from outside stops all its cells', () => {
		const told = judged([module(1, { seen: ['leak', 'heat'] })])[0]!;
		expect(told).toMatchObject({ code: 'module-damaged', warmth: 'stop' });
		expect(told.members).toHaveLength(12);
		expect(told.finding).toContain('leaks');
	});
});

describe('read over its taps', () => {
	const four = { series: 4, parallel: 2 };
	const taps = (groupsV: (number | null)[], voltageV: number | null = null) =>
		judged([module(1, { groupsV, voltageV }, 8)], four);
	it('like groups: none stands out, and cells side by side hold one another up', () => {
		const [told] = taps([3.296, 3.298, 3.297, 3.295], 13.186);
		expect(told).toMatchObject({ code: 'module-groups-alike', warmth: 'calm' });
		expect(told!.doubt).toContain('hold one another up');
	});
	it('names the low group, and its cells alone', () => {
		const low = taps([3.296, 3.12, 3.297, 3.295]).find((v) => v.code === 'module-group-low')!;
		expect(low).toMatchObject({ warmth: 'look', facts: { low: [{ group: 2, volts: 3.12 }], limitV: null } });
		expect(low.members.map((m) => m.label)).toEqual(['S1-3', 'S1-4']);
		const dead = taps([3.296, 3.297, 0.4, 3.295]).find((v) => v.code === 'module-group-low')!;
		expect(dead).toMatchObject({ warmth: 'stop', facts: { limitV: 2.5 } });
	});
	it('taps that no group can have, or that were read from the minus, are no calm matter', () => {
		expect(taps([3.296, 33.0, 3.297, 3.295])[0]).toMatchObject({ code: 'read-impossible' });
		expect(taps([3.3, 6.6, 9.9, 13.2])[0]).toMatchObject({ code: 'read-cumulative' });
		expect(taps([3.296, -3.3, 3.297, 3.295])[0]).toMatchObject({ code: 'read-impossible' });
		const high = taps([3.296, 3.75, 3.297, 3.295]);
		expect(high[0]).toMatchObject({ code: 'module-group-high', warmth: 'stop' });
		expect(high[0]!.members.map((m) => m.label)).toEqual(['S1-3', 'S1-4']);
		expect(high.map((v) => v.code)).not.toContain('module-groups-alike');
	});
	it('taps that do not add up to the terminals are told; a tap that was not read claims no sum', () => {
		expect(taps([3.296, 3.296, 3.297, 3.295], 12.6).map((v) => v.code)).toContain('module-taps-disagree');
		expect(taps([3.296, null, 3.297, 3.295], 12.6).map((v) => v.code)).not.toContain('module-taps-disagree');
		expect(taps([null, null, null, null]).map((v) => v.code)).toEqual(['modules-whole']);
	});
});

it('no cell of a thousand modules stands below what its sum is said to hide at the least', () => {
	const draw = seededRandom(7);
	const curve = restVoltageCurve('LFP');
	for (let world = 0; world < 1000; world++) {
		const series = 2 + Math.floor(draw() * 22);
		const cells = Array.from({ length: series }, () =>
			draw() < 0.1 ? draw() * 2.5 : curve.at(draw()) + 0.01 * draw()
		);
		const sum = cells.reduce((a, b) => a + b, 0);
		expect(lowestHidden(sum, 0.003, series, 'LFP')).toBeLessThanOrEqual(Math.min(...cells));
	}
});

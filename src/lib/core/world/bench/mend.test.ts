import { describe, expect, it } from 'vitest';
import {
	SCENARIO_FORMAT,
	SCENARIO_VERSION,
	clipTool,
	completeScenario,
	heldBack,
	openBench,
	readBms,
	advanceBench,
	reseatLead,
	tightenBars,
	wireBench
} from '.';

const bench = (bms: object = {}) =>
	openBench(
		completeScenario({
			format: SCENARIO_FORMAT,
			formatVersion: SCENARIO_VERSION,
			name: 'Test',
			story: 'Four cells.',
			seed: 1,
			chemistry: 'LFP',
			ratedAh: 100,
			series: 4,
			parallel: 1,
			bms,
			cells: [1, 2, 3, 4].map((n) => ({ label: `T-${n}`, soc: 0.5, looseBarOhm: n === 2 ? 0.004 : 0 }))
		})
	);
const groups = [[0], [1], [2], [3]];

describe('hands that mend', () => {
	it('tighten a bar: what it lost under load is gone', () => {
		const b = bench();
		wireBench(b, 'series', groups, []);
		const underLoad = () => {
			clipTool(b, 'load', 'pack');
			Object.assign(b.load, { mode: 'current', currentA: 50, on: true, cutoffV: 0 });
			advanceBench(b, 60);
			const volts = readBms(b)!.groupV;
			b.load.on = false;
			return volts[0]! - volts[1]!;
		};
		// 4 mΩ at 50 A are 0.2 V.
		expect(underLoad()).toBeCloseTo(0.2, 1);
		tightenBars(b, 2);
		expect(Math.abs(underLoad())).toBeLessThan(0.02);
	});
	it('reseat an open lead, with the plug out', () => {
		const b = bench({ openLead: 2 });
		wireBench(b, 'series', groups, [], true);
		expect(() => reseatLead(b, 2)).toThrow(/Pull the plug/);
		wireBench(b, 'series', groups, [], false);
		reseatLead(b, 2);
		expect(b.leadNodes).toEqual([0, 1, 2, 3, 4]);
		expect(() => reseatLead(b, 9)).toThrow(/no balance lead 9/);
	});
	it('say which group the BMS holds a load back for', () => {
		const b = bench({ openLead: 2 });
		wireBench(b, 'series', groups, []);
		clipTool(b, 'load', 'pack');
		Object.assign(b.load, { mode: 'current', currentA: 20, on: true, cutoffV: 0 });
		advanceBench(b, 120);
		expect(heldBack(b)).toMatchObject({ flow: 'discharge', group: 2 });
		b.load.on = false;
		expect(heldBack(b)).toBeNull();
	});
	it('refuse what cannot be done', () => {
		const b = bench();
		expect(() => tightenBars(b, 1)).toThrow(/no group 1/);
		wireBench(b, 'series', groups, []);
		b.load.on = true;
		expect(() => tightenBars(b, 1)).toThrow(/Switch the supply and the load off/);
	});
});

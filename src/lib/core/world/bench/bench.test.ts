import { describe, expect, it } from 'vitest';
import {
	BENCH_ACCURACY,
	SCENARIO_FORMAT,
	SCENARIO_VERSION,
	advanceBench,
	clipTool,
	completeScenario,
	drawCalibration,
	exchangeLeads,
	leadErrorsV,
	leadNodesOf,
	openBench,
	readBms,
	readLoad,
	readOhmmeter,
	readShunt,
	readSupply,
	readVoltmeter,
	shownValue,
	switchOutput,
	voltageAt,
	wireBench,
	type Scenario
} from '.';

const plain = (more: object = {}) => ({
	format: SCENARIO_FORMAT,
	formatVersion: SCENARIO_VERSION,
	name: 'Test',
	story: 'Four cells.',
	seed: 1,
	chemistry: 'LFP',
	ratedAh: 100,
	series: 4,
	parallel: 1,
	cells: [1, 2, 3, 4].map((n) => ({ label: `T-${n}` })),
	...more
});
const cellsWith = (index: number, more: object) =>
	[0, 1, 2, 3].map((i) => ({ label: `T-${i + 1}`, ...(i === index ? more : {}) }));
const bench = (more: object = {}) => openBench(completeScenario(plain(more)));
const SERIES = [[0], [1], [2], [3]];

describe('a scenario', () => {
	it('takes defaults for what it leaves out', () => {
		const scenario = completeScenario(plain());
		expect(scenario).toMatchObject({
			timeFactor: 1000,
			wiring: { kind: 'loose' },
			supply: { displayErrorV: 0 },
			load: { currentGain: 0 }
		});
		expect(scenario.cells[0]).toMatchObject({ capacityAh: 100, soc: 0.5, printedReversed: false });
	});
	it('survives being written and read', () => {
		const scenario = completeScenario(plain({ bms: { swappedLeads: [1, 2] } }));
		expect(completeScenario(JSON.parse(JSON.stringify(scenario)))).toEqual(scenario);
	});
	it.each<[string, object]>([
		['format', { format: 'other' }],
		['cells', { cells: [] }],
		['series', { series: 0 }],
		['timeFactor', { timeFactor: 20_000 }],
		['cells.2.soc', { cells: cellsWith(2, { soc: 3 }) }],
		['cells.1.label', { cells: cellsWith(1, { label: '' }) }],
		['bms.openLead', { bms: { openLead: 9 } }],
		['wiring.groups', { wiring: { kind: 'series', groups: [[0], [0]] } }],
		['wiring.kind', { wiring: { kind: 'knot' } }],
		['seed', { seed: -1 }],
		['scenario', 7 as never]
	])('with a bad %s names it', (path, more) =>
		expect(() => completeScenario(typeof more === 'object' ? plain(more) : more)).toThrow(
			expect.objectContaining({ path })
		)
	);
});

describe('instruments', () => {
	it('keep their lasting error, add noise, and show their steps', () => {
		const accuracy = { percent: 1, fixed: 0.01, noise: 0, resolution: 0.001 };
		expect(drawCalibration(accuracy, () => 1)).toEqual({ gain: 0.01, offset: 0.01 });
		expect(shownValue(accuracy, { gain: 0.01, offset: 0.01 }, 2, () => 0.5)).toBeCloseTo(2.03, 9);
		expect(shownValue({ ...accuracy, resolution: 0.05 }, { gain: 0, offset: 0 }, 2.0333, () => 0.5)).toBeCloseTo(
			2.05,
			9
		);
	});
	it('stay within their sheet for a whole crate of readings', () => {
		const b = bench();
		clipTool(b, 'voltmeter', { cell: 0 });
		const truth = voltageAt(b, { cell: 0 });
		const { percent, fixed, noise } = BENCH_ACCURACY.voltmeterV;
		for (let n = 0; n < 200; n++)
			expect(Math.abs(readVoltmeter(b) - truth)).toBeLessThan((truth * percent) / 100 + fixed + 6 * noise);
	});
	it('measure one world: supply, shunt, BMS and voltmeter agree on a charge', () => {
		const b = bench();
		wireBench(b, 'series', SERIES, []);
		clipTool(b, 'supply', 'pack');
		clipTool(b, 'voltmeter', 'pack');
		Object.assign(b.supply, { voltageV: 14.2, currentA: 20, on: true });
		advanceBench(b, 3600);
		expect(readSupply(b).currentA).toBeCloseTo(20, 0);
		expect(readShunt(b).currentA).toBeCloseTo(20, 0);
		expect(readShunt(b).countedAh).toBeCloseTo(20, 1);
		const bms = readBms(b)!;
		expect(bms.packV).toBeCloseTo(readVoltmeter(b), 1);
		// Two-wire: the supply stands higher by its leads, 20 A · 4 mΩ.
		expect(readSupply(b).voltageV - readVoltmeter(b)).toBeCloseTo(0.08, 1);
	});
	it('read a cell printed the wrong way round as negative', () => {
		const b = bench({ cells: cellsWith(2, { printedReversed: true }) });
		expect(voltageAt(b, { cell: 2 })).toBeLessThan(-3.2);
		expect(voltageAt(b, { cell: 1 })).toBeGreaterThan(3.2);
	});
	it('that are off or in the air show nothing', () => {
		const b = bench();
		expect(readOhmmeter(b)).toBeNull();
		expect(readBms(b)).toBeNull();
		expect(readSupply(b).voltageV).toBe(0);
		expect(Math.abs(readLoad(b).currentA)).toBeLessThan(0.05);
		expect(voltageAt(b, null)).toBe(0);
	});
});

describe('hidden defects show as they would', () => {
	it('a supply whose display reads high charges lower than it says', () => {
		const b = bench({ supply: { displayErrorV: 0.05 } });
		Object.assign(b.supply, { voltageV: 3.65, currentA: 10, on: true });
		expect(voltageAt(b, 'supply')).toBeCloseTo(3.6, 9);
		expect(readSupply(b).voltageV).toBeCloseTo(3.65, 1);
	});
	it('a biased tester draws another current than it shows', () => {
		const b = bench({ load: { currentGain: 0.04 } });
		clipTool(b, 'load', { cell: 0 });
		Object.assign(b.load, { mode: 'current', currentA: 20, cutoffV: 2.5, on: true });
		expect(readLoad(b).currentA).toBeCloseTo(20, 1);
		advanceBench(b, 3600);
		expect((0.5 - b.cells.soc[0]!) * 100).toBeCloseTo(20 / 1.04, 1);
	});
	it('swapped leads read one group reversed and its neighbours too high', () => {
		expect(
			leadErrorsV([3.3, 3.3, 3.3, 3.3], leadNodesOf(4, { swappedLeads: [2, 3], openLead: null })).map((e) =>
				Number((e + 3.3).toFixed(6))
			)
		).toEqual([3.3, 6.6, -3.3, 6.6]);
	});
	it('an open lead floats between its neighbours, and the sum stays', () => {
		const read = leadErrorsV([3.3, 3.3, 3.3], leadNodesOf(3, { swappedLeads: null, openLead: 1 })).map((e) => e + 3.3);
		expect(read[0]).toBeCloseTo(2.31, 9);
		expect(read[1]).toBeCloseTo(4.29, 9);
		expect(read[0]! + read[1]! + read[2]!).toBeCloseTo(9.9, 9);
	});
	it('a loose bar shows under current and not at rest', () => {
		const b = bench({ cells: cellsWith(1, { looseBarOhm: 0.002 }) });
		wireBench(b, 'series', SERIES, []);
		const spread = () => Math.max(...readBms(b)!.groupV) - Math.min(...readBms(b)!.groupV);
		expect(spread()).toBeLessThan(0.006);
		clipTool(b, 'load', 'pack');
		Object.assign(b.load, { mode: 'current', currentA: 50, on: true });
		expect(spread()).toBeCloseTo(0.1, 1);
	});
	it('a BMS that reads one cell high ends the charge for all', () => {
		const b = bench({ bms: { readErrorV: [0, 0.2, 0, 0] } });
		wireBench(b, 'series', SERIES, []);
		clipTool(b, 'supply', 'pack');
		Object.assign(b.supply, { voltageV: 14.6, currentA: 50, on: true });
		advanceBench(b, 2 * 3600);
		expect(readBms(b)).toMatchObject({ trips: ['cell-high'], chargeBlocked: true, dischargeBlocked: false });
		expect(Math.max(...b.cells.soc)).toBeLessThan(0.999);
	});
});

describe('hands', () => {
	it('meet a spark where a cell stands the wrong way round, and nothing is joined', () => {
		const b = bench({ cells: cellsWith(2, { printedReversed: true }) });
		expect(() => wireBench(b, 'parallel', [[0, 1, 2]], [])).toThrow(/spark.*T-3/);
		expect(b.wiring).toBe('loose');
		expect(b.incidents).toMatchObject([{ kind: 'reversed', cells: [2] }]);
		wireBench(b, 'parallel', [[0, 1, 2]], [2]);
		expect(b.wiring).toBe('parallel');
		// Turning a good cell is as bad.
		expect(() => wireBench(b, 'series', SERIES, [2, 3])).toThrow(/T-4/);
	});
	it('spark when an output goes on across a cell whose print is wrong; turned clips drive it', () => {
		const b = bench({ cells: cellsWith(2, { printedReversed: true, soc: 0.5 }) });
		clipTool(b, 'load', { cell: 2 });
		expect(readLoad(b).voltageV).toBeLessThan(-3.2);
		expect(() => switchOutput(b, 'load', true)).toThrow(/exchanged on T-3/);
		expect(b.load.on).toBe(false);
		expect(b.incidents).toMatchObject([{ kind: 'crossed', cells: [2] }]);
		for (const tool of ['load', 'voltmeter'] as const) clipTool(b, tool, { cell: 2, turned: true });
		expect(readVoltmeter(b)).toBeGreaterThan(3.2);
		b.load.currentA = 20;
		switchOutput(b, 'load', true);
		advanceBench(b, 3600);
		expect(b.cells.soc[2]).toBeCloseTo(0.3, 2);
		// Turning the clips on a good cell is as bad.
		clipTool(b, 'supply', { cell: 0, turned: true });
		expect(() => switchOutput(b, 'supply', true)).toThrow(/T-1/);
		expect(b.incidents).toHaveLength(2);
	});
	it('write down a hard joining with its first current', () => {
		const b = bench({ cells: cellsWith(0, { soc: 0.02 }) });
		wireBench(b, 'parallel', [[0, 1, 2, 3]], []);
		expect(b.incidents[0]!.kind).toBe('hard-join');
		expect(b.incidents[0]!.amperes).toBeGreaterThan(50);
	});
	it('do not touch what is live, nor reach where nothing is', () => {
		const b = bench();
		b.supply.on = true;
		expect(() => wireBench(b, 'series', SERIES, [])).toThrow(/Switch the supply/);
		expect(() => clipTool(b, 'supply', { cell: 0 })).toThrow(/off before/);
		b.supply.on = false;
		expect(() => clipTool(b, 'load', 'pack')).toThrow(/loose/);
		expect(() => clipTool(b, 'voltmeter', { lead: 1 })).toThrow(/no balance lead/);
		expect(() => clipTool(b, 'voltmeter', { cell: 9 })).toThrow(/no cell/);
		wireBench(b, 'series', SERIES, []);
		expect(() => clipTool(b, 'load', { cell: 0 })).toThrow(/built in/);
	});
	it('read the balance leads with the plug out: then no BMS sees the battery, and an open lead hangs in the air', () => {
		const b = bench({ bms: { openLead: 2 } });
		wireBench(b, 'series', SERIES, [], false);
		expect(readBms(b)).toBeNull();
		expect(voltageAt(b, { lead: 0 })).toBe(0);
		expect(voltageAt(b, { lead: 2 })).toBe(0);
		expect(voltageAt(b, { lead: 3 }) / voltageAt(b, { lead: 1 })).toBeCloseTo(3, 6);
		wireBench(b, 'series', SERIES, []);
		expect(readBms(b)!.groupV).toHaveLength(4);
		// Plugged in it floats between its neighbours.
		expect(voltageAt(b, { lead: 2 }) / voltageAt(b, { lead: 1 })).toBeCloseTo(1.7, 1);
	});
	it('put exchanged leads right in the plug, and only while it is out', () => {
		const b = bench({ bms: { swappedLeads: [2, 3] } });
		wireBench(b, 'series', SERIES, []);
		expect(Math.min(...readBms(b)!.groupV)).toBeLessThan(-3);
		expect(() => exchangeLeads(b, [2, 3])).toThrow(/Pull the plug/);
		wireBench(b, 'series', SERIES, [], false);
		expect(() => exchangeLeads(b, [2, 9])).toThrow(/no balance lead 9/);
		exchangeLeads(b, [3, 2]);
		wireBench(b, 'series', SERIES, []);
		expect(Math.min(...readBms(b)!.groupV)).toBeGreaterThan(3);
	});
	it('find the staircase of the balance leads', () => {
		const b = bench();
		wireBench(b, 'series', SERIES, []);
		expect([1, 2, 3, 4].map((lead) => voltageAt(b, { lead }) / voltageAt(b, { lead: 1 }))).toEqual([
			expect.closeTo(1, 6),
			expect.closeTo(2, 6),
			expect.closeTo(3, 6),
			expect.closeTo(4, 6)
		]);
	});
	it('may find the cells wired already', () => {
		const b = bench({ wiring: { kind: 'series', groups: SERIES }, cells: cellsWith(1, { printedReversed: true }) });
		expect(b.wiring).toBe('series');
		expect(b.incidents).toEqual([]);
	});
});

describe('time', () => {
	it('passes the same in one go or in many, and the same seed gives the same run', () => {
		const run = (steps: number): Scenario['cells'] | number[] => {
			const b = bench();
			clipTool(b, 'supply', { cell: 1 });
			Object.assign(b.supply, { voltageV: 3.6, currentA: 30, on: true });
			for (let n = 0; n < steps; n++) advanceBench(b, 7200 / steps);
			return [...b.cells.soc];
		};
		const [once, often] = [run(1) as number[], run(240) as number[]];
		once.forEach((soc, i) => expect(soc).toBeCloseTo(often[i]!, 6));
		expect(run(7)).toEqual(run(7));
	});
	it('at rest goes in long steps that end where short ones do, unequal cells in parallel included', () => {
		const cells = [0.2, 0.5, 0.5, 0.8].map((soc, i) => ({
			label: `T-${i + 1}`,
			soc,
			selfDischargePerMonth: 0.02 + 0.02 * i
		}));
		const [long, short] = [bench({ cells }), bench({ cells })];
		for (const b of [long, short])
			wireBench(
				b,
				'series',
				[
					[0, 3],
					[1, 2]
				],
				[]
			);
		advanceBench(long, 10 * 86400);
		for (let s = 0; s < 10 * 86400; s += 4) advanceBench(short, 4);
		long.cells.soc.forEach((soc, i) => expect(Math.abs(soc - short.cells.soc[i]!)).toBeLessThan(1e-3));
		// The flat curve lets the two of a row close from 0.6 apart to about a third of it.
		expect(Math.abs(long.cells.soc[0]! - long.cells.soc[3]!)).toBeLessThan(0.3);
		expect(long.cells.soc[0]! + long.cells.soc[3]!).toBeLessThan(1);
	});
	it('lets the load switch itself off at its cut-off, inside a long stretch', () => {
		const b = bench();
		clipTool(b, 'load', { cell: 0 });
		Object.assign(b.load, { mode: 'power', powerW: 100, cutoffV: 2.6, on: true });
		advanceBench(b, 4 * 3600);
		expect(b.load).toMatchObject({ on: false, cutOff: true });
		expect(b.cells.overDischargedAh[0]).toBeLessThan(0.3);
	});
});

import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { completeScenario } from '../bench';
import {
	DEFECT_KINDS,
	READY_SCENARIOS,
	drawScenario,
	hiddenDefects,
	judgeRehearsal,
	readyScenario,
	readyScenarios,
	scenarioOfSeed,
	type CrateWish,
	type DefectKind,
	type RehearsalEnd
} from '.';

const wish = (defects: DefectKind[], seed = 1): CrateWish => ({
	name: 'Test',
	story: 'A crate.',
	seed,
	ratedAh: 100,
	series: 4,
	parallel: 1,
	spares: 2,
	timeFactor: 1000,
	defects
});
const end = (more: Partial<RehearsalEnd> = {}): RehearsalEnd => {
	const scenario = more.scenario ?? drawScenario(wish([]));
	const none = scenario.cells.map(() => 0);
	return {
		scenario,
		conclusions: [],
		built: null,
		incidents: [],
		overChargedAh: none,
		overDischargedAh: none,
		...more
	};
};

describe('drawing a crate', () => {
	it.each(DEFECT_KINDS)('hides a %s, and nothing else, wherever the seed says', (kind) => {
		fc.assert(
			fc.property(fc.integer({ min: 0, max: 2 ** 31 }), (seed) => {
				const scenario = drawScenario(wish([kind], seed));
				expect(hiddenDefects(scenario).map((d) => d.kind)).toEqual([kind]);
				expect(completeScenario(JSON.parse(JSON.stringify(scenario)))).toEqual(scenario);
			}),
			{ numRuns: 30 }
		);
	});
	it('hides nothing when nothing is wished: healthy spread is no defect', () => {
		fc.assert(
			fc.property(fc.integer({ min: 0, max: 2 ** 31 }), (seed) => {
				expect(hiddenDefects(drawScenario(wish([], seed)))).toEqual([]);
			}),
			{ numRuns: 50 }
		);
	});
	it('gives the same crate for the same number, and others for others', () => {
		expect(scenarioOfSeed(7)).toEqual(scenarioOfSeed(7));
		expect(scenarioOfSeed(7)).not.toEqual(scenarioOfSeed(8));
		const counts = Array.from({ length: 40 }, (_, seed) => hiddenDefects(scenarioOfSeed(seed)).length);
		expect(Math.min(...counts)).toBe(0);
		expect(Math.max(...counts)).toBeGreaterThanOrEqual(3);
	});
	it.each(READY_SCENARIOS)('has %s ready, harder as they go', (key) => {
		const scenario = readyScenario(key);
		expect(completeScenario(scenario)).toEqual(scenario);
		expect(hiddenDefects(scenario).length).toBe(
			{ 'first-crate': 1, 'second-hand': 4, 'lying-bench': 3, everything: 7 }[key]
		);
		expect(readyScenarios().find((s) => s.key === key)!.cells).toBe(scenario.cells.length);
	});
	it('puts each cell’s defect in a cell of its own', () => {
		const cells = hiddenDefects(readyScenario('everything')).filter((d) => d.where?.startsWith('R-'));
		expect(new Set(cells.map((d) => d.where)).size).toBe(cells.length);
	});
});

describe('the truth beside the conclusions', () => {
	const scenario = drawScenario(wish(['weak-cell', 'swapped-leads', 'biased-tester'], 5));
	const defects = hiddenDefects(scenario);
	const weak = defects.find((d) => d.kind === 'weak-cell')!.where!;
	const labels = scenario.cells.map((c) => c.label);
	const groups = (chosen: string[]) => chosen.slice(0, 4).map((label) => [label]);
	const healthy = groups(labels.filter((l) => l !== weak));

	it('costs nothing when everything is caught and the best is built', () => {
		const byCapacity = [...scenario.cells].sort((a, b) => b.capacityAh - a.capacityAh).map((c) => c.label);
		const judged = judgeRehearsal(end({ scenario, conclusions: defects, built: groups(byCapacity) }));
		expect(judged.defects.every((d) => d.caught)).toBe(true);
		expect(judged.totalCost).toBe(0);
		expect(judged.builtAh).toBe(judged.bestAh);
	});
	it('counts a missed swap as the BMS, and a bias by its share of the bank', () => {
		const judged = judgeRehearsal(end({ scenario, built: healthy }));
		const cost = Object.fromEntries(judged.defects.map((d) => [d.kind, d.cost]));
		expect(cost['swapped-leads']).toBe(scenario.prices.bms);
		// 4 · 3.2 V · the smallest best group, at the price of a kWh, times the bias.
		const kwh = (4 * 3.2 * judged.bestAh) / 1000;
		expect(cost['biased-tester']).toBeCloseTo(Math.abs(scenario.load.currentGain) * kwh * scenario.prices.perKwh, 9);
	});
	it('counts capacity left unused when the weak cell is built in', () => {
		const withWeak = groups([weak, ...labels.filter((l) => l !== weak)]);
		const judged = judgeRehearsal(end({ scenario, conclusions: defects, built: withWeak }));
		const weakAh = scenario.cells.find((c) => c.label === weak)!.capacityAh;
		expect(judged.builtAh).toBe(weakAh);
		expect(judged.lostCapacityCost).toBeCloseTo(
			((judged.bestAh - weakAh) * 4 * 3.2 * scenario.prices.perKwh) / 1000,
			9
		);
	});
	it('names what was seen but is not there, and the place matters', () => {
		const judged = judgeRehearsal(
			end({
				scenario,
				conclusions: [
					{ kind: 'weak-cell', where: 'R-99' },
					{ kind: 'open-lead', where: '2' }
				]
			})
		);
		expect(judged.falseAlarms.map((f) => f.kind)).toEqual(['weak-cell', 'open-lead']);
		expect(judged.defects.some((d) => d.caught)).toBe(false);
	});
	it('counts mishaps: a short circuit, and cells driven past their ends', () => {
		const over = scenario.cells.map((_, i) => (i === 1 ? 5 : i === 2 ? 0.2 : 0));
		const judged = judgeRehearsal(
			end({
				scenario,
				conclusions: defects,
				incidents: [
					{ timeS: 0, kind: 'reversed', cells: [0], amperes: null },
					{ timeS: 1, kind: 'hard-join', cells: [1], amperes: 90 },
					{ timeS: 2, kind: 'crossed', cells: [3], amperes: null }
				],
				overChargedAh: over,
				overDischargedAh: over
			})
		);
		expect(judged.mishaps.map((m) => m.cost)).toEqual([
			scenario.prices.cell,
			0,
			0,
			scenario.prices.cell,
			scenario.prices.cell
		]);
		expect(judged.mishaps[2]!.text).toContain(scenario.cells[3]!.label);
		expect(judged.totalCost).toBe(3 * scenario.prices.cell);
	});
	it('bounds what groups of two could give by the mean of the best cells', () => {
		const pairs = drawScenario({ ...wish([], 3), parallel: 2, spares: 0 });
		const total = pairs.cells.reduce((sum, c) => sum + c.capacityAh, 0);
		expect(judgeRehearsal(end({ scenario: pairs })).bestAh).toBeCloseTo(total / 4, 9);
	});
});

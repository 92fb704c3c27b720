import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { completeCell, createCells, storedEnergyJ, type Cells } from '../cell-model';
import { CHEMISTRIES, CHEMISTRY_FIGURES } from '../../foundation/chemistry';
import {
	guardBattery,
	readGuarded,
	simulate,
	stepGuarded,
	wireBattery,
	completeBms,
	createBms,
	completeBalancer,
	type Drive,
	type SimulationInput,
	type StepSums
} from '.';

const number = (min: number, max: number) => fc.double({ min, max, noNaN: true });

/** Any valid world: chemistry, groups, true cells, temperature, something connected, BMS and balancer or not. */
const anyWorld = fc
	.record({
		chemistry: fc.constantFrom(...CHEMISTRIES),
		groups: fc.array(
			fc.array(fc.record({ factor: number(0.6, 1.2), soc: number(0.02, 0.99), resistance: number(0.5, 4) }), {
				minLength: 1,
				maxLength: 3
			}),
			{ minLength: 1, maxLength: 4 }
		),
		capacityAh: number(5, 600),
		ambientC: number(-15, 45),
		rate: number(-1, 1),
		linkOhm: number(0, 0.002),
		leadOhm: number(0, 0.05),
		bms: fc.boolean(),
		balancer: fc.constantFrom(null, 'passive' as const, 'active' as const),
		stepS: number(0.5, 60)
	})
	.map((w) => ({ ...w, limitV: CHEMISTRY_FIGURES[w.chemistry].chargeLimitV * w.groups.length }));
type AnyWorld = typeof anyWorld extends fc.Arbitrary<infer W> ? W : never;

function built(w: AnyWorld, spread = true) {
	const cells = createCells(
		w.groups.flat().map((c) => ({
			parameters: completeCell({
				chemistry: w.chemistry,
				capacityAh: w.capacityAh,
				capacityFactor: c.factor,
				resistanceFactor: c.resistance,
				temperatureC: w.ambientC
			}),
			soc: spread ? c.soc : 0.5
		})),
		w.ambientC
	);
	let at = 0;
	const battery = wireBattery(
		cells,
		w.groups.map((g) => g.map(() => at++)),
		w.linkOhm
	);
	const drives: Drive[] =
		w.rate >= 0
			? [{ kind: 'charge', currentA: Math.max(0.01, w.rate) * w.capacityAh, voltageV: w.limitV, leadOhm: w.leadOhm }]
			: [{ kind: 'discharge', currentA: -w.rate * w.capacityAh, leadOhm: w.leadOhm }];
	const guarded = guardBattery(
		battery,
		w.bms ? createBms(completeBms({}, w.chemistry)) : null,
		w.balancer ? completeBalancer({ kind: w.balancer, startV: 0.1 }, w.chemistry) : null,
		() => 0.5
	);
	return { cells, battery, drives, guarded };
}
const stored = (cells: Cells) =>
	Array.from({ length: cells.count }, (_, i) => storedEnergyJ(cells, i)).reduce((a, b) => a + b, 0);
const total = (column: Float64Array) => column.reduce((a, b) => a + b, 0);

describe('any valid world', () => {
	it('stays finite, shares the string current within each group, and closes its charge to 1e-9', () => {
		fc.assert(
			fc.property(anyWorld, (w) => {
				const { cells, battery, drives, guarded } = built(w);
				const before = cells.soc.slice();
				const sums: StepSums = { ah: 0, wh: 0, heatWh: 0 };
				for (let n = 0; n < 120; n++) {
					const flow = readGuarded(guarded, drives);
					stepGuarded(guarded, drives, flow, w.stepS, sums);
					for (let g = 0; g < w.groups.length; g++) {
						const members = battery.members.slice(battery.groupStart[g], battery.groupStart[g + 1]);
						const shared = members.reduce((sum, i) => sum + cells.currentA[i]!, 0) - battery.balanceA[g]!;
						const first =
							battery.members.slice(0, battery.groupStart[1]).reduce((sum, i) => sum + cells.currentA[i]!, 0) -
							battery.balanceA[0]!;
						expect(Math.abs(shared - first)).toBeLessThan(1e-9 * Math.max(1, w.capacityAh));
					}
				}
				for (const column of [cells.soc, cells.temperatureC, cells.surfaceV, cells.currentA, cells.heatJ])
					expect(column.every(Number.isFinite)).toBe(true);
				expect([sums.ah, sums.wh, sums.heatWh].every(Number.isFinite)).toBe(true);
				for (let i = 0; i < cells.count; i++) {
					const risen = (cells.soc[i]! - before[i]!) * cells.capacityAh[i]!;
					const balance = cells.throughAh[i]! - cells.unstoredAh[i]! - cells.leakedAh[i]!;
					expect(Math.abs(risen - balance)).toBeLessThan(1e-9 * Math.max(cells.capacityAh[i]!, Math.abs(balance)));
				}
			}),
			{ numRuns: 60 }
		);
	});
	it('closes its energy: in at the terminals is stored or heat', () => {
		fc.assert(
			fc.property(anyWorld, (w) => {
				const { cells, drives, guarded } = built({ ...w, bms: false });
				const before = stored(cells);
				const sums: StepSums = { ah: 0, wh: 0, heatWh: 0 };
				let turned = 0;
				for (let n = 0; n < 300; n++) {
					const was = sums.wh;
					stepGuarded(guarded, drives, readGuarded(guarded, drives), 2, sums);
					turned += Math.abs(sums.wh - was);
				}
				const rise = (stored(cells) - before) / 3600;
				const within = total(cells.throughAh.map((ah, i) => Math.abs(ah * cells.bulkV[i]!)));
				const exchanged = turned + within + total(cells.heatJ) / 3600;
				expect(Math.abs(sums.wh - rise - sums.heatWh)).toBeLessThan(4e-3 * Math.max(exchanged, 1e-3 * w.capacityAh));
			}),
			{ numRuns: 60 }
		);
	});
});

describe('halving the step', () => {
	const world = (stepS: number): SimulationInput => ({
		world: {
			chemistry: 'LFP',
			ambientC: 12,
			cells: Array.from({ length: 8 }, (_, i) => ({
				id: `c${i}`,
				capacityAh: 230,
				capacityFactor: 1 - i / 100,
				soc: 0.4 + i / 100,
				resistanceFactor: 1 + i / 20
			})),
			wiring: {
				kind: 'series',
				groups: [
					['c0', 'c1'],
					['c2', 'c3'],
					['c4', 'c5'],
					['c6', 'c7']
				],
				linkOhm: 1e-4
			}
		},
		steps: [
			{ kind: 'charge', currentA: 100, voltageV: 14.2, leadOhm: 0.01, until: { tailA: 12 } },
			{ kind: 'rest', until: { durationS: 3600 } },
			{ kind: 'discharge', powerW: 1200, until: { cellLowV: 2.6 } }
		],
		stepS,
		recordEveryS: 600
	});
	it.each([60, 20, 4])('from %s s changes every result by less than 0.1 percent', (stepS) => {
		const [whole, half] = [simulate(world(stepS)), simulate(world(stepS / 2))];
		whole.steps.forEach((step, k) => {
			expect(step.endedBy).toBe(half.steps[k]!.endedBy);
			for (const name of ['durationS', 'ah', 'wh', 'heatWh'] as const)
				expect(Math.abs(step[name] - half.steps[k]![name]), `${k} ${name}`).toBeLessThanOrEqual(
					1e-3 * Math.abs(half.steps[k]![name]) + 1e-6
				);
		});
		for (const id of Object.keys(whole.cells)) {
			expect(Math.abs(whole.cells[id]!.soc.at(-1)! - half.cells[id]!.soc.at(-1)!)).toBeLessThan(1e-3);
			expect(whole.cells[id]!.voltageV.at(-1)! / half.cells[id]!.voltageV.at(-1)!).toBeCloseTo(1, 3);
		}
	});
});

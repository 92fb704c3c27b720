import { describe, expect, it } from 'vitest';
import { simulate, type SimulationInput } from '.';

const four = (soc: number) => ['a', 'b', 'c', 'd'].map((id) => ({ id, capacityAh: 206, soc }));
const input = (more: Partial<SimulationInput> & Pick<SimulationInput, 'world' | 'steps'>): SimulationInput => ({
	stepS: 10,
	recordEveryS: 600,
	...more
});
const parallel = (soc: number) => ({
	chemistry: 'LFP' as const,
	cells: four(soc),
	wiring: { kind: 'parallel' as const }
});

describe('a parallel charge of four 206 Ah cells at 35 %', () => {
	it.each([
		[20, 0.01, 28],
		[10, 0.05, 89]
	])('takes with %s A and leads of %s Ω the published %s h', (currentA, leadOhm, hours) => {
		const { steps } = simulate(
			input({
				world: parallel(0.35),
				steps: [{ kind: 'charge', currentA, voltageV: 3.65, leadOhm, until: { tailA: 1 } }]
			})
		);
		expect(steps[0]!.endedBy).toBe('tail');
		expect(Math.abs(steps[0]!.durationS / 3600 / hours - 1)).toBeLessThan(0.04);
	});
	it('is in constant voltage from the first minute behind thin leads', () => {
		const { currentA, voltageV } = simulate(
			input({
				world: parallel(0.35),
				steps: [{ kind: 'charge', currentA: 10, voltageV: 3.65, leadOhm: 0.05, until: { durationS: 600 } }]
			})
		);
		expect(currentA[0]).toBeLessThan(9);
		expect(voltageV[0]! + currentA[0]! * 0.05).toBeCloseTo(3.65, 9);
	});
});

describe('joining 45 % and 60 % on the plateau', () => {
	const joined = (soc: [number, number], durationS: number) =>
		simulate({
			world: {
				chemistry: 'LFP',
				cells: [
					{ id: 'low', capacityAh: 206, soc: soc[0] },
					{ id: 'high', capacityAh: 206, soc: soc[1] }
				],
				wiring: { kind: 'parallel', linkOhm: 0.0001 }
			},
			steps: [{ kind: 'rest', until: { durationS } }],
			stepS: 10,
			recordEveryS: 3600
		});
	it('moves about a quarter of the difference in a day', () => {
		const { cells } = joined([0.45, 0.6], 86400);
		const left = cells.high!.soc.at(-1)! - cells.low!.soc.at(-1)!;
		expect(1 - left / 0.15).toBeGreaterThan(0.2);
		expect(1 - left / 0.15).toBeLessThan(0.3);
	});
	it('balances at the top in hours', () => {
		const { cells } = joined([0.985, 1.0], 6 * 3600);
		expect(cells.high!.soc.at(-1)! - cells.low!.soc.at(-1)!).toBeLessThan(0.002);
	});
	it('starts at the difference of the rest voltages over both resistances and links', () => {
		const { cells } = joined([0.4, 0.6], 60);
		// The table: 3.303 V at 60 %, 3.290 V at 40 %.
		expect(cells.low!.currentA[0]).toBeCloseTo((3.303 - 3.29) / (2 * (0.05 / 206 + 0.0001)), 6);
		expect(cells.high!.currentA[0]).toBeCloseTo(-cells.low!.currentA[0]!, 9);
	});
});

describe('ends', () => {
	const one = {
		chemistry: 'LFP' as const,
		cells: [{ id: 'a', capacityAh: 100, soc: 1, selfDischargePerMonth: 0 }],
		wiring: { kind: 'loose' as const }
	};
	it('are found to the moment, whatever the step', () => {
		const run = (stepS: number) =>
			simulate({
				world: one,
				steps: [{ kind: 'discharge', currentA: 20, until: { cellLowV: 2.5 } }],
				stepS,
				recordEveryS: 600
			});
		const fine = run(1);
		expect(fine.cells.a!.voltageV.at(-1)).toBeCloseTo(2.5, 4);
		expect(run(120).steps[0]!.ah / fine.steps[0]!.ah).toBeCloseTo(1, 4);
	});
	it('come early for a load that sees its own leads', () => {
		const at = (leadOhm: number) =>
			simulate({
				world: one,
				steps: [{ kind: 'discharge', currentA: 50, voltageV: 2.8, leadOhm, until: {} }],
				stepS: 10,
				recordEveryS: 600
			});
		const [wide, thin] = [at(0), at(0.005)];
		expect(wide.steps[0]!.endedBy).toBe('voltage');
		expect(wide.voltageV.at(-1)).toBeCloseTo(2.8, 4);
		// 50 A · 5 mΩ: the terminals still stand at 3.05 V.
		expect(thin.voltageV.at(-1)).toBeCloseTo(3.05, 4);
		expect(-thin.steps[0]!.ah).toBeLessThan(-wide.steps[0]!.ah - 1);
	});
	it('say when the load asks for more than there is', () => {
		const { steps } = simulate({
			world: one,
			steps: [{ kind: 'discharge', powerW: 100_000, until: { cellLowV: 0.1 } }],
			stepS: 1,
			recordEveryS: 1
		});
		expect(steps[0]!.endedBy).toBe('collapse');
	});
	it('of constant power hold the power', () => {
		const { currentA, voltageV } = simulate({
			world: one,
			steps: [{ kind: 'discharge', powerW: 100, until: { durationS: 3600 } }],
			stepS: 10,
			recordEveryS: 600
		});
		currentA.forEach((a, i) => expect(-a * voltageV[i]!).toBeCloseTo(100, 9));
	});
});

describe('a battery with a BMS', () => {
	const string = (socs: number[], bms: object) => ({
		chemistry: 'LFP' as const,
		cells: socs.map((soc, i) => ({ id: `c${i}`, capacityAh: 100, soc })),
		wiring: { kind: 'series' as const, groups: socs.map((_, i) => [`c${i}`]) },
		bms
	});
	it('stops the charge at the first full cell and names it by its voltage', () => {
		const { steps, cells } = simulate(
			input({
				world: string([0.5, 0.5, 0.6, 0.5], { voltageDelayS: 0 }),
				steps: [{ kind: 'charge', currentA: 20, voltageV: 14.6, until: { tailA: 2 } }],
				stepS: 1
			})
		);
		expect(steps[0]!.endedBy).toBe('bms');
		expect(cells.c2!.soc.at(-1)!).toBeGreaterThan(0.99);
		expect(cells.c0!.soc.at(-1)!).toBeCloseTo(0.9, 1);
	});
	it('goes on after release when the step has a duration', () => {
		const { currentA } = simulate(
			input({
				world: string([0.999, 0.999], { cellHighV: 3.5, cellHighReleaseV: 3.49 }),
				steps: [{ kind: 'charge', currentA: 20, until: { durationS: 4 * 3600 } }],
				stepS: 1,
				recordEveryS: 10
			})
		);
		const switched = currentA.filter((a, i) => i > 0 && a > 0 !== currentA[i - 1]! > 0).length;
		expect(switched).toBeGreaterThan(2);
	});
	it('blocks charge below freezing and not discharge', () => {
		const cold = { ...string([0.5, 0.5], {}), ambientC: -5 };
		const { steps } = simulate(
			input({
				world: cold,
				steps: [
					{ kind: 'charge', currentA: 10, voltageV: 7.3, until: { tailA: 1 } },
					{ kind: 'discharge', currentA: 10, until: { durationS: 600 } }
				]
			})
		);
		expect(steps[0]).toMatchObject({ endedBy: 'bms' });
		expect(steps[0]!.ah).toBeLessThan(0.1);
		expect(steps[1]!.ah).toBeCloseTo(-10 / 6, 9);
	});
	it('cuts an over-current after its delay and releases a minute later', () => {
		const { currentA, timeS } = simulate({
			world: string([0.5, 0.5], { dischargeMaxA: 50, currentDelayS: 10 }),
			steps: [{ kind: 'discharge', currentA: 80, until: { durationS: 100 } }],
			stepS: 1,
			recordEveryS: 1
		});
		const at = (t: number) => currentA[timeS.findIndex((x) => x >= t)];
		expect(at(9)).toBe(-80);
		expect(at(13)).toBeCloseTo(0, 12);
		expect(at(75)).toBe(-80);
	});
	it('is noisy by its seed alone', () => {
		const noisy = (seed: number) =>
			simulate(
				input({
					world: { ...string([0.98, 0.99], { noiseV: 0.01, cellHighV: 3.5 }), seed },
					steps: [{ kind: 'charge', currentA: 20, until: { durationS: 3600 } }],
					stepS: 1
				})
			);
		expect(noisy(7)).toEqual(noisy(7));
		expect(noisy(7).steps[0]!.ah).not.toBe(noisy(8).steps[0]!.ah);
	});
});

describe('a balancer', () => {
	const apart = (balancer: object) =>
		simulate({
			world: {
				chemistry: 'LFP',
				cells: [
					{ id: 'high', capacityAh: 100, soc: 0.999 },
					{ id: 'low', capacityAh: 100, soc: 0.985 }
				],
				wiring: { kind: 'series' },
				balancer
			},
			steps: [{ kind: 'charge', currentA: 0.2, voltageV: 7.3, until: { durationS: 3600 } }],
			stepS: 1,
			recordEveryS: 600
		});
	const gap = ({ cells }: ReturnType<typeof apart>) => 100 * (cells.high!.soc.at(-1)! - cells.low!.soc.at(-1)!);
	it('bleeds its current for as long as it runs', () => {
		const before = gap(apart({ startV: 9 }));
		expect(before - gap(apart({ kind: 'passive', currentA: 0.15 }))).toBeCloseTo(0.15, 2);
	});
	it('that is active moves the same charge with its loss', () => {
		const { cells, steps } = apart({ kind: 'active', currentA: 0.5 });
		const before = gap(apart({ startV: 9 }));
		expect(before - gap({ cells, steps } as never)).toBeGreaterThan(0.5 * 1.85 * 0.9);
		expect(cells.high!.currentA.at(-1)).toBeLessThan(cells.low!.currentA.at(-1)!);
	});
});

describe('what is refused', () => {
	const good = input({ world: parallel(0.5), steps: [{ kind: 'rest', until: { durationS: 60 } }] });
	it.each<[string, Partial<SimulationInput>, RegExp]>([
		['no cells', { world: { ...good.world, cells: [] } }, /one cell/],
		['one id twice', { world: { ...good.world, cells: [{ id: 'a' }, { id: 'a' }] } }, /id of its own/],
		['an unknown cell', { world: { ...good.world, wiring: { kind: 'series', groups: [['x']] } } }, /no cell "x"/],
		['a cell wired twice', { world: { ...good.world, wiring: { kind: 'series', groups: [['a'], ['a']] } } }, /twice/],
		['an empty group', { world: { ...good.world, wiring: { kind: 'series', groups: [['a'], []] } } }, /each group/],
		[
			'a charge of loose cells',
			{
				world: { ...good.world, wiring: { kind: 'loose' } },
				steps: [{ kind: 'charge', currentA: 1, until: { durationS: 1 } }]
			},
			/no common terminals/
		],
		['a supply without a current', { steps: [{ kind: 'charge', voltageV: 3.6, until: { durationS: 1 } }] }, /currentA/],
		['a rest without an end', { steps: [{ kind: 'rest', until: {} }] }, /durationS/],
		['a tail without a voltage', { steps: [{ kind: 'charge', currentA: 1, until: { tailA: 1 } }] }, /voltageV/],
		['too many steps', { steps: [{ kind: 'rest', until: { durationS: 1e9 } }] }, /cell-steps/],
		[
			'too much to record',
			{ stepS: 600, recordEveryS: 600, steps: [{ kind: 'rest', until: { durationS: 3e8 } }] },
			/figures/
		],
		['a step too short', { stepS: 1e-4 }, /stepS/],
		['a charge of 200 %', { world: { ...good.world, cells: [{ id: 'a', soc: 2 }] } }, /soc/],
		[
			'a release past its limit',
			{ world: { ...good.world, bms: { cellHighV: 3.5, cellHighReleaseV: 3.6 } } },
			/inside its limit/
		]
	])('%s', (_, change, message) => expect(() => simulate({ ...good, ...change })).toThrow(message));
	it('an end that is never reached, before anyone waits for it long', () => {
		const never = { kind: 'charge' as const, currentA: 0.001, voltageV: 3.3, until: { cellHighV: 3.6 } };
		expect(() => simulate({ ...good, steps: [never], stepS: 1, recordEveryS: 1e9 }, 100_000)).toThrow(/did not end/);
	});
});

import { describe, expect, it } from 'vitest';
import { balancerDays, followMethod } from '.';
import type { MethodEntry } from '../../picture';
import { world, entry, run, codes, steps } from './cases';

describe('by a balancer', () => {
	const near = (hours: number, volts: number[], step = 'read') => entry(step, hours, { volts, currentA: 1 });
	it('takes the Ah apart by what it moves a day; or never catches up', () => {
		// 2 Ah at 0.1 A for 4 h a day is five days; with 0.4 Ah a day parting them it never ends.
		const apart = { low95: 1, likely: 2, high95: 4 };
		expect(balancerDays(apart, { balancerA: 0.1, hoursADay: 4 })!.likely).toBeCloseTo(5, 9);
		expect(balancerDays(apart, { balancerA: 0.1, hoursADay: 4, growthAhADay: 0.4 })).toBeNull();
		expect(balancerDays(apart, {})).toBeNull();
		const read = near(0, [3.4, 3.55, 3.42, 3.41]);
		expect(codes(run('balancer', [read], { balancerA: 0.1, hoursADay: 4 }))).toContain('balancer-days');
		expect(
			codes(run('balancer', [near(0, [3.4, 3.64, 3.33, 3.33])], { balancerA: 0.1, hoursADay: 1, growthAhADay: 1 }))
		).toContain('balancer-never');
		expect(codes(run('balancer', []))).toEqual(['balancer-not-read']);
		// Nobody said what it moves: nothing is told of days.
		expect(codes(run('balancer', [read]))).toEqual(['balance-unsure']);
		// Read from the battery’s negative they are no groups apart.
		expect(codes(run('balancer', [near(0, [3.4, 6.8, 10.2, 13.6])], { balancerA: 1, hoursADay: 4 }))).toEqual([
			'read-cumulative'
		]);
	});
	it('the Ah between passings of a log count, where volts alone are wider', () => {
		const volts = [3.409, 3.583, 3.419, 3.429];
		const passings = {
			voltageV: 3.405,
			endAh: 4.2,
			groups: [4.15, 3.18, 4.04, 3.94].map((ah) => ({ ah, sdAh: 0.05 }))
		};
		const days = (more: Partial<MethodEntry>) =>
			followMethod(
				run('balancer', [entry('read', 0, { volts, currentA: 10, ...more })], { balancerA: 1, hoursADay: 5 }),
				world
			).verdicts.find((v) => v.code === 'balancer-days')!.facts as { days: { low95: number; high95: number } };
		const [bare, logged] = [days({}).days, days({ passings }).days];
		// 0.97 Ah at 5 Ah a day.
		expect(logged.low95).toBeLessThan(0.194);
		expect(logged.high95).toBeGreaterThan(0.194);
		expect(logged.high95 - logged.low95).toBeLessThan(bare.high95 - bare.low95);
	});
	it('is proved by what a clamp shows more with it on than off: 0.4 of its own amperes is work, a tenth is not', () => {
		const clamp = (offA: number, onA: number) =>
			codes(
				run('balancer', [entry('clamp-off', 0, { currentA: offA }), entry('clamp', 1, { currentA: onA })], {
					balancerA: 2
				})
			);
		expect(clamp(0.1, 1.9)).toContain('balancer-works');
		expect(clamp(0, -1.9)).toContain('balancer-works');
		expect(clamp(0, 0.2)).toContain('balancer-idle');
		// A clamp that shows 1.9 A of nothing proves nothing.
		expect(clamp(1.8, 1.9)).toContain('balancer-idle');
		// One figure alone leaves its zero open.
		const alone = codes(run('balancer', [entry('clamp', 1, { currentA: 1.9 })], { balancerA: 2 }));
		expect(alone).toContain('balancer-clamp-alone');
		expect(alone).not.toContain('balancer-works');
	});
	it('is not for cells larger than it is made for', () => {
		expect(codes(run('balancer', [], { mostCellAh: 50 }))).toContain('balancer-unfit');
		expect(codes(run('balancer', [], { mostCellAh: 400 }))).not.toContain('balancer-unfit');
	});
	it('is proved by a night off and a night on, or told to be unproved', () => {
		const night = (which: string, from: number, evening: number[], morning: number[]) => [
			near(from, evening, `${which}-evening`),
			near(from + 10, morning, `${which}-morning`)
		];
		const high = [3.4, 3.52, 3.4, 3.4];
		const setup = { balancerA: 0.3, hoursADay: 10 };
		const off = night('off', 0, high, high);
		expect(codes(run('balancer', [...off, ...night('on', 24, high, [3.4, 3.4, 3.4, 3.4])], setup))).toContain(
			'balancer-works'
		);
		expect(codes(run('balancer', [...off, ...night('on', 24, high, high)], setup))).toContain('balancer-idle');
		// Two hours are no night.
		const short = [near(24, high, 'on-evening'), near(26, [3.4, 3.4, 3.4, 3.4], 'on-morning')];
		expect(codes(run('balancer', [...off, ...short], setup)).filter((c) => /works|idle|unproved/.test(c))).toEqual([]);
	});
	it('fits or does not: chemistry, count, leads, where it starts', () => {
		expect(codes(run('balancer', [], { madeFor: 'NMC' }))).toContain('balancer-unfit');
		expect(codes(run('balancer', [], { leastSeries: 8 }))).toContain('balancer-unfit');
		expect(codes(run('balancer', [], { startV: 3.2 }))).toContain('balancer-starts-low');
		expect(codes(run('balancer', [], { startV: 3.45, stopV: 3.3 }))).toContain('balancer-starts-low');
		expect(codes(run('balancer', [], { startV: 3.45 }))).not.toContain('balancer-starts-low');
		// 2 A through 5 mΩ twice, and 0.5 mΩ of the cell: 21 mV.
		const leads = { balancerA: 2, leadOhm: 0.005 };
		expect(codes(run('balancer', [], { ...leads, triggerV: 0.02 }))).toContain('balancer-leads');
		expect(codes(run('balancer', [], { ...leads, triggerV: 0.022 }))).not.toContain('balancer-leads');
	});
	it('smoke stops all else until somebody has said what was found', () => {
		const smoke = run('balancer', [entry('smoke', 1)]);
		expect(followMethod(smoke, world)).toMatchObject({ verdicts: [{ code: 'balancer-smoke', warmth: 'stop' }] });
		expect(steps(smoke)).toEqual(['made-safe']);
		expect(
			codes(run('balancer', [entry('smoke', 1), entry('made-safe', 2, { words: 'a lead chafed' })]))
		).not.toContain('balancer-smoke');
	});
});

import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { checkLivePlan, remainingS, startLive, toEndS, type LivePhase } from '.';
import { charge, discharge, planned, rest, run, sample, steady } from './cases';

describe('counting', () => {
	it('integrates by trapezoid: 20 A for half an hour is 10 Ah and, at 3.2 V, 32 Wh out', () => {
		const { state } = run([discharge], steady(0, 1800, 10, { currentA: -20, voltageV: 3.2 }));
		expect(state.sums[0]!.ah).toBeCloseTo(-10, 9);
		expect(state.sums[0]!.wh).toBeCloseTo(-32, 9);
	});
	it('takes energy at the cell where a meter reads there', () => {
		const { state } = run([discharge], steady(0, 3600, 10, { currentA: -10, voltageV: 3.1, cellV: 3.2 }));
		expect(state.sums[0]!.wh).toBeCloseTo(-32, 9);
	});
	it('marks a gap, does not count it, and says what a steady current would have moved', () => {
		const samples = [...steady(0, 600, 10, { currentA: -20 }), ...steady(1500, 2000, 10, { currentA: -20 })];
		const { state, events } = run([discharge], samples);
		expect(state.sums[0]!.ah).toBeCloseTo((-20 * 1100) / 3600, 9);
		expect(state.sums[0]).toMatchObject({ gapS: 900 });
		expect(state.sums[0]!.gapAh).toBeCloseTo(-5, 9);
		expect(events.map((e) => e.kind)).toEqual(['gap']);
	});
	it('takes the first stretch after a restart as a gap however short it is', () => {
		const { state, events } = run(
			[discharge],
			[...steady(0, 100, 10, { currentA: -20 }), { ...sample(112, { currentA: -20 }), afterBreak: true }]
		);
		expect(events.map((e) => e.kind)).toEqual(['gap']);
		expect(state.sums[0]!.gapS).toBe(12);
	});
	it('does not take a sample whose clock stands still', () => {
		const { state } = run([discharge], [sample(10, { currentA: -20 }), sample(10, { currentA: 99 })]);
		expect(state.last!.currentA).toBe(-20);
	});
	it('never gains charge from how the samples are cut', () => {
		fc.assert(
			fc.property(fc.array(fc.integer({ min: 1, max: 9 }), { minLength: 2, maxLength: 50 }), (steps) => {
				let at = 0;
				const cuts = [0, ...steps.map((s) => (at += s))];
				const { state } = run(
					[discharge],
					cuts.map((t) => sample(t, { currentA: -36 }))
				);
				expect(state.sums[0]!.ah + state.sums[0]!.gapAh).toBeCloseTo((-36 * at) / 3600, 9);
			})
		);
	});
});

describe('ends', () => {
	it('a discharge at the load’s own cut-off, or at the voltage if the load has none', () => {
		const ended = run(
			[discharge],
			[...steady(0, 60, 10, { currentA: -20 }), sample(70, { outputOn: false, cutOff: true })]
		);
		expect(ended.state.done).toBe(true);
		expect(ended.events.at(-1)).toMatchObject({ kind: 'done', needsPerson: true });
		expect(
			run([discharge], [sample(0, { currentA: -20 }), sample(10, { currentA: -20, voltageV: 2.49 })]).state.done
		).toBe(true);
	});
	it('a discharge at the cells’ own terminals, should the load show too much', () => {
		const { state } = run(
			[discharge],
			[sample(0, { currentA: -20 }), sample(10, { currentA: -20, voltageV: 2.7, cellV: 2.49 })]
		);
		expect(state.done).toBe(true);
	});
	it('a charge only when the tail has lasted at the voltage', () => {
		const taper = (from: number, to: number, voltageV: number) => steady(from, to, 10, { currentA: 4, voltageV });
		expect(run([charge], taper(0, 50, 3.65)).state.done).toBe(false);
		expect(run([charge], taper(0, 60, 3.65)).state.done).toBe(true);
		// Low current below the voltage is lead trouble or a supply that is off, not a full cell.
		expect(run([charge], taper(0, 600, 3.5)).state.done).toBe(false);
		const broken = [...taper(0, 50, 3.65), sample(60, { currentA: 8, voltageV: 3.65 }), ...taper(70, 120, 3.65)];
		expect(run([charge], broken).state.done).toBe(false);
	});
	it('a charge back at the charge it was to take', () => {
		const back: LivePhase = { ...charge, stopAh: 2 };
		const { state } = run([back], steady(0, 600, 10, { currentA: 20, voltageV: 3.3 }));
		expect(state.done).toBe(true);
		expect(state.sums[0]!.ah).toBeCloseTo(2, 1);
	});
	it('walks charge, rest and discharge in order, counting each for itself', () => {
		const { state, events } = run(
			[charge, rest, discharge],
			[
				...steady(0, 600, 10, { currentA: 20, voltageV: 3.4 }),
				...steady(610, 670, 10, { currentA: 4, voltageV: 3.65 }),
				...steady(680, 800, 10, { currentA: 0, outputOn: null }),
				...steady(810, 1000, 10, { currentA: -20 }),
				sample(1010, { outputOn: false, cutOff: true })
			]
		);
		expect(events.map((e) => e.kind)).toEqual(['phase-ended', 'phase-ended', 'done']);
		expect(state.sums).toHaveLength(3);
		expect(state.sums[0]!.ah).toBeGreaterThan(3.3);
		expect(state.sums[1]!.ah).toBe(0);
		expect(state.sums[2]!.ah).toBeCloseTo((-20 * 195) / 3600, 9);
	});
	it('takes nothing more once done', () => {
		const { state } = run([discharge], [sample(0), sample(10, { cutOff: true }), sample(20, { currentA: -50 })]);
		expect(state.last!.atMs).toBe(1_010_000);
	});
});

describe('asking for a person', () => {
	it('when the probes slip, which neither ends the run nor spoils its energy', () => {
		const { state, events } = run(
			[discharge],
			[0, 600, 1200, 1800].map((s, k) => sample(s, { currentA: -20, voltageV: 3.2, cellV: k < 2 ? 3.2 : 0.001 }))
		);
		expect(state.done).toBe(false);
		expect(state.sums[0]!.wh).toBeCloseTo(-32, 9);
		expect(events.map((e) => e.kind)).toEqual(['probes-off']);
	});
	it('when a meter at the cells reads more than the supply is set to, and not for what both can err', () => {
		const at = (cellV: number) =>
			run([charge], [sample(0, { currentA: 20 }), sample(1, { currentA: 20, cellV })]).events;
		expect(at(3.67)).toEqual([]);
		// However far above: a supply that is set for another battery is no slipped probe.
		expect(at(12.4).map((e) => e.kind)).toEqual(['over-voltage']);
		expect(at(3.7)).toMatchObject(
			[{ kind: 'over-voltage', needsPerson: true, message: /3\.700 V .* 3\.65 V/ }].map((e) => ({
				...e,
				message: expect.stringMatching(e.message)
			}))
		);
	});
	it('when the output went off by itself', () => {
		const { events } = run([charge], [sample(0, { currentA: 20 }), sample(10, { outputOn: false })]);
		expect(events).toMatchObject([{ kind: 'output-lost', needsPerson: true }]);
	});
	it('once, a quarter of an hour before a discharge should end', () => {
		const { events } = run([discharge], steady(0, 3600 * 4.9, 60, { currentA: -20 }), 100);
		expect(events.filter((e) => e.kind === 'soon')).toHaveLength(1);
		// 100 Ah at 20 A: five hours, told when the early bound of what is left is 900 s.
		expect((events[0]!.atMs - 1_000_000) / 1000).toBeGreaterThan(3.5 * 3600);
	});
	it('from the fall of the current in a taper', () => {
		const falling = Array.from({ length: 60 }, (_, k) =>
			sample(k * 60, { currentA: 18 * Math.exp(-k / 30), voltageV: 3.65 })
		);
		const { state } = run([charge], falling.slice(0, 25));
		// From 18 A to 5 A with a time constant of 1800 s takes 2306 s; 1440 s have gone, and the hold comes after.
		const left = remainingS(planned([charge], null), state)!;
		expect(left.low).toBeLessThan(926);
		expect(left.high).toBeGreaterThan(926);
	});
	it('and cannot tell without a current or an expectation', () => {
		expect(remainingS(planned([discharge], 100), run([discharge], [sample(0)]).state)).toBeNull();
		expect(remainingS(planned([discharge], null), run([discharge], [sample(0, { currentA: -20 })]).state)).toBeNull();
		expect(remainingS(planned([{ kind: 'watch' }], 100), run([{ kind: 'watch' }], [sample(0)]).state)).toBeNull();
		// Hardly anything flows of the 20 A set: the output is off, and no years are told.
		expect(remainingS(planned([discharge], 100), run([discharge], [sample(0, { currentA: -0.001 })]).state)).toBeNull();
	});
});

describe('the whole run', () => {
	const back: LivePhase = { ...charge, stopAh: 40 };
	const all = [charge, rest, discharge, back];
	it('takes, before it has begun, what its phases take as planned', () => {
		// 100 Ah at 20 A: 5 h. Charge 1 min to 6.25 h and its hold; rest 2 min; discharge 4.5 to 5.5 h; 40 Ah back 2 to 2.5 h.
		expect(toEndS(planned(all, 100), startLive())).toEqual({
			low: expect.closeTo(60 + 120 + 4.5 * 3600 + 2 * 3600, 6),
			high: expect.closeTo(6.25 * 3600 + 60 + 120 + 5.5 * 3600 + 2.5 * 3600, 6)
		});
	});
	it('has what is left of its phase, and the phases after it', () => {
		const { state } = run([discharge, rest], steady(0, 9000, 10, { currentA: -20 }));
		// 50 of 80 to 110 Ah are out: 1.5 to 3 h, and the rest.
		expect(toEndS(planned([discharge, rest], 100), state)).toEqual({
			low: expect.closeTo(1.5 * 3600 + 120, 3),
			high: expect.closeTo(3 * 3600 + 120, 3)
		});
	});
	it('counts down in a charge nobody knows the beginning of, and never below nought', () => {
		const at = (s: number) => toEndS(planned([charge], 100), run([charge], steady(0, s, 60, { currentA: 20 })).state)!;
		expect(at(3600)).toEqual({ low: 0, high: expect.closeTo(5.25 * 3600 + 60, 3) });
		expect(at(30 * 3600)).toEqual({ low: 0, high: 0 });
	});
	it('has no end in a watch, and an unknown one when nobody knows the capacity', () => {
		expect(toEndS(planned([{ kind: 'watch' }], 100), startLive())).toBeNull();
		expect(toEndS(planned([rest, discharge], null), startLive())).toBeNull();
		expect(toEndS(planned([rest, back], null), startLive())).not.toBeNull();
	});
});

describe('a plan', () => {
	const limits = {
		chargeLimitV: 3.65,
		dischargeLimitV: 2.5,
		chargeMaxA: 50,
		dischargeMaxA: 100,
		chargeColdC: 0,
		temperatureC: 20
	};
	it('within the cells’ limits is let through, up to the limits themselves', () => {
		expect(() => checkLivePlan([charge, rest, discharge], limits)).not.toThrow();
		const edge: LivePhase[] = [
			{ ...charge, currentA: 50 },
			{ ...discharge, currentA: 100, cutoffV: 2.5 }
		];
		expect(() => checkLivePlan(edge, { ...limits, temperatureC: 0 })).not.toThrow();
		expect(() => checkLivePlan([charge], { ...limits, temperatureC: null })).not.toThrow();
	});
	it.each<[string, LivePhase[], Partial<typeof limits>, RegExp]>([
		[
			'above the charge limit',
			[{ ...charge, voltageV: 3.7 }],
			{},
			/at most the cells’ charge limit, 3\.65 V, got 3\.7 V/
		],
		['with too strong a charge', [{ ...charge, currentA: 51 }], {}, /charge current, 50 A/],
		['with too strong a discharge', [{ ...discharge, currentA: 101 }], {}, /discharge current, 100 A/],
		['below the discharge limit', [{ ...discharge, cutoffV: 2.4 }], {}, /discharge limit, 2\.5 V/],
		['that charges in a frost', [charge], { temperatureC: -1 }, /below 0 °C.*warm/],
		['with nothing in it', [], {}, /one phase/],
		['with a tail above the current', [{ ...charge, tailA: 20 }], {}, /less than the set current/],
		['with no current', [{ ...discharge, currentA: 0 }], {}, /above 0/],
		['with a rest that is not a number', [{ ...rest, durationS: NaN }], {}, /finite/]
	])('%s is refused', (_, phases, more, message) =>
		expect(() => checkLivePlan(phases, { ...limits, ...more })).toThrow(message)
	);
	it('may discharge in a frost: only charging is barred', () =>
		expect(() => checkLivePlan([discharge], { ...limits, temperatureC: -10 })).not.toThrow());
});

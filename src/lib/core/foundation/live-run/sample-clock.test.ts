import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { startLive, takeSample, type LivePhase, type LiveSample } from '.';
import { charge, discharge, planned, run, sample, steady } from './cases';

describe('the clock of an instrument', () => {
	const charged = steady(0, 600, 10, { currentA: 20, voltageV: 3.4 });
	/** Samples by a clock that was set back an hour, arriving on as before. */
	const setBack = (from: number, to: number, more: Partial<LiveSample>) =>
		steady(from, to, 10, more).map((s) => ({ ...s, atMs: s.atMs - 3_600_000, heardMs: s.atMs }));

	it('that steps back is said, marks a gap, and hides nothing: the tail is seen', () => {
		const { state, events } = run([charge], [...charged, ...setBack(610, 700, { currentA: 4, voltageV: 3.65 })]);
		expect(events.map((e) => e.kind)).toEqual(['clock', 'gap', 'done']);
		expect(events[0]!.message).toContain('back by 3600 s');
		// What flowed across the step is told by our clock: ten seconds.
		expect(state.sums[0]).toMatchObject({ gapS: 10 });
		expect(state.last!.atMs).toBe(1_000_000 + 670_000);
	});
	it('never lets the run’s time go back, however it jumps', () => {
		fc.assert(
			fc.property(fc.array(fc.integer({ min: -5000, max: 5000 }), { minLength: 2, maxLength: 40 }), (jumps) => {
				let state = startLive();
				let [lastMs, ah] = [-Infinity, 0];
				jumps.forEach((jumpS, k) => {
					const shown = sample(k * 10 + jumpS, { currentA: 20, voltageV: 3.3 });
					const arrival = { heardMs: 5_000_000 + k * 10_000, afterBreak: false, simulated: false };
					const before = state;
					({ state } = takeSample(planned([charge], null), state, shown, arrival));
					if (state === before) return;
					expect(state.last!.atMs).toBeGreaterThan(lastMs);
					expect(state.sums[0]!.ah).toBeGreaterThanOrEqual(ah);
					lastMs = state.last!.atMs;
					ah = state.sums[0]!.ah;
				});
			})
		);
	});
	it('that jumps ahead is not charge that flowed, unless its time may run faster', () => {
		const ahead = { ...sample(4210, { currentA: 20, voltageV: 3.4 }), heardMs: 1_610_000 };
		expect(run([charge], [...charged, ahead]).state.sums[0]).toMatchObject({ gapS: 10 });
		expect(run([charge], [...charged, ahead], null, true).state.sums[0]).toMatchObject({ gapS: 3610 });
	});
	it('of the next phase’s instrument may stand elsewhere: nothing is said, and nothing is missed', () => {
		const { state, events } = run(
			[{ ...charge, holdS: 0 }, discharge],
			[
				...charged,
				sample(610, { currentA: 4, voltageV: 3.65 }),
				...setBack(620, 980, { currentA: -20 }),
				{ ...sample(990 - 3600, { currentA: -20, voltageV: 2.49 }), heardMs: 1_990_000 }
			]
		);
		expect(events.map((e) => e.kind)).toEqual(['phase-ended', 'done']);
		expect(state.sums[1]!.ah).toBeCloseTo((-20 * 370) / 3600, 6);
	});
});

describe('what instruments say of one thing', () => {
	const set = (voltageV: number, currentA: number): Partial<LiveSample> => ({ setTo: { voltageV, currentA } });
	it('a setting that is not reported back is a stop; rounding is not', () => {
		const events = (more: Partial<LiveSample>) =>
			run([charge], [sample(0, { currentA: 20 }), sample(10, { currentA: 20, ...more })]).events;
		expect(events(set(3.65, 20.1))).toEqual([]);
		expect(events(set(14.6, 20))).toMatchObject([
			{ kind: 'not-as-set', needsPerson: true, message: expect.stringContaining('14.60 V, not 3.65 V') }
		]);
		expect(events(set(3.65, 5))).toMatchObject([{ message: expect.stringContaining('5.0 A, not 20.0 A') }]);
	});
	it('an output that is off at its first sample is lost, too', () =>
		expect(run([charge], [sample(0, { outputOn: false })]).events).toMatchObject([{ kind: 'output-lost' }]));
	it('load, shunt and BMS are compared as it flows, told once a phase and only when they stay apart', () => {
		const shunt = (currentA: number): Partial<LiveSample> => ({
			currentA: -50,
			alsoRead: [{ name: 'shunt', currentA }]
		});
		const fifty: LivePhase = { kind: 'discharge', currentA: 50, cutoffV: 2.5 };
		expect(run([fifty], steady(0, 600, 10, shunt(-50.5))).events).toEqual([]);
		const { events } = run([fifty], steady(0, 600, 10, shunt(-51.3)));
		expect(events).toMatchObject([
			{ kind: 'currents-apart', message: expect.stringMatching(/set 50\.0 A, shunt 51\.3 A \(2\.6 % apart\)/) }
		]);
		// One odd moment is none.
		expect(
			run([fifty], [...steady(0, 50, 10, shunt(-50)), sample(60, shunt(-60)), sample(70, shunt(-50))]).events
		).toEqual([]);
		// The display's known error is taken out of the count and is no news; a supply in its taper gives less than set.
		expect(run([fifty], steady(0, 600, 10, { currentA: -48.9, displayA: -50 })).events).toEqual([]);
		expect(
			run([charge], steady(0, 40, 10, { currentA: 9, alsoRead: [{ name: 'bms', currentA: 9.1 }] })).events
		).toEqual([]);
	});
});

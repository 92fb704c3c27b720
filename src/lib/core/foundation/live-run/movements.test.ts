import { describe, expect, it } from 'vitest';
import { movementsOfLive, startLive, type LivePhase, type LiveState } from '.';

const phases: LivePhase[] = [
	{ kind: 'charge', voltageV: 3.6, currentA: 20, tailA: 2, holdS: 0 },
	{ kind: 'rest', durationS: 3600 },
	{ kind: 'discharge', currentA: 20, cutoffV: 2.5 },
	{ kind: 'charge', voltageV: 3.4, currentA: 20, tailA: 2, holdS: 0, stopAh: 50 }
];
const sums = (startedMs: number, ah: number, gapAh = 0) => ({
	startedMs,
	endedMs: startedMs + 1000,
	ah,
	wh: 0,
	gapS: 0,
	gapAh
});
const state = (more: Partial<LiveState>): LiveState => ({ ...startLive(), ...more });

describe('what a live run did to the charge of its cell', () => {
	it('filled, emptied and gave back so much, rests left out', () => {
		const movements = movementsOfLive(
			phases,
			state({ phase: 3, done: true, sums: [sums(0, 55), sums(2000, 0), sums(4000, -100), sums(6000, 50)] }),
			true
		);
		expect(movements.map((d) => d.end)).toEqual(['full', 'empty', null]);
		expect(movements[2]!.movedAh!.low).toBeLessThan(50);
		expect(movements[2]!.movedAh!.high).toBeGreaterThan(50);
	});

	it('a phase that was broken off ends nowhere', () => {
		const movements = movementsOfLive(phases, state({ phase: 0, sums: [sums(0, 20)] }), true);
		expect(movements).toHaveLength(1);
		expect(movements[0]).toMatchObject({ end: null, untilMs: 1000 });
	});

	it('goes on while the run does', () => {
		const running = { ...sums(0, 20), endedMs: null };
		expect(movementsOfLive(phases, state({ phase: 0, sums: [running] }), false)[0]!.untilMs).toBeNull();
	});

	it('counts a gap as nothing or as a steady current', () => {
		const [movement] = movementsOfLive(phases, state({ phase: 1, sums: [sums(0, 40, 10), sums(2000, 0)] }), false);
		expect(movement!.movedAh!.low).toBeLessThan(40);
		expect(movement!.movedAh!.high).toBeGreaterThan(50 * 0.99);
	});
});

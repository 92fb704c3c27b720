import type { LiveSample, LiveState } from './live-state';

/** What became of an instrument's clock between two samples. */
export type ClockNews = { kind: 'stands-still' } | { kind: 'jumped'; byS: number } | null;

/**
 * A step forward of the instrument's clock is a jump when it is this many times our own step and longer than so many ms: a slow
 * answer is not.
 */
const JUMP = { times: 10, leastMs: 60_000 };

export interface TimedSample {
	/** The sample on the run's own time, which never goes back; null when the instrument's clock has not moved. */
	sample: LiveSample | null;
	state: LiveState;
	news: ClockNews;
}

/**
 * Puts a sample on the run's time. Samples are ordered as they arrive by our clock; the instrument's clock only tells how long a
 * stretch was. Where it steps back, or forward by far more than ours, the stretch has the length our clock gives it, and the rest
 * is counted from there.
 * @param heardMs our clock at arrival, ms since 1970
 * @param simulated the instrument's time may run faster than ours, so only a step back is a fault
 */
export function onRunTime(state: LiveState, shown: LiveSample, heardMs: number, simulated: boolean): TimedSample {
	const { clock, last } = state;
	const withClock = (shiftMs: number, news: ClockNews): TimedSample => ({
		sample: { ...shown, atMs: shown.atMs + shiftMs },
		state: { ...state, clock: { shiftMs, shownMs: shown.atMs, heardMs } },
		news
	});
	// A run stored before clocks were kept goes on by its last sample.
	const before = clock ?? (last ? { shiftMs: 0, shownMs: last.atMs, heardMs } : null);
	if (!before) return withClock(0, null);
	const stepMs = shown.atMs - before.shownMs;
	const ourStepMs = Math.max(1, heardMs - before.heardMs);
	if (stepMs === 0) return { sample: null, state, news: { kind: 'stands-still' } };
	const isJump = stepMs < 0 || (!simulated && stepMs > JUMP.leastMs && stepMs > JUMP.times * ourStepMs);
	if (!isJump) return withClock(before.shiftMs, null);
	const atMs = before.shownMs + before.shiftMs + ourStepMs;
	return withClock(atMs - shown.atMs, { kind: 'jumped', byS: (stepMs - ourStepMs) / 1000 });
}

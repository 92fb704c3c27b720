import type { Chemistry } from '../chemistry';
import { startLive, type LiveSample, type LiveState } from './live-state';
import { takeSample, type LiveEvent } from './take-sample';
import type { LivePhase } from './live-plan';
import type { PlannedRun } from './live-duration';

export const charge = { kind: 'charge', voltageV: 3.65, currentA: 20, tailA: 5, holdS: 60 } satisfies LivePhase;
export const rest = { kind: 'rest', durationS: 120 } satisfies LivePhase;
export const discharge = { kind: 'discharge', currentA: 20, cutoffV: 2.5 } satisfies LivePhase;
export const sample = (s: number, more: Partial<LiveSample> = {}): LiveSample => ({
	atMs: 1_000_000 + s * 1000,
	voltageV: 3.3,
	currentA: 0,
	cellV: null,
	outputOn: true,
	cutOff: false,
	...more
});

export const planned = (
	phases: LivePhase[],
	expectedAh: number | null,
	chemistry: Chemistry | null = null
): PlannedRun => ({ phases, expectedAh, chemistry });

/** Takes samples one after the other. */
export function run(
	phases: LivePhase[],
	samples: (LiveSample & { afterBreak?: boolean; heardMs?: number })[],
	expectedAh: number | null = null,
	simulated = false,
	chemistry: Chemistry | null = null
) {
	let state: LiveState = startLive();
	const events: LiveEvent[] = [];
	for (const { afterBreak = false, heardMs, ...s } of samples) {
		const step = takeSample({ phases, expectedAh, chemistry }, state, s, {
			heardMs: heardMs ?? s.atMs,
			afterBreak,
			simulated
		});
		state = step.state;
		events.push(...step.events);
	}
	return { state, events };
}
export const steady = (from: number, to: number, every: number, more: Partial<LiveSample>) =>
	Array.from({ length: Math.floor((to - from) / every) + 1 }, (_, k) => sample(from + k * every, more));

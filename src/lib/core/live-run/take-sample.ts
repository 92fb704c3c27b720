import { remainingS } from './live-duration';
import type { LivePhase } from './live-plan';
import { probesAreOff, type LiveSample, type LiveState } from './live-state';

export type LiveEventKind = 'gap' | 'phase-ended' | 'output-lost' | 'over-voltage' | 'probes-off' | 'soon' | 'done';
/** Something that happened at a sample. */
export interface LiveEvent {
	kind: LiveEventKind;
	atMs: number;
	message: string;
	/** A person has to do something. */
	needsPerson: boolean;
}

/** A step longer than this many usual ones is a gap. */
const GAP_STEPS = 10;
/** Weight of the newest step in the usual one. */
const STEP_WEIGHT = 0.1;
/** The supply's display stands at its set voltage within this, V. */
const AT_VOLTAGE_V = 0.015;
/** A meter at the cells above the set voltage by more than both can err: the supply holds another voltage than it shows, V. */
const OVER_SET_V = 0.03;
/** Below this share of the set current the taper has begun. */
const TAPER_BELOW = 0.95;
/** A person is told this long before the end, s. */
const SOON_S = 900;

/** Adds the stretch from the last sample to this one: trapezoid, or a gap that is marked and not counted. */
function addStretch(state: LiveState, sample: LiveSample, afterBreak: boolean, events: LiveEvent[]): LiveState {
	const { last } = state;
	const sums = { ...state.sums[state.phase]! };
	if (!last) return state;
	if (state.paused) return { ...state, paused: false };
	const stepMs = sample.atMs - last.atMs;
	const isGap = afterBreak || (state.usualStepMs !== null && stepMs > GAP_STEPS * state.usualStepMs);
	const hours = stepMs / 3_600_000;
	const meanA = (last.currentA + sample.currentA) / 2;
	if (isGap) {
		sums.gapS += stepMs / 1000;
		sums.gapAh += meanA * hours;
		events.push({
			kind: 'gap',
			atMs: sample.atMs,
			message: `${Math.round(stepMs / 1000)} s without samples${Math.abs(meanA) > 0.01 ? `, about ${Math.abs(meanA * hours).toFixed(2)} Ah not counted` : ''}.`,
			needsPerson: false
		});
	} else {
		sums.ah += meanA * hours;
		const watts = (s: LiveSample) => (s.cellV ?? s.voltageV ?? 0) * s.currentA;
		sums.wh += ((watts(last) + watts(sample)) / 2) * hours;
	}
	const usual = state.usualStepMs;
	return {
		...state,
		sums: state.sums.with(state.phase, sums),
		usualStepMs: isGap ? usual : usual === null ? stepMs : usual + STEP_WEIGHT * (stepMs - usual)
	};
}

function endedBy(phase: LivePhase, state: LiveState, sample: LiveSample): string | null {
	if (phase.kind === 'rest') {
		const restedS = (sample.atMs - state.sums[state.phase]!.startedMs) / 1000;
		return restedS >= phase.durationS ? `Rested ${Math.round(restedS / 60)} min.` : null;
	}
	if (phase.kind === 'discharge') {
		if (sample.cutOff) return `The load reached its cut-off of ${phase.cutoffV.toFixed(2)} V.`;
		const lowestV = Math.min(sample.voltageV ?? Infinity, sample.cellV ?? Infinity);
		return lowestV <= phase.cutoffV && sample.currentA < 0 ? `${phase.cutoffV.toFixed(2)} V reached.` : null;
	}
	if (phase.kind === 'charge' && phase.stopAh !== undefined && state.sums[state.phase]!.ah >= phase.stopAh)
		return `${phase.stopAh} Ah have gone in.`;
	if (phase.kind === 'charge' && state.tailSinceMs !== null && sample.atMs - state.tailSinceMs >= phase.holdS * 1000)
		return `The current stayed at or below ${phase.tailA.toFixed(1)} A${phase.holdS > 0 ? ` for ${Math.round(phase.holdS / 60)} min` : ''}.`;
	return null;
}

function watchTaper(phase: LivePhase, state: LiveState, sample: LiveSample): LiveState {
	if (phase.kind !== 'charge') return state;
	const atVoltage = sample.voltageV !== null && sample.voltageV >= phase.voltageV - AT_VOLTAGE_V;
	const inTail = atVoltage && sample.outputOn !== false && sample.currentA <= phase.tailA;
	const tapering = atVoltage && sample.currentA < TAPER_BELOW * phase.currentA;
	return {
		...state,
		tailSinceMs: inTail ? (state.tailSinceMs ?? sample.atMs) : null,
		taperFrom: tapering ? (state.taperFrom ?? { atMs: sample.atMs, currentA: sample.currentA }) : null
	};
}

/**
 * Takes one sample into a live run. A sample that is not later than the last is passed over.
 * @param afterBreak the application or the line was away since the last sample: the stretch is a gap
 * @returns the new state, and what happened; the caller switches outputs when `phase` has changed or `done` is set
 */
export function takeSample(
	phases: readonly LivePhase[],
	state: LiveState,
	shown: LiveSample,
	afterBreak: boolean,
	expectedAh: number | null
): { state: LiveState; events: LiveEvent[] } {
	if (state.done || (state.last && shown.atMs <= state.last.atMs)) return { state, events: [] };
	const events: LiveEvent[] = [];
	const sample = withoutLostProbes(shown, state.last, events);
	const phase = phases[state.phase];
	const begun = state.sums[state.phase] ? state : beginPhase(state, sample.atMs);
	const counted = addStretch(begun, sample, afterBreak && begun.last !== null, events);
	const next: LiveState = { ...watchTaper(phase!, counted, sample), last: sample };
	const ended = endedBy(phase!, next, sample);
	if (ended) return { state: endPhase(phases, next, sample, ended, events), events };
	if (phase!.kind === 'charge' && sample.cellV !== null && sample.cellV > phase!.voltageV + OVER_SET_V)
		events.push({
			kind: 'over-voltage',
			atMs: sample.atMs,
			message: `The meter at the cells reads ${sample.cellV.toFixed(3)} V with the supply set to ${phase!.voltageV.toFixed(2)} V: the output was switched off. Set the supply by the meter, with its leads loose.`,
			needsPerson: true
		});
	const drives = phase!.kind === 'charge' || phase!.kind === 'discharge';
	if (drives && sample.outputOn === false && begun === state)
		events.push({
			kind: 'output-lost',
			atMs: sample.atMs,
			message: 'The output is off although the run goes on: look at the instrument, then switch it on again here.',
			needsPerson: true
		});
	return { state: tellSoon(phases, next, sample, expectedAh, events), events };
}

/** A meter whose probes have slipped says nothing of the cells; that it happened is said once. */
function withoutLostProbes(shown: LiveSample, last: LiveSample | null, events: LiveEvent[]): LiveSample {
	const { cellV } = shown;
	if (cellV === null || !probesAreOff(cellV, shown.voltageV)) return shown;
	if (last?.cellV != null)
		events.push({
			kind: 'probes-off',
			atMs: shown.atMs,
			message: `The meter at the cells reads ${cellV.toFixed(2)} V: its probes have slipped. The run goes on by the instrument's own reading; put them back.`,
			needsPerson: true
		});
	return { ...shown, cellV: null };
}

const beginPhase = (state: LiveState, atMs: number): LiveState => ({
	...state,
	sums: [...state.sums, { startedMs: atMs, endedMs: null, ah: 0, wh: 0, gapS: 0, gapAh: 0 }],
	last: null,
	tailSinceMs: null,
	taperFrom: null,
	saidSoon: false
});

function endPhase(
	phases: readonly LivePhase[],
	state: LiveState,
	sample: LiveSample,
	why: string,
	events: LiveEvent[]
): LiveState {
	const sums = state.sums.with(state.phase, { ...state.sums[state.phase]!, endedMs: sample.atMs });
	const isLast = state.phase === phases.length - 1;
	events.push({ kind: isLast ? 'done' : 'phase-ended', atMs: sample.atMs, message: why, needsPerson: isLast });
	return isLast ? { ...state, sums, done: true } : { ...state, sums, phase: state.phase + 1 };
}

/** In the last phase a person is told shortly before it ends. */
function tellSoon(
	phases: readonly LivePhase[],
	state: LiveState,
	sample: LiveSample,
	expectedAh: number | null,
	events: LiveEvent[]
): LiveState {
	if (state.saidSoon || state.phase !== phases.length - 1) return state;
	const left = remainingS(phases, state, expectedAh);
	if (!left || left.low > SOON_S) return state;
	events.push({
		kind: 'soon',
		atMs: sample.atMs,
		message: 'It will need you within about a quarter of an hour.',
		needsPerson: true
	});
	return { ...state, saidSoon: true };
}

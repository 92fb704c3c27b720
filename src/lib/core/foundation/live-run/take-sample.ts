import { currentsApart, settingFault } from './agreement';
import { remainingS, type PlannedRun } from './live-duration';
import type { LivePhase } from './live-plan';
import { probesAreOff, type LiveSample, type LiveState } from './live-state';
import { onRunTime, type ClockNews } from './sample-clock';

export type LiveEventKind =
	| 'gap'
	| 'clock'
	| 'phase-ended'
	| 'output-lost'
	| 'not-as-set'
	| 'over-voltage'
	| 'currents-apart'
	| 'probes-off'
	| 'soon'
	| 'done';
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
/** Instruments disagree about a current when they did in so many samples in a row: an output takes a moment to settle. */
const APART_SAMPLES = 3;
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

/** When a sample arrived, and by whose time. */
export interface Arrival {
	/** Our clock, ms since 1970. */
	heardMs: number;
	/** The application or the line was away since the last sample: the stretch is a gap. */
	afterBreak: boolean;
	/** The instruments' time may run faster than ours. */
	simulated: boolean;
}

/**
 * Takes one sample into a live run. A sample whose instrument's clock stands still is not taken: the state stays the same object.
 * @returns the new state, and what happened; the caller switches outputs when `phase` has changed or `done` is set, and on
 * `over-voltage` and `not-as-set`
 */
export function takeSample(
	run: PlannedRun,
	state: LiveState,
	shown: LiveSample,
	{ heardMs, afterBreak, simulated }: Arrival
): { state: LiveState; events: LiveEvent[] } {
	if (state.done) return { state, events: [] };
	const timed = onRunTime(state, shown, heardMs, simulated);
	if (!timed.sample) return { state, events: [] };
	const events: LiveEvent[] = [];
	const sample = withoutLostProbes(timed.sample, state.last, events);
	const phase = run.phases[state.phase]!;
	const isFirst = state.sums[state.phase] === undefined;
	const begun = isFirst ? beginPhase(timed.state, sample.atMs) : timed.state;
	// Between two phases it is another instrument that reads, with a clock of its own.
	const jumped = !isFirst && timed.news !== null && !state.paused;
	if (jumped) events.push(clockEvent(timed.news, sample.atMs));
	const counted = addStretch(begun, sample, (afterBreak || jumped) && begun.last !== null, events);
	const next: LiveState = { ...watchTaper(phase, counted, sample), last: sample };
	const ended = endedBy(phase, next, sample);
	if (ended) return { state: endPhase(run.phases, next, sample, ended, events), events };
	watchOutput(phase, sample, events);
	return { state: tellSoon(run, compareCurrents(phase, next, sample, events), sample, events), events };
}

function clockEvent(news: ClockNews, atMs: number): LiveEvent {
	const byS = news?.kind === 'jumped' ? news.byS : 0;
	return {
		kind: 'clock',
		atMs,
		message: `The instrument's clock stepped ${byS < 0 ? 'back' : 'forward'} by ${Math.round(Math.abs(byS))} s: it may have been restarted. Time is counted by this computer's clock across the step.`,
		needsPerson: false
	};
}

/** What the output of a phase shows that it should not: another voltage at the cells, other settings, no output. */
function watchOutput(phase: LivePhase, sample: LiveSample, events: LiveEvent[]): void {
	if (phase.kind !== 'charge' && phase.kind !== 'discharge') return;
	const tell = (kind: LiveEventKind, message: string) =>
		events.push({ kind, atMs: sample.atMs, message, needsPerson: true });
	if (phase.kind === 'charge' && sample.cellV !== null && sample.cellV > phase.voltageV + OVER_SET_V)
		tell(
			'over-voltage',
			`The meter at the cells reads ${sample.cellV.toFixed(3)} V with the supply set to ${phase.voltageV.toFixed(2)} V: the output was switched off. Set the supply by the meter, with its leads loose.`
		);
	const fault = settingFault(phase, sample);
	if (sample.outputOn === false)
		tell(
			'output-lost',
			'The output is off although the run goes on: look at the instrument, then switch it on again here.'
		);
	else if (fault)
		tell('not-as-set', `The ${phase.kind === 'charge' ? 'supply' : 'load'} does not do what it was told. ${fault}.`);
}

/** What load, shunt and BMS say of one current is told once a phase when they stay apart. */
function compareCurrents(phase: LivePhase, state: LiveState, sample: LiveSample, events: LiveEvent[]): LiveState {
	const before = state.currentsApart ?? 0;
	if (before < 0) return state;
	const apart = currentsApart(phase, sample);
	if (!apart || before + 1 < APART_SAMPLES) return { ...state, currentsApart: apart ? before + 1 : 0 };
	const [low, high] = apart;
	events.push({
		kind: 'currents-apart',
		atMs: sample.atMs,
		message: `One current, two figures: ${low.name} ${low.currentA.toFixed(1)} A, ${high.name} ${high.currentA.toFixed(1)} A (${(100 * (high.currentA / Math.max(low.currentA, 1e-9) - 1)).toFixed(1)} % apart). Every Ah of this run errs with the one that counts it.`,
		needsPerson: true
	});
	return { ...state, currentsApart: -1 };
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
	currentsApart: 0,
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
function tellSoon(run: PlannedRun, state: LiveState, sample: LiveSample, events: LiveEvent[]): LiveState {
	if (state.saidSoon || state.phase !== run.phases.length - 1) return state;
	const left = remainingS(run, state);
	if (!left || left.low > SOON_S) return state;
	events.push({
		kind: 'soon',
		atMs: sample.atMs,
		message: 'It will need you within about a quarter of an hour.',
		needsPerson: true
	});
	return { ...state, saidSoon: true };
}

import type { PlannedRun } from './live-duration';
import type { LiveSample, LiveState } from './live-state';
import { takeSample, type LiveEventKind } from './take-sample';

/** What lets current through a BMS. */
export interface Allows {
	charge: boolean;
	discharge: boolean;
}

/** Something that is written down of a run; `atMs` by the instrument's clock where it has told any. */
export interface Happening {
	kind: string;
	atMs: number;
	message: string;
	needsPerson: boolean;
	/** Earlier happenings of this kind ask nobody for anything any more. */
	settles?: string;
}

/** Why outputs are being switched off, and so what comes after: the next phase, a person, or the end. */
type OffFor = { then: 'next-phase' } | { then: 'wait'; told: Told | null } | { then: 'end' };
interface Told {
	kind: string;
	what: string;
}
/** What a pause by a person is called; it asks nobody for anything. */
const PAUSED = 'paused';

/** Where the following of a run stands; plain data. Times are ms since 1970 by this machine's clock. */
export interface Following {
	progress: LiveState;
	/** `waiting`: outputs are off or lost, a person decides. `left`: it goes on without us. `ending`, `ended`: by {@link endedBy}. */
	mode: 'going' | 'waiting' | 'left' | 'ending' | 'ended';
	endedBy: string | null;
	/** The next stretch is a gap: nobody read in between. */
	broken: boolean;
	/** The phase's output has taken its values. */
	driven: boolean;
	allows: Allows | null;
	heardMs: number;
	storedMs: number;
	saidSilent: boolean;
	/** Outputs that could not be reached and are still being tried. */
	unreached: number;
	offFor: OffFor | null;
}

export type FollowEvent = { nowMs: number } & (
	| { kind: 'sampled'; sample: LiveSample; allows: Allows | null }
	| { kind: 'driven' }
	| { kind: 'unanswered'; why: string }
	/** Outputs were told to go off; named are those that could not be reached. */
	| { kind: 'outputs'; unreached: readonly string[] }
	| { kind: 'off-at-last'; name: string }
	| { kind: 'stored' }
	| { kind: 'not-stored' }
	| { kind: 'stop'; why: string }
	| { kind: 'leave' }
	/** A person wants it to rest with its outputs off, and to go on later. */
	| { kind: 'hold' }
	/** What follows from the run was entered, or could not be. */
	| { kind: 'finished'; entered: boolean }
);

export type FollowCommand =
	/** The sample just read belongs to the run. */
	| { kind: 'keep-sample' }
	| { kind: 'tell'; happening: Happening }
	/** Every output off, in this order before anything else; answered by `outputs`. */
	| { kind: 'outputs-off' }
	/** Go on trying those that could not be reached; answered by `off-at-last`. */
	| { kind: 'chase' }
	/** Store what was kept and told, and how the run stands. */
	| { kind: 'store' }
	/** Enter what follows from the run; answered by `finished`. */
	| { kind: 'finish' };

/** What does not change while a run is followed. */
export interface Followed extends PlannedRun {
	/** The instruments are simulated: their time may run faster than ours. */
	simulated?: boolean;
	/** Without a sample, or without storing, for so long outputs go off, s. */
	deadManS: number;
}

/** Samples are stored, and only then shown, at least this often, ms. */
const STORE_MS = 250;
/** An instrument that does not answer for longer is news, ms. */
const SILENT_MS = 2000;

/** What is seen at a sample and ends the current at once: an output that shows itself off is told to be off as well. */
const SWITCHES_OFF: readonly LiveEventKind[] = ['over-voltage', 'not-as-set', 'output-lost'];
const CLOCK_STANDS = 'The instrument’s clock stands still: what it shows may be old.';

/** @param broken it was going before: the first stretch is a gap */
export const startFollowing = (progress: LiveState, broken: boolean, nowMs: number): Following => ({
	progress,
	mode: 'going',
	endedBy: null,
	broken,
	driven: true,
	allows: null,
	heardMs: nowMs,
	storedMs: nowMs,
	saidSilent: false,
	unreached: 0,
	offFor: null
});

type Step = [Following, FollowCommand[]];
const NOTHING: FollowCommand[] = [];
const STORE: FollowCommand = { kind: 'store' };
const OFF: FollowCommand = { kind: 'outputs-off' };

const tell = (state: Following, nowMs: number, kind: string, message: string, needsPerson: boolean) => ({
	kind: 'tell' as const,
	happening: { kind, atMs: state.progress.last?.atMs ?? nowMs, message, needsPerson }
});

/** One event of a run that is followed, and what is to be done about it, in order. Never throws; what does not fit is passed over. */
export function followRun(run: Followed, state: Following, event: FollowEvent): Step {
	switch (event.kind) {
		case 'sampled':
			return sampled(run, state, event);
		case 'driven':
			return [{ ...state, driven: true }, NOTHING];
		case 'unanswered':
			return unheard(run, state, `The instrument does not answer: ${event.why}`, event.nowMs);
		case 'outputs':
			return outputs(state, event);
		case 'off-at-last':
			return offAtLast(state, event);
		case 'stored':
			return [{ ...state, storedMs: event.nowMs }, NOTHING];
		case 'not-stored':
			return notStored(run, state, event.nowMs);
		case 'stop':
			return state.mode === 'ended' || state.mode === 'ending' ? [state, NOTHING] : end(state, event.why);
		case 'leave':
			return state.mode === 'going' ? [{ ...state, mode: 'left' }, [STORE]] : [state, NOTHING];
		case 'hold':
			return state.mode === 'going' ? offAndWait(state, { kind: PAUSED, what: 'Paused by you' }) : [state, NOTHING];
		case 'finished':
			return finished(state, event);
	}
}

const end = (state: Following, why: string): Step => [
	{ ...state, mode: 'ending', endedBy: why, offFor: { then: 'end' } },
	[OFF]
];

const offAndWait = (state: Following, told: Told | null): Step => [
	{ ...state, mode: 'waiting', offFor: { then: 'wait', told } },
	[OFF]
];

function sampled(
	run: Followed,
	state: Following,
	{ sample, allows, nowMs }: Extract<FollowEvent, { kind: 'sampled' }>
): Step {
	if (state.mode !== 'going') return [state, NOTHING];
	const arrival = { heardMs: nowMs, afterBreak: state.broken, simulated: run.simulated ?? false };
	const taken = takeSample(run, state.progress, sample, arrival);
	// An answer that brings nothing new is no sample: the dead man's time runs on.
	if (taken.state === state.progress) return unheard(run, { ...state, allows }, CLOCK_STANDS, nowMs);
	const next: Following = {
		...state,
		progress: taken.state,
		broken: false,
		allows,
		heardMs: nowMs,
		saidSilent: false
	};
	const [after, acts] = afterSample(
		state,
		next,
		taken.events.map((e) => e.kind),
		taken.events.at(-1)?.message ?? 'Done.',
		nowMs
	);
	return [
		after,
		[
			{ kind: 'keep-sample' },
			...bmsNews(state, next, nowMs),
			...taken.events.map((happening) => ({ kind: 'tell', happening }) as const),
			...acts
		]
	];
}

function afterSample(
	before: Following,
	next: Following,
	kinds: readonly LiveEventKind[],
	lastMessage: string,
	nowMs: number
): Step {
	if (next.progress.done && !before.progress.done) return end(next, lastMessage);
	if (next.progress.phase !== before.progress.phase)
		return [{ ...next, driven: false, offFor: { then: 'next-phase' } }, [OFF]];
	if (SWITCHES_OFF.some((kind) => kinds.includes(kind))) return offAndWait(next, null);
	return [next, nowMs - next.storedMs >= STORE_MS ? [STORE] : NOTHING];
}

/** A BMS that cuts the charge or the discharge, or lets it through again, is news. */
function bmsNews(before: Following, next: Following, nowMs: number): FollowCommand[] {
	const [then, now] = [before.allows, next.allows];
	if (!then || !now) return [];
	return (['charge', 'discharge'] as const)
		.filter((way) => now[way] !== then[way])
		.map((way) =>
			tell(
				next,
				nowMs,
				'bms',
				`The BMS ${now[way] ? `lets the ${way} through again` : `has cut the ${way}`}.`,
				!now[way]
			)
		);
}

function unheard(run: Followed, state: Following, message: string, nowMs: number): Step {
	if (state.mode !== 'going') return [state, NOTHING];
	const silentMs = nowMs - state.heardMs;
	if (silentMs > run.deadManS * 1000)
		return offAndWait(state, { kind: 'dead-man', what: `No sample for ${Math.round(silentMs / 1000)} s` });
	if (state.saidSilent || silentMs <= SILENT_MS) return [state, NOTHING];
	return [{ ...state, saidSilent: true }, [tell(state, nowMs, 'silent', message, false), STORE]];
}

/**
 * What is read cannot be stored: for so long nobody watches over a run that nobody could take up again. Its output goes off, what
 * was read is kept, and it waits for a person as soon as that can be written down.
 */
function notStored(run: Followed, state: Following, nowMs: number): Step {
	const silentMs = nowMs - state.storedMs;
	if (state.mode !== 'going' || silentMs <= run.deadManS * 1000) return [state, NOTHING];
	return offAndWait(state, {
		kind: 'no-database',
		what: `Nothing could be stored for ${Math.round(silentMs / 1000)} s`
	});
}

/** Once the last of them is off, nobody has to switch anything off by hand. */
function offAtLast(state: Following, { name, nowMs }: Extract<FollowEvent, { kind: 'off-at-last' }>): Step {
	const unreached = Math.max(0, state.unreached - 1);
	const told = tell(state, nowMs, 'output-off', `${name} is off at last.`, false);
	const happening = unreached === 0 ? { ...told.happening, settles: 'output' } : told.happening;
	return [{ ...state, unreached }, [{ kind: 'tell', happening }, STORE]];
}

/** What cannot be reached is named to a person, and tried again until it is off. */
function outputs(state: Following, { unreached, nowMs }: Extract<FollowEvent, { kind: 'outputs' }>): Step {
	const { offFor } = state;
	const off = unreached.length === 0;
	const chasing: FollowCommand[] = off
		? []
		: [
				tell(
					state,
					nowMs,
					'output',
					`The ${unreached.join(' and ')} cannot be reached: switch it off by hand now.`,
					true
				),
				{ kind: 'chase' }
			];
	const calm = { ...state, offFor: null, unreached: unreached.length };
	if (offFor?.then === 'next-phase') return off ? [calm, NOTHING] : [{ ...calm, mode: 'waiting' }, [...chasing, STORE]];
	if (offFor?.then === 'end') return [calm, [...chasing, { kind: 'finish' }]];
	if (offFor?.then === 'wait') {
		const { told } = offFor;
		const held = told?.kind === PAUSED;
		const why = told
			? [tell(state, nowMs, told.kind, `${told.what}${off ? ': the output was switched off' : ''}.`, !held)]
			: [];
		const rested = held && off ? { ...calm, progress: { ...calm.progress, paused: true } } : calm;
		return [rested, [...chasing, ...why, STORE]];
	}
	return [calm, chasing];
}

function finished(state: Following, { entered, nowMs }: Extract<FollowEvent, { kind: 'finished' }>): Step {
	if (state.mode !== 'ending') return [state, NOTHING];
	const lost = 'No result could be entered from this run. What was read is kept.';
	return [{ ...state, mode: 'ended' }, [...(entered ? [] : [tell(state, nowMs, 'no-result', lost, true)]), STORE]];
}

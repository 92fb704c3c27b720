import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import {
	followRun,
	startFollowing,
	startLive,
	type FollowCommand,
	type FollowEvent,
	type Followed,
	type Following,
	type LiveSample
} from '.';

const run: Followed = {
	phases: [
		{ kind: 'charge', voltageV: 3.65, currentA: 20, tailA: 5, holdS: 0 },
		{ kind: 'discharge', currentA: 20, cutoffV: 2.5 }
	],
	expectedAh: null,
	chemistry: 'LFP',
	deadManS: 10
};
const NOW = 5_000_000;
const sample = (s: number, more: Partial<LiveSample> = {}): LiveSample => ({
	atMs: 1_000_000 + s * 1000,
	voltageV: 3.3,
	currentA: 20,
	cellV: null,
	outputOn: true,
	cutOff: false,
	...more
});
const sampled = (s: number, more: Partial<LiveSample> = {}, allows: Following['allows'] = null): FollowEvent => ({
	kind: 'sampled',
	nowMs: NOW + s * 1000,
	sample: sample(s, more),
	allows
});
const words = (commands: FollowCommand[]) =>
	commands.map((c) => (c.kind === 'tell' ? `tell ${c.happening.kind}` : c.kind));
/** Takes events one after the other. @returns the last state, and what each asked for */
function after(events: FollowEvent[], from = startFollowing(startLive(), false, NOW)) {
	let state = from;
	const asked: string[][] = [];
	const told: string[] = [];
	for (const event of events) {
		const [next, commands] = followRun(run, state, event);
		state = next;
		asked.push(words(commands));
		told.push(...commands.flatMap((c) => (c.kind === 'tell' ? [c.happening.message] : [])));
	}
	return { state, asked, told };
}
const fullCell = { voltageV: 3.65, currentA: 4 };
const allOff: FollowEvent = { kind: 'outputs', unreached: [], nowMs: NOW + 3000 };

describe('a run that is followed', () => {
	it('keeps each sample and stores four times a second', () => {
		const at = (ms: number): FollowEvent => ({ ...sampled(ms / 1000), nowMs: NOW + ms }) as FollowEvent;
		expect(after([at(100), at(200), at(300)]).asked).toEqual([
			['keep-sample'],
			['keep-sample'],
			['keep-sample', 'store']
		]);
	});
	it('does not take an answer whose clock stands still for a sample: the dead man’s time runs on', () => {
		const again = (s: number) => ({ ...sampled(1), nowMs: NOW + s * 1000 }) as FollowEvent;
		const { state, asked, told } = after([
			sampled(1),
			again(4),
			again(9),
			again(12),
			{ ...allOff, nowMs: NOW + 12_000 }
		]);
		expect(asked.slice(1)).toEqual([['tell silent', 'store'], [], ['outputs-off'], ['tell dead-man', 'store']]);
		expect(told[0]).toContain('clock stands still');
		expect(state).toMatchObject({ mode: 'waiting', heardMs: NOW + 1000 });
	});
	it('goes on after the instrument’s clock has stepped back: each sample is kept, and the end is seen', () => {
		const back = (s: number, more: Partial<LiveSample> = {}): FollowEvent =>
			({ ...sampled(s, more), sample: sample(s - 500, more), nowMs: NOW + s * 1000 }) as FollowEvent;
		const { asked, state } = after([sampled(1), back(2), back(3), back(4, fullCell)]);
		expect(asked.map((a) => a[0])).toEqual(['keep-sample', 'keep-sample', 'keep-sample', 'keep-sample']);
		expect(asked[1]).toEqual(['keep-sample', 'tell clock', 'tell gap', 'store']);
		expect(asked.at(-1)).toContain('outputs-off');
		expect(state.progress.phase).toBe(1);
	});
	it('switches off what does not report its setting back', () => {
		const at = after([sampled(1), sampled(2, { setTo: { voltageV: 14.6, currentA: 20 } }), allOff]);
		expect(at.asked.slice(1)).toEqual([['keep-sample', 'tell not-as-set', 'outputs-off'], ['store']]);
		expect(at.state.mode).toBe('waiting');
	});
	it('switches everything off between two phases, and drives the next only when all is off', () => {
		const { state, asked } = after([sampled(1), sampled(2, fullCell), allOff]);
		expect(asked[1]).toEqual(['keep-sample', 'tell phase-ended', 'outputs-off']);
		expect(state).toMatchObject({ mode: 'going', driven: false, progress: { phase: 1 } });
		const stuck = after(
			[{ kind: 'outputs', unreached: ['supply'], nowMs: NOW + 3000 }],
			after([sampled(1), sampled(2, fullCell)]).state
		);
		expect(stuck.state).toMatchObject({ mode: 'waiting', progress: { phase: 1 } });
		expect(stuck.asked[0]).toEqual(['tell output', 'chase', 'store']);
		expect(stuck.told).toEqual(['The supply cannot be reached: switch it off by hand now.']);
	});
	it('ends after its last phase: off, then the result, then called ended by what ended it', () => {
		const at = after([sampled(1), sampled(2, fullCell), allOff]).state;
		const { state, asked } = after(
			[
				{ kind: 'driven', nowMs: NOW },
				sampled(4, { currentA: -20, voltageV: 2.6 }),
				sampled(5, { currentA: -20, voltageV: 2.49 }),
				allOff,
				{ kind: 'finished', entered: true, nowMs: NOW }
			],
			at
		);
		expect(asked.slice(2)).toEqual([['keep-sample', 'tell done', 'outputs-off'], ['finish'], ['store']]);
		expect(state).toMatchObject({ mode: 'ended', endedBy: '2.50 V reached.' });
	});
	it('says when no result could be entered, and ends all the same', () => {
		const { state, asked } = after([
			{ kind: 'stop', why: 'By hand.', nowMs: NOW },
			allOff,
			{ kind: 'finished', entered: false, nowMs: NOW }
		]);
		expect(asked).toEqual([['outputs-off'], ['finish'], ['tell no-result', 'store']]);
		expect(state).toMatchObject({ mode: 'ended', endedBy: 'By hand.' });
	});
	it('names a silent instrument once, and after the dead man’s time switches off and waits', () => {
		const silent = (s: number): FollowEvent => ({ kind: 'unanswered', why: 'Nothing came.', nowMs: NOW + s * 1000 });
		const { state, asked, told } = after([
			silent(1),
			silent(3),
			silent(5),
			silent(11),
			{ ...allOff, nowMs: NOW + 11_000 }
		]);
		expect(asked).toEqual([[], ['tell silent', 'store'], [], ['outputs-off'], ['tell dead-man', 'store']]);
		expect(told.at(-1)).toBe('No sample for 11 s: the output was switched off.');
		expect(state.mode).toBe('waiting');
		const unreached = after([{ kind: 'outputs', unreached: ['load'], nowMs: NOW }], after([silent(11)]).state);
		expect(unreached.told.at(-1)).toBe('No sample for 11 s.');
	});
	it('lets current flow unwatched no longer than the dead man’s time when nothing can be stored', () => {
		const lost = (s: number): FollowEvent => ({ kind: 'not-stored', nowMs: NOW + s * 1000 });
		const { state, asked } = after([lost(4), { kind: 'stored', nowMs: NOW + 5000 }, lost(14), lost(16), allOff]);
		expect(asked).toEqual([[], [], [], ['outputs-off'], ['tell no-database', 'store']]);
		expect(state.mode).toBe('waiting');
	});
	it('switches off on over-voltage; an output that went off by itself is left to a person', () => {
		const over = after([sampled(1), sampled(2, { cellV: 3.7, voltageV: 3.65 }), allOff]);
		expect(over.asked.slice(1)).toEqual([['keep-sample', 'tell over-voltage', 'outputs-off'], ['store']]);
		expect(over.state.mode).toBe('waiting');
		const lost = after([sampled(1), sampled(2, { outputOn: false, currentA: 0 }), allOff]);
		expect(lost.asked.slice(1)).toEqual([['keep-sample', 'tell output-lost', 'outputs-off'], ['store']]);
		expect(lost.state.mode).toBe('waiting');
	});
	it('rests when a person pauses it, asks nobody for anything, and counts no gap when it goes on', () => {
		const hold: FollowEvent = { kind: 'hold', nowMs: NOW + 3000 };
		const { state, asked, told } = after([sampled(1), sampled(2), hold, allOff]);
		expect(asked.slice(2)).toEqual([['outputs-off'], ['tell paused', 'store']]);
		expect(told).toEqual(['Paused by you: the output was switched off.']);
		expect(state).toMatchObject({ mode: 'waiting', progress: { paused: true } });
		const before = state.progress.sums[0]!.ah;
		const gone = after([sampled(30_000), sampled(30_001)], startFollowing(state.progress, true, NOW));
		expect(gone.told).toEqual([]);
		expect(gone.state.progress.sums[0]).toMatchObject({ gapS: 0, gapAh: 0 });
		expect(gone.state.progress.sums[0]!.ah - before).toBeCloseTo(20 / 3600, 6);
	});
	it('does not call rested what could not be switched off', () => {
		const hold: FollowEvent = { kind: 'hold', nowMs: NOW + 3000 };
		const { state, asked } = after([sampled(1), hold, { kind: 'outputs', unreached: ['supply'], nowMs: NOW + 3000 }]);
		expect(asked.at(-1)).toEqual(['tell output', 'chase', 'tell paused', 'store']);
		expect(state.progress.paused).toBeUndefined();
	});
	it('tells when a BMS cuts a way or opens it again', () => {
		const both = { charge: true, discharge: true };
		const { told } = after([sampled(1, {}, both), sampled(2, {}, { ...both, charge: false }), sampled(3, {}, both)]);
		expect(told).toEqual(['The BMS has cut the charge.', 'The BMS lets the charge through again.']);
	});
	it('left by the application it goes on for the next: nothing is switched', () => {
		const { state, asked } = after([sampled(1), { kind: 'leave', nowMs: NOW }, sampled(2), allOff]);
		expect(asked.slice(1)).toEqual([['store'], [], []]);
		expect(state.mode).toBe('left');
	});
	it('tells of an output that is off at last even when the run is over', () => {
		const over = after([
			{ kind: 'stop', why: 'By hand.', nowMs: NOW },
			allOff,
			{ kind: 'finished', entered: true, nowMs: NOW }
		]);
		const { asked, state } = after([{ kind: 'off-at-last', name: 'Load', nowMs: NOW }], over.state);
		expect(asked).toEqual([['tell output-off', 'store']]);
		expect(state.mode).toBe('ended');
	});

	it('nobody has to switch off by hand any more once the last output is off', () => {
		const lost = after([
			{ kind: 'stop', why: 'By hand.', nowMs: NOW },
			{ kind: 'outputs', unreached: ['supply', 'load'], nowMs: NOW }
		]).state;
		const settled = (state: Following, name: string) =>
			followRun(run, state, { kind: 'off-at-last', name, nowMs: NOW });
		const [one, first] = settled(lost, 'Supply');
		expect(first[0]).toMatchObject({ kind: 'tell', happening: { kind: 'output-off' } });
		expect(first[0]).not.toHaveProperty('happening.settles');
		expect(settled(one, 'Load')[1][0]).toMatchObject({ happening: { settles: 'output' } });
	});
	const anyEvent = fc.oneof(
		fc
			.record({
				s: fc.integer({ min: 0, max: 60 }),
				v: fc.constantFrom(2.4, 3.3, 3.65, 3.8),
				a: fc.constantFrom(-20, 0, 4, 20),
				on: fc.boolean()
			})
			.map(({ s, v, a, on }) => sampled(s, { voltageV: v, cellV: v, currentA: a, outputOn: on })),
		fc
			.integer({ min: 0, max: 60 })
			.chain((s) =>
				fc.constantFrom<FollowEvent>(
					{ kind: 'unanswered', why: 'x', nowMs: NOW + s * 1000 },
					{ kind: 'not-stored', nowMs: NOW + s * 1000 },
					{ kind: 'stored', nowMs: NOW + s * 1000 },
					{ kind: 'driven', nowMs: NOW + s * 1000 },
					{ kind: 'stop', why: 'x', nowMs: NOW + s * 1000 },
					{ kind: 'leave', nowMs: NOW + s * 1000 }
				)
			)
	);
	it('whatever comes: out of “going” with an output driven it goes off first, or is said to have gone, or was left on purpose', () => {
		fc.assert(
			fc.property(fc.array(anyEvent, { maxLength: 40 }), (events) => {
				let state = startFollowing(startLive(), false, NOW);
				for (const event of events) {
					const [next, commands] = followRun(run, state, event);
					const asked = words(commands);
					if (state.mode === 'going' && next.mode !== 'going' && next.mode !== 'left')
						expect(asked.includes('outputs-off') || asked.includes('tell output-lost')).toBe(true);
					// Nothing is read, driven or counted once it no longer goes.
					if (state.mode !== 'going') expect(next.progress).toBe(state.progress);
					// What was asked to go off answers at once, as the executor does it.
					state = asked.includes('outputs-off') ? followRun(run, next, { ...allOff })[0] : next;
				}
			})
		);
	});
});

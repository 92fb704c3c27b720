import { describe, expect, it } from 'vitest';
import { isCurrent, liveVerdicts, phaseState, phaseWords, type ShownEvent, type ShownLive } from './live-words';

const view = (more: Partial<ShownLive> = {}): ShownLive => ({
	id: 1,
	bankId: 1,
	bankName: 'B',
	version: 1,
	kind: 'capacity',
	state: 'running',
	phase: 0,
	phases: [{ kind: 'discharge', currentA: 20, cutoffV: 2.5 }],
	sums: [{ startedMs: 0, endedMs: null, ah: -3, wh: -9, gapS: 0, gapAh: 0 }],
	last: null,
	remainingS: null,
	toEndS: null,
	expectedAh: 100,
	events: [],
	endedBy: null,
	runId: null,
	...more
});
const event = (kind: string, more: Partial<ShownEvent> = {}): ShownEvent => ({
	id: 1,
	kind,
	message: 'm',
	happenedAt: '',
	needsPerson: true,
	seenAt: null,
	...more
});

describe('what a live run asks', () => {
	it('is calm while it runs', () => expect(liveVerdicts(view())).toMatchObject([{ warmth: 'calm' }]));
	it('stops a person where an output went off, and glows less for an end', () => {
		const verdicts = liveVerdicts(view({ events: [event('dead-man'), event('done')] }));
		expect(verdicts.map((v) => v.warmth)).toEqual(['stop', 'look']);
	});
	it('names a cell that is not full, a BMS that cut off, and what comes soon, each for itself', () => {
		const verdicts = liveVerdicts(view({ events: [event('not-full'), event('bms'), event('soon')] }));
		expect(verdicts.map((v) => v.title)).toEqual([
			'This cell is not full',
			'The BMS has cut off',
			'You will be needed soon'
		]);
		expect(verdicts[0]!.next).toContain('with the charge first');
	});
	it('forgets what has been seen', () =>
		expect(liveVerdicts(view({ events: [event('done', { seenAt: '2026-01-01' })] }))[0]!.warmth).toBe('calm'));
	it('is not calm while the instrument is silent, or while the page hears nothing', () => {
		const last = { atMs: 5000, voltageV: 3.4, currentA: 50, cellV: null };
		const silent = event('silent', { needsPerson: false, happenedAt: new Date(5000).toISOString() });
		const refused = view({ last, events: [silent] });
		expect(liveVerdicts(refused)).toMatchObject([{ code: 'live-silent', warmth: 'look' }]);
		expect(isCurrent(refused, true)).toBe(false);
		// Heard again: a later sample has come.
		const heard = view({ last: { ...last, atMs: 9000 }, events: [silent] });
		expect(liveVerdicts(heard)).toMatchObject([{ code: 'live-calm' }]);
		expect(isCurrent(heard, true)).toBe(true);
		expect(liveVerdicts(heard, false)).toMatchObject([{ code: 'live-no-line', warmth: 'look' }]);
		expect(isCurrent(heard, false)).toBe(false);
		const paused = view({ state: 'waiting', last });
		expect(liveVerdicts(paused)[0]!.title).toBe('The output is off until you let it go on');
		expect(isCurrent(paused, true)).toBe(false);
	});
	it('ticks only phases that ran to their end', () => {
		const phases: ShownLive['phases'] = [
			{ kind: 'charge', voltageV: 3.65, currentA: 20, tailA: 5, holdS: 0 },
			{ kind: 'rest', durationS: 60 },
			{ kind: 'discharge', currentA: 20, cutoffV: 2.5 }
		];
		const sum = { startedMs: 0, endedMs: null, ah: 1, wh: 3, gapS: 0, gapAh: 0 };
		const states = (more: Partial<ShownLive>) => [0, 1, 2].map((i) => phaseState(view({ phases, ...more }), i));
		expect(states({ phase: 0, sums: [sum] })).toEqual(['running', 'ahead', 'ahead']);
		expect(states({ phase: 1, sums: [{ ...sum, endedMs: 9 }, sum] })).toEqual(['done', 'running', 'ahead']);
		expect(states({ phase: 1, sums: [{ ...sum, endedMs: 9 }, sum], state: 'waiting' })).toEqual([
			'done',
			'paused',
			'ahead'
		]);
		expect(states({ phase: 0, sums: [sum], state: 'ended' })).toEqual(['stopped', 'ahead', 'ahead']);
		expect(states({ phase: 0, sums: [], state: 'planned' })).toEqual(['ahead', 'ahead', 'ahead']);
	});
	it('keeps gaps open with the charge they may hide', () => {
		const sums = [{ startedMs: 0, endedMs: null, ah: -3, wh: -9, gapS: 600, gapAh: -3.3333 }];
		expect(liveVerdicts(view({ sums }))).toMatchObject([{ warmth: 'open', title: '10 min without samples' }]);
	});
	it('names each phase with its end', () => {
		expect(phaseWords({ kind: 'charge', voltageV: 3.65, currentA: 20, tailA: 5, holdS: 0 })).toBe(
			'Charge at 20 A to 3.65 V, until 5 A'
		);
		expect(phaseWords({ kind: 'rest', durationS: 1800 })).toBe('Rest 30 min');
	});
});

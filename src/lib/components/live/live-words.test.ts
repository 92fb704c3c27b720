import { describe, expect, it } from 'vitest';
import { liveVerdicts, phaseWords, type ShownEvent, type ShownLive } from './live-words';

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

import { describe, expect, it } from 'vitest';
import { askingAfterStop, askingNothing, cellSubject, measured, type Verdict } from '../foundation/verdicts';
import { sayAny } from './every-verdict';
import { keptVerdict, worded } from './kept-verdict';

const cell = cellSubject({ id: 7, label: 'H-07' });
const low: Verdict = sayAny('deep-discharged', 'stop', cell, {
	restVoltageV: measured(1.9, 0.002),
	limitV: 2.5,
	recoveryV: 3,
	chemistry: 'LFP' as const,
	level: 'low' as const,
	touched: false
});
const stored = (verdict: Verdict) => worded<Verdict>(JSON.parse(JSON.stringify(keptVerdict(verdict))));

describe('a verdict that is stored', () => {
	it('has no sentence, and says the same when it is read', () => {
		expect(Object.keys(keptVerdict(low)).sort()).toEqual(['code', 'facts', 'members', 'subject', 'warmth']);
		expect(stored(low)).toEqual(low);
	});
	it('asks what was left of its next step', () => {
		expect(stored(askingNothing(low))).toEqual(askingNothing(low));
		expect(stored(askingNothing(low)).next).toBeNull();
		expect(stored(askingAfterStop(low)).next).toMatch(/^First deal with the cell/);
		expect(stored(askingAfterStop({ ...low, warmth: 'open' })).warmth).toBe('calm');
	});
	it('of a code that is no longer said keeps the words of then', () => {
		const old = { ...low, code: 'of-long-ago' };
		expect(keptVerdict(old).wordsThen!.title).toBe(low.title);
		expect(stored(old)).toEqual(old);
	});
	it('whose facts are those of an earlier rule is named, not lost', () => {
		const { title, rule } = worded<Verdict>({ ...keptVerdict(low), facts: {} });
		expect(title).toMatch(/limit/);
		expect(rule).toMatch(/facts of then/);
	});
});

import { isMeasured } from './measured';
import { isInterval } from './range-words';
import type { Fact, Verdict, VerdictFacts } from './verdict';

/** A figure has moved when it lies outside what its own doubt allowed (95 %). */
const BEYOND = 1.96;

function moved(before: Fact | undefined, now: Fact | undefined, follows: readonly string[]): boolean {
	if (before === undefined || now === undefined) return before !== now;
	if (isMeasured(before) && isMeasured(now))
		return Math.abs(now.value - before.value) > BEYOND * Math.max(before.sd, 0) && now.value !== before.value;
	if (isInterval(before) && isInterval(now)) return now.likely < before.low95 || now.likely > before.high95;
	if (Array.isArray(before) && Array.isArray(now))
		return before.length !== now.length || before.some((fact, i) => moved(fact as Fact, now[i] as Fact, follows));
	if (typeof before === 'object' && before !== null && typeof now === 'object' && now !== null)
		return factsMoved(before as VerdictFacts, now as VerdictFacts, follows);
	return before !== now;
}

/**
 * Whether what a verdict stands on has changed: a figure moved beyond its own doubt, or anything without doubt is another.
 * Time passing is no fact. @param follows facts of this code that only follow from others: they decide nothing
 */
export function factsMoved(before: VerdictFacts, now: VerdictFacts, follows: readonly string[] = []): boolean {
	const names = new Set([...Object.keys(before), ...Object.keys(now)]);
	return [...names].some((name) => !follows.includes(name) && moved(before[name], now[name], follows));
}

/** The same verdict, whatever it says: one code on one subject. */
export const sameVerdict = (a: Pick<Verdict, 'code' | 'subject'>, b: Pick<Verdict, 'code' | 'subject'>): boolean =>
	a.code === b.code && a.subject.kind === b.subject.kind && String(a.subject.id) === String(b.subject.id);

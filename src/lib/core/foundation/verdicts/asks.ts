import type { Asks, Verdict } from './verdict';

const AFTER_STOP = 'First deal with the cell that must not be used (Receive, Inspection). Do not charge before.';

/** The next step that is left of the one its words give. */
export const nextLeft = (next: string | null, asks: Asks | undefined): string | null =>
	next === null || asks === undefined ? next : asks === 'nothing' ? null : AFTER_STOP;

/** A verdict that is said and asks nothing of anybody any more. */
export const askingNothing = (verdict: Verdict): Verdict => ({
	...verdict,
	warmth: 'calm',
	next: null,
	asks: 'nothing'
});

/** What is found stays said; what is to be done comes after the cell that must not be used is out. */
export const askingAfterStop = (verdict: Verdict): Verdict => ({
	...verdict,
	warmth: verdict.warmth === 'open' ? 'calm' : verdict.warmth,
	next: nextLeft(verdict.next, 'after-stop'),
	asks: 'after-stop'
});

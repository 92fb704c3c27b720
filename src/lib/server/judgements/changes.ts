import { standsOnOther } from '$lib/core/bank';
import { cellsOf, sameVerdict, type StageVerdict, type Verdict } from '$lib/core/foundation/verdicts';

/** One verdict that says something else than before; null where it is new or gone. */
export interface Change {
	before: StageVerdict | null;
	now: StageVerdict | null;
}

/** A list of what is still to be done is no judgement: it shortens with every reading. */
const isTask = (v: Verdict) => v.warmth === 'open' && v.members.length > 0;

const same = (a: StageVerdict, b: StageVerdict) => a.stage === b.stage && sameVerdict(a, b);
const saysOther = (a: StageVerdict, b: StageVerdict) => a.warmth !== b.warmth || standsOnOther(a, b);

/** What changed from one judgement of a bank to the next: verdicts that are new, gone, or stand on other facts. */
export function changesBetween(before: readonly StageVerdict[], now: readonly StageVerdict[]): Change[] {
	const changed = now.flatMap((n): Change[] => {
		const b = before.find((v) => same(v, n));
		return !b ? [{ before: null, now: n }] : saysOther(b, n) ? [{ before: b, now: n }] : [];
	});
	const gone = before.filter((b) => !now.some((n) => same(b, n))).map((b): Change => ({ before: b, now: null }));
	return [...changed, ...gone].filter((c) => !isTask((c.now ?? c.before)!));
}

/** Cells a change speaks of, each once. */
export const cellsOfChange = ({ before, now }: Change): number[] => [
	...new Set([...(before ? cellsOf(before) : []), ...(now ? cellsOf(now) : [])])
];

/**
 * How much a verdict wants a person, coldest first. `calm`: nothing to do. `open`: something is missing.
 * `look`: judge this before going on. `stop`: do not go on.
 */
export const WARMTHS = ['calm', 'open', 'look', 'stop'] as const;
export type Warmth = (typeof WARMTHS)[number];

/** A judgement as the product shows it everywhere: conclusion, doubt, rule, and what would settle it. */
export interface Verdict {
	/** Stable name of the kind of verdict, e.g. `voltage-outlier`. */
	code: string;
	warmth: Warmth;
	/** The conclusion in one short line. */
	title: string;
	/** What it rests on, with figures. */
	finding: string;
	/** The doubt, in words with figures; `null` when the verdict is a matter of counting. */
	doubt: string | null;
	/** The rule that was applied. */
	rule: string;
	/** The one next thing to do; `null` when nothing is. */
	next: string | null;
	/** Cells it is about (ids given by the caller), empty for the whole. */
	cellIds: number[];
}

/** Verdicts ordered warmest first, equal warmth in the order given. */
export function warmestFirst(verdicts: readonly Verdict[]): Verdict[] {
	return [...verdicts].sort((a, b) => WARMTHS.indexOf(b.warmth) - WARMTHS.indexOf(a.warmth));
}

/** The warmest of some verdicts; `calm` when there are none. */
export function warmestOf(verdicts: readonly Verdict[]): Warmth {
	return warmestFirst(verdicts)[0]?.warmth ?? 'calm';
}

/**
 * How much a verdict wants a person, coldest first. `calm`: nothing to do. `open`: something is missing.
 * `look`: judge this before going on. `stop`: do not go on.
 */
export const WARMTHS = ['calm', 'open', 'look', 'stop'] as const;
export type Warmth = (typeof WARMTHS)[number];

interface Warm {
	warmth: Warmth;
}

/** Warmest first, equal warmth in the order given. */
export function warmestFirst<V extends Warm>(verdicts: readonly V[]): V[] {
	return [...verdicts].sort((a, b) => WARMTHS.indexOf(b.warmth) - WARMTHS.indexOf(a.warmth));
}

/** The warmest of some; `calm` when there are none. */
export function warmestOf(verdicts: readonly Warm[]): Warmth {
	return warmestFirst(verdicts)[0]?.warmth ?? 'calm';
}

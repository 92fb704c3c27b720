/** How fast a body must come. Slower than the slowest telephone line in the hills (default), and nobody is served by waiting. */
export const PACE = {
	/** Nothing at all for so long, ms. */
	silentMs: 15_000,
	/** Bytes a second, over every stretch of so many ms. */
	leastBytesAS: 10_000,
	stretchMs: 15_000
} as const;

/** Longest a body may take on the whole, ms: a record; a log or a photo; a bank's file of years. */
export const OVERALL_MS = { record: 60_000, file: 600_000, bankFile: 1_800_000 } as const;

/**
 * Follows how fast a body comes.
 * @returns how to tell what has come so far; answers whether it comes too slowly. @param now ms, for tests
 */
export function paceOf(overallMs: number, now: () => number = Date.now): (size: number) => boolean {
	const begunMs = now();
	let stretch = { fromMs: begunMs, size: 0 };
	return (size) => {
		const at = now();
		if (at - begunMs > overallMs) return true;
		const tookMs = at - stretch.fromMs;
		if (tookMs < PACE.stretchMs) return false;
		const isSlow = size - stretch.size < (PACE.leastBytesAS * tookMs) / 1000;
		stretch = { fromMs: at, size };
		return isSlow;
	};
}

/** The clock of a simulated bench when a page was loaded, and how much faster it goes than ours. */
export interface BenchClock {
	nowMs: number;
	factor: number;
}

/** What time it is for a bank, ms: ours; for a rehearsal its bench’s, going on from when the page was loaded. */
export function bankClock(bench: BenchClock | null): () => number {
	const loadedAt = Date.now();
	return () => (bench ? bench.nowMs + bench.factor * (Date.now() - loadedAt) : Date.now());
}

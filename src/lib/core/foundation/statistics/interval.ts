/** An interval that holds the truth with 95 %, and where it most likely lies. */
export interface Interval {
	low95: number;
	likely: number;
	high95: number;
}

/** The middle 95 % of draws, and their median. @param draws one or more, any order */
export function intervalOf(draws: readonly number[]): Interval {
	const sorted = [...draws].sort((a, b) => a - b);
	const at = (share: number) => sorted[Math.min(sorted.length - 1, Math.round(share * (sorted.length - 1)))]!;
	return { low95: at(0.025), likely: at(0.5), high95: at(0.975) };
}

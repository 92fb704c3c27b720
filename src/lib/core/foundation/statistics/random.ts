/** A source of numbers uniform in [0, 1). Passed in wherever chance is wanted, so the same seed gives the same run. */
export type Random = () => number;

/** Seeded generator (mulberry32). `seed` is any integer. */
export function seededRandom(seed: number): Random {
	let state = seed >>> 0;
	return () => {
		state = (state + 0x6d2b79f5) >>> 0;
		let t = state;
		t = Math.imul(t ^ (t >>> 15), t | 1);
		t ^= t + Math.imul(t ^ (t >>> 7), t | 61);
		return ((t ^ (t >>> 14)) >>> 0) / 4294967296;
	};
}

/** One draw from a normal distribution (Box & Muller 1958). */
export function normalDraw(random: Random, mean: number, sd: number): number {
	const radius = Math.sqrt(-2 * Math.log(1 - random()));
	return mean + sd * radius * Math.cos(2 * Math.PI * random());
}

/** One draw of χ² of so many degrees (1 or more), divided by them (Wilson and Hilferty 1931). */
export const chiSquareShare = (random: Random, degrees: number): number => {
	const spread = 2 / (9 * degrees);
	return Math.max(0.05, 1 - spread + normalDraw(random, 0, Math.sqrt(spread))) ** 3;
};

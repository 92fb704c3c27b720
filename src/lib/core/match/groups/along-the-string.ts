/** Places of a string from its ends inwards: 0, S − 1, 1, S − 2 … */
const fromTheEnds = (series: number): number[] =>
	Array.from({ length: series }, (_, i) => (i % 2 === 0 ? i / 2 : series - 1 - (i - 1) / 2));

/**
 * The same groups along the battery so that those likeliest to give out first sit at its ends: the middle runs warmer, and an end is easier to
 * watch, to reach and to change. Battery by battery; which cells share a group does not change, nor what the string gives.
 * @param groups cell ids, most negative first, battery after battery @param series groups of one battery
 * @param strengthOf of a group, larger is stronger, e.g. its capacity in Ah
 */
export function weakestToTheEnds(
	groups: readonly (readonly number[])[],
	series: number,
	strengthOf: (group: readonly number[]) => number
): number[][] {
	const placed: number[][] = [];
	for (let first = 0; first < groups.length; first += series) {
		const own = groups.slice(first, first + series);
		const weakestFirst = [...own].sort((a, b) => strengthOf(a) - strengthOf(b));
		const along: number[][] = Array.from({ length: own.length }, () => []);
		fromTheEnds(own.length).forEach((place, i) => (along[place] = [...weakestFirst[i]!]));
		placed.push(...along);
	}
	return placed;
}

import { SAME_AH, type Assignment } from './problem';

/**
 * Largest number of disjoint pairs whose sum lies in [low, high], by pairing the smallest cell left with the largest
 * it fits; an exchange argument shows that no matching has more pairs.
 * @param capacities falling
 * @returns pairs of indices into `capacities`
 */
function pairsWithin(capacities: readonly number[], low: number, high: number): Assignment {
	const free = capacities.map(() => true);
	const pairs: Assignment = [];
	for (let a = capacities.length - 1; a > 0; a--) {
		if (!free[a]) continue;
		const partner = capacities.findIndex((c, i) => i < a && free[i] && c + capacities[a]! <= high + SAME_AH);
		if (partner < 0 || capacities[partner]! + capacities[a]! < low - SAME_AH) continue;
		free[a] = free[partner] = false;
		pairs.push([partner, a]);
	}
	return pairs;
}

/**
 * Groups of two: largest smallest group, then least spread, both exact. The best smallest group comes from folding
 * the 2·S largest cells (largest with smallest); the least largest group from a search over pair sums.
 * @param capacities falling, Ah; at least 2·series
 */
export function matchPairs(capacities: readonly number[], series: number): Assignment {
	const folded = Array.from({ length: series }, (_, i) => [i, 2 * series - 1 - i]);
	const sumOf = ([a, b]: number[]) => capacities[a!]! + capacities[b!]!;
	const smallest = Math.min(...folded.map(sumOf));
	let best = folded;
	const sums = capacities
		.flatMap((c, i) => capacities.slice(i + 1).map((d) => c + d))
		.filter((s) => s >= smallest - SAME_AH && s <= Math.max(...folded.map(sumOf)))
		.sort((a, b) => a - b);
	let low = 0;
	let high = sums.length - 1;
	while (low < high) {
		const middle = (low + high) >> 1;
		const pairs = pairsWithin(capacities, smallest, sums[middle]!);
		if (pairs.length >= series) {
			best = pairs.slice(0, series);
			high = middle;
		} else low = middle + 1;
	}
	return best;
}

const BINS = 1024;

/**
 * Weighted quantiles of values; weights sum to 1, probabilities in any order. The values are counted into bins, and only
 * those in the bin a quantile falls into are sorted.
 */
export function weightedQuantiles(
	values: Float64Array,
	weight: Float64Array,
	probabilities: readonly number[]
): number[] {
	let [low, high] = [Infinity, -Infinity];
	for (let i = 0; i < values.length; i++) {
		if (values[i]! < low) low = values[i]!;
		if (values[i]! > high) high = values[i]!;
	}
	const perUnit = high > low ? (BINS - 1) / (high - low) : 0;
	const bins = new Uint16Array(values.length);
	const inBin = new Float64Array(BINS);
	for (let i = 0; i < values.length; i++) {
		bins[i] = (values[i]! - low) * perUnit;
		inBin[bins[i]!]! += weight[i]!;
	}
	return probabilities.map((probability) => {
		let sum = 0;
		let bin = 0;
		while (bin < BINS - 1 && sum + inBin[bin]! < probability) sum += inBin[bin++]!;
		const members: number[] = [];
		for (let i = 0; i < bins.length; i++) if (bins[i] === bin) members.push(i);
		members.sort((i, j) => values[i]! - values[j]!);
		const at = members.find((i) => (sum += weight[i]!) >= probability) ?? members.at(-1);
		return at === undefined ? high : values[at]!;
	});
}

/**
 * The narrowest interval that holds a share of weighted values; weights sum to 1. Of a lopsided law it leaves out the long tail. To a bin
 * in a thousand of their range.
 * @returns its ends
 */
export function narrowestInterval(values: Float64Array, weight: Float64Array, held: number): [number, number] {
	let [low, high] = [Infinity, -Infinity];
	for (let i = 0; i < values.length; i++) {
		if (values[i]! < low) low = values[i]!;
		if (values[i]! > high) high = values[i]!;
	}
	const perUnit = high > low ? (BINS - 1) / (high - low) : 0;
	const inBin = new Float64Array(BINS);
	const least = new Float64Array(BINS).fill(Infinity);
	const most = new Float64Array(BINS).fill(-Infinity);
	for (let i = 0; i < values.length; i++) {
		const [value, bin] = [values[i]!, Math.floor((values[i]! - low) * perUnit)];
		inBin[bin]! += weight[i]!;
		if (value < least[bin]!) least[bin] = value;
		if (value > most[bin]!) most[bin] = value;
	}
	let [from, sum] = [0, 0];
	let best: [number, number] = [low, high];
	for (let to = 0; to < BINS; to++) {
		if (inBin[to] === 0) continue;
		sum += inBin[to]!;
		while (from < to && (inBin[from] === 0 || sum - inBin[from]! >= held)) sum -= inBin[from++]!;
		if (sum >= held && most[to]! - least[from]! < best[1] - best[0]) best = [least[from]!, most[to]!];
	}
	return best;
}

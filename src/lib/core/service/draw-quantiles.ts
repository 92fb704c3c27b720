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
 * The narrowest interval that holds a share of weighted values; weights sum to 1. Of a lopsided law it leaves out the long tail.
 * @returns its ends
 */
export function narrowestInterval(values: Float64Array, weight: Float64Array, held: number): [number, number] {
	const order = [...values.keys()].sort((i, j) => values[i]! - values[j]!);
	let [from, sum] = [0, 0];
	let best: [number, number] = [values[order[0]!]!, values[order.at(-1)!]!];
	for (const i of order) {
		sum += weight[i]!;
		while (sum - weight[order[from]!]! >= held) sum -= weight[order[from++]!]!;
		if (sum >= held && values[i]! - values[order[from]!]! < best[1] - best[0])
			best = [values[order[from]!]!, values[i]!];
	}
	return best;
}

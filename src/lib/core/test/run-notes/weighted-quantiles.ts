import type { Interval } from '../../foundation/statistics';

/** The 2.5, 50 and 97.5 % points of weighted values; weights need not add up to 1. */
export function quantiles(values: readonly number[], weights: readonly number[]): Interval {
	const order = values.map((_, i) => i).sort((a, b) => values[a]! - values[b]!);
	const total = weights.reduce((a, b) => a + b, 0);
	const at = (share: number) => {
		let sum = 0;
		for (const i of order) {
			sum += weights[i]!;
			if (sum >= share * total) return values[i]!;
		}
		return values[order.at(-1)!]!;
	};
	return { low95: at(0.025), likely: at(0.5), high95: at(0.975) };
}

/**
 * Thins a curve for drawing: keeps the first and last sample and, in each of `buckets` equal counts between, the
 * lowest and highest value, so that no dip is lost.
 * @returns indices into the curve, rising
 */
export function thinCurve(values: ArrayLike<number>, buckets: number): number[] {
	const n = values.length;
	if (n <= buckets * 2 + 2) return Array.from({ length: n }, (_, i) => i);
	const kept = new Set([0, n - 1]);
	for (let b = 0; b < buckets; b++) {
		const from = Math.floor((b * n) / buckets);
		const to = Math.floor(((b + 1) * n) / buckets);
		let low = from;
		let high = from;
		for (let i = from; i < to; i++) {
			if (values[i]! < values[low]!) low = i;
			if (values[i]! > values[high]!) high = i;
		}
		kept.add(low).add(high);
	}
	return [...kept].sort((a, b) => a - b);
}

/** Volts in the middle of several discharge curves at the same ampere-hours, as far as at least half of them go. */
export function medianCurve(
	curves: readonly { voltageV: readonly number[]; dischargedAh: readonly number[] }[],
	points = 120
): { voltageV: number[]; dischargedAh: number[] } {
	const usable = curves.filter((c) => c.dischargedAh.length > 1);
	if (usable.length === 0) return { voltageV: [], dischargedAh: [] };
	const ends = usable.map((c) => c.dischargedAh.at(-1)!).sort((a, b) => a - b);
	const reach = ends[ends.length >> 1]!;
	const dischargedAh = Array.from({ length: points }, (_, i) => (reach * i) / (points - 1));
	const voltageV = dischargedAh.map((ah) => {
		const there = usable.flatMap((c) => voltsAt(c, ah) ?? []).sort((a, b) => a - b);
		const half = there.length >> 1;
		return there.length % 2 ? there[half]! : (there[half - 1]! + there[half]!) / 2;
	});
	return { voltageV, dischargedAh };
}

/** Volts of a curve at some ampere-hours; null beyond its end. @param curve of two points or more */
export function voltsAt(
	{ voltageV, dischargedAh }: { voltageV: readonly number[]; dischargedAh: readonly number[] },
	ah: number
) {
	if (ah > dischargedAh.at(-1)!) return null;
	let low = 0;
	let high = dischargedAh.length - 1;
	while (high - low > 1) {
		const middle = (low + high) >> 1;
		if (dischargedAh[middle]! <= ah) low = middle;
		else high = middle;
	}
	const width = dischargedAh[high]! - dischargedAh[low]!;
	const share = width > 0 ? (ah - dischargedAh[low]!) / width : 0;
	return voltageV[low]! + share * (voltageV[high]! - voltageV[low]!);
}

/** One discharge of a log: its first and last sample, and what it gave, roughly. */
export interface LogDischarge {
	from: number;
	to: number;
	ah: number;
	endV: number;
	/** The charge before it in this log gave back less than the discharge before that had taken: it did not begin full. */
	notRefilled: boolean;
}

/** Charged between by more than this share of the capacity, two discharges are two. */
const CHARGED_BETWEEN = 0.02;
/** A discharge smaller than this share of the largest is a load, not a test. */
const OF_THE_LARGEST = 0.2;
/** A charge that gives back less than this share of what was taken leaves the cell below full; counters agree with themselves that well. */
const GIVEN_BACK = 0.99;

/**
 * The discharges of a log, split where more than 2 % of the capacity is charged between, in order; those that are small beside the
 * largest are left out.
 * @param outA out of the cell, A, negative into it @param isGap whether a step tells nothing of the current @param baseAh capacity
 */
export function dischargesOf(
	timeS: ArrayLike<number>,
	voltageV: ArrayLike<number>,
	outA: ArrayLike<number>,
	isGap: (stepS: number) => boolean,
	baseAh: number
): LogDischarge[] {
	const found: LogDischarge[] = [];
	let own: LogDischarge | null = null;
	let [chargedAh, missingAh] = [0, 0];
	for (let i = 0; i + 1 < timeS.length; i++) {
		const dt = timeS[i + 1]! - timeS[i]!;
		const movedAh = isGap(dt) ? 0 : (((outA[i]! + outA[i + 1]!) / 2) * dt) / 3600;
		if (movedAh < 0) chargedAh -= movedAh;
		if (movedAh <= 0) continue;
		if (own === null || chargedAh > CHARGED_BETWEEN * baseAh) {
			missingAh = Math.max(0, missingAh + (own?.ah ?? 0) - chargedAh);
			// From an unknown charge the first one begins as it may.
			const notRefilled: boolean = own !== null && missingAh > (1 - GIVEN_BACK) * baseAh;
			own = { from: i, to: i, ah: 0, endV: voltageV[i]!, notRefilled };
			found.push(own);
		}
		chargedAh = 0;
		own.to = i + 1;
		own.ah += movedAh;
		own.endV = Math.min(voltageV[i]!, voltageV[i + 1]!);
	}
	const largest = Math.max(0, ...found.map((d) => d.ah));
	return found.filter((d) => d.ah >= OF_THE_LARGEST * largest);
}

/** Of several discharges the last that went from full to its cut-off, else the last that ran to it, else the last. @param endsBelowV null: not known */
export function tested(discharges: readonly LogDischarge[], endsBelowV: number | null): LogDischarge | null {
	const ended = endsBelowV === null ? discharges : discharges.filter((d) => d.endV <= endsBelowV);
	return ended.findLast((d) => !d.notRefilled) ?? ended.at(-1) ?? discharges.at(-1) ?? null;
}

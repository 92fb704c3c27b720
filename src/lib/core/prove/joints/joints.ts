import { restVoltageCurve, type Chemistry } from '../../foundation/chemistry';
import { CoreError, requireFinite, requirePositive } from '../../foundation/errors';
import { median, type Interval } from '../../foundation/statistics';

export interface JointsInput {
	/** Group voltages at rest and under a steady load, magnitudes as read, group 1 first, V. */
	restV: readonly number[];
	loadV: readonly number[];
	/** The steady current, into the battery, A. */
	currentA: number;
	/** Cells in parallel in a group. */
	parallel: number;
	/** Of one reading against the other a moment before, one standard deviation, V: what the meter's gain does to both is not in it. */
	meterSdV: number;
}

export interface Joint {
	/** From 1, battery negative side. */
	group: number;
	/** What it has beyond its like, mΩ. */
	mOhm: Interval;
	/** Heat of that at this current, W. */
	heatW: number;
}

/** Resistance of like cells among themselves, one sd as a share (default). */
const CELL_SPREAD = 0.05;
/** What one end of a battery is warmer than the other makes of the resistance from end to end, one sd as a share (default): 3 % a K. */
const END_TO_END = 0.1;
/** What a clamp or the meter's range makes of a difference, one sd as a share of it (default). */
const CLAMP_SHARE = 0.015;
/** A median of n has the doubt of a mean of n, times this. */
const MEDIAN_FACTOR = 1.2533;
const Z95 = 1.96;

/** Groups of one battery read alike to this factor, whatever their charge; beyond it a digit slipped, or it is no group. */
const ALIKE = 1.6;
/** No cell of any chemistry stands higher, V. */
export const MAX_GROUP_V = 5.1;

function refuseOdd(volts: readonly number[], path: string): void {
	const typical = median(volts.map(Math.abs))!;
	if (typical > MAX_GROUP_V)
		throw new CoreError(
			'odd-reading',
			path,
			`${path} requires the voltages of single groups, at most ${MAX_GROUP_V} V; got about ${typical.toFixed(1)} V. Is the decimal point right?`
		);
	const odd = volts.findIndex((v) => Math.abs(v) > ALIKE * typical || Math.abs(v) < typical / ALIKE);
	if (odd >= 0)
		throw new CoreError(
			'odd-reading',
			`${path}.${odd}`,
			`${path}.${odd} requires a voltage like the other groups’, about ${typical.toFixed(2)} V, got ${volts[odd]} V. Read it again.`
		);
}

/** Between these shares of charge a group sags by its resistance; nearer an end by its charge as well (LFP: 3.22 to 3.338 V at rest). */
const SHOWN_WITHIN = { low: 0.137, high: 0.962 };
/** Groups further apart at rest are not at like charge, V. */
const LIKE_CHARGE_V = 0.02;

/** Why joints do not show in readings, by how the groups stood at rest; null: they do. */
export function jointsHidden(
	restV: readonly number[],
	chemistry: Chemistry
): { lowestV: number; highestV: number; fromV: number; toV: number; apartV: number } | null {
	const curve = restVoltageCurve(chemistry);
	const [fromV, toV] = [curve.at(SHOWN_WITHIN.low), curve.at(SHOWN_WITHIN.high)];
	const magnitudes = restV.map(Math.abs);
	const [lowestV, highestV] = [Math.min(...magnitudes), Math.max(...magnitudes)];
	const shows = lowestV >= fromV && highestV <= toV && highestV - lowestV <= LIKE_CHARGE_V;
	return shows ? null : { lowestV, highestV, fromV, toV, apartV: LIKE_CHARGE_V };
}

/** Fewer groups tell no trend from a loose joint among them. */
const MIN_FOR_TREND = 5;

/**
 * How the resistance goes on from one group to the next, as it does where one end is warmer: the median of the slopes of all pairs (Theil
 * 1950, Sen 1968), which one loose joint does not move, held against how much of that there may be. @param priorSd Ω a place
 */
function trendOf(
	groups: readonly { at: number; ohm: number }[],
	own: number,
	priorSd: number
): { slope: number; sd: number } {
	if (groups.length < MIN_FOR_TREND) return { slope: 0, sd: priorSd };
	const slopes = groups.flatMap((a, k) => groups.slice(k + 1).map((b) => (b.ohm - a.ohm) / (b.at - a.at)));
	const middle = groups.reduce((sum, g) => sum + g.at, 0) / groups.length;
	const readSd = own / Math.sqrt(groups.reduce((sum, g) => sum + (g.at - middle) ** 2, 0));
	const kept = priorSd ** 2 / (priorSd ** 2 + readSd ** 2);
	return { slope: kept * median(slopes)!, sd: Math.sqrt(kept) * readSd };
}

/**
 * Resistance of each group's joint beyond that of its like, from its voltage at rest and under load: `(Vload − Vrest)/I`, less the
 * median of the other groups (models, joints). The doubt holds both readings, the cells' own spread at P in parallel and that
 * of the median. Main lugs, fuse, BMS and disconnect lie outside the sense points.
 * @returns one a group, by position
 * @throws CoreError `groups-count` unless both lists are of one length from 2, `odd-reading`, `no-current`, `wrong-sign`, `not-a-number`, `not-positive`
 */
export function judgeJoints({ restV, loadV, currentA, parallel, meterSdV }: JointsInput): Joint[] {
	if (restV.length < 2 || restV.length !== loadV.length)
		throw new CoreError(
			'groups-count',
			'loadV',
			`restV and loadV require one value a group, of two groups or more; got ${restV.length} and ${loadV.length}`
		);
	restV.forEach((v, i) => requireFinite(v, `restV.${i}`));
	loadV.forEach((v, i) => requireFinite(v, `loadV.${i}`));
	refuseOdd(restV, 'restV');
	refuseOdd(loadV, 'loadV');
	requirePositive(meterSdV, 'meterSdV');
	requirePositive(parallel, 'parallel');
	if (requireFinite(currentA, 'currentA') === 0)
		throw new CoreError('no-current', 'currentA', 'currentA requires a current: at rest no joint shows');
	const ohms = restV.map((rest, i) => (Math.abs(loadV[i]!) - Math.abs(rest)) / currentA);
	const readSd = (Math.SQRT2 * meterSdV) / Math.abs(currentA);
	if (ohms.filter((r) => r < -2 * readSd).length > ohms.length / 2)
		throw new CoreError(
			'wrong-sign',
			'currentA',
			currentA > 0
				? 'Most groups fall under a current that is said to charge them. Is it a discharge? Give it with a minus.'
				: 'Most groups rise under a current that is said to discharge them. Is it a charge? Give it without the minus.'
		);
	return ohms.map((ohm, i) => {
		const others = ohms.flatMap((r, at) => (at === i ? [] : [{ at, ohm: r }]));
		const middle = median(others.map((o) => o.ohm))!;
		const own = Math.hypot(readSd, (CELL_SPREAD / Math.sqrt(parallel)) * Math.abs(middle));
		const trend = trendOf(others, own, (END_TO_END * Math.abs(middle)) / (ohms.length - 1));
		const away = i - median(others.map((o) => o.at))!;
		const excess = ohm - middle - trend.slope * away;
		const pair = own * Math.sqrt(1 + (others.length > 2 ? MEDIAN_FACTOR ** 2 : 1) / others.length);
		const sd = Math.hypot(pair, trend.sd * away, CLAMP_SHARE * excess);
		const mOhm = (value: number) => value * 1000;
		return {
			group: i + 1,
			mOhm: { low95: mOhm(excess - Z95 * sd), likely: mOhm(excess), high95: mOhm(excess + Z95 * sd) },
			heatW: currentA ** 2 * Math.max(0, excess)
		};
	});
}

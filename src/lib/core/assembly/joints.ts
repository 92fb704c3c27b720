import { restVoltageCurve, type Chemistry } from '../chemistry';
import { CoreError, median, requireFinite, requirePositive, type Interval } from '../shared';

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

/** Resistance of like cells among themselves, one sd as a share (default): makers' spread and a few degrees between them. */
const CELL_SPREAD = 0.06;
/** What a clamp or the meter's range makes of a difference, one sd as a share of it (default). */
const CLAMP_SHARE = 0.015;
/** A median of n has the doubt of a mean of n, times this. */
const MEDIAN_FACTOR = 1.2533;
const Z95 = 1.96;

/** Groups of one battery read alike to this factor, whatever their charge; beyond it a digit slipped, or it is no group. */
const ALIKE = 1.6;
/** No cell of any chemistry stands higher, V. */
export const MOST_GROUP_V = 5.1;

function refuseOdd(volts: readonly number[], path: string): void {
	const typical = median(volts.map(Math.abs))!;
	if (typical > MOST_GROUP_V)
		throw new CoreError(
			'odd-reading',
			path,
			`${path} requires the voltages of single groups, at most ${MOST_GROUP_V} V; got about ${typical.toFixed(1)} V. Is the decimal point right?`
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
		const others = ohms.filter((_, k) => k !== i);
		const like = median(others)!;
		const own = Math.hypot(readSd, (CELL_SPREAD / Math.sqrt(parallel)) * Math.abs(like));
		const excess = ohm - like;
		const pair = own * Math.sqrt(1 + (others.length > 2 ? MEDIAN_FACTOR ** 2 : 1) / others.length);
		const sd = Math.hypot(pair, CLAMP_SHARE * excess);
		const mOhm = (value: number) => value * 1000;
		return {
			group: i + 1,
			mOhm: { low95: mOhm(excess - Z95 * sd), likely: mOhm(excess), high95: mOhm(excess + Z95 * sd) },
			heatW: currentA ** 2 * Math.max(0, excess)
		};
	});
}

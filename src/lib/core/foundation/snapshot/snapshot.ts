import { bisectLeft, cumsum } from 'd3-array';
import { LOADED_OHM_AH, HYSTERESIS_V, drawnCurve, restVoltageCurve, type Chemistry } from '../chemistry';
import { CoreError, requireFinite, requireNotNegative, requirePositive } from '../errors';
import {
	intervalOf,
	mean,
	median,
	normalDraw,
	robustSd,
	seededRandom,
	type Interval,
	type Random
} from '../statistics';

/** Group voltages read within a minute, while a known current flows. */
export interface Snapshot {
	chemistry: Chemistry;
	/** One a group, position 1 first, V of one cell; null where it was not read. */
	groupVoltagesV: readonly (number | null)[];
	/** Amperes into the battery. */
	currentA: number;
	groupAh: number;
	/** One standard deviation of the meter, V of one cell. */
	meterSdV: number;
}

export interface SnapshotBounds {
	/** Charge between the fullest and the emptiest group that was read, Ah. */
	apartAh: Interval;
	/** Charge of each group against the mean of the others, Ah; null where it was not read. */
	driftAh: (Interval | null)[];
	/** Median state of charge of each group, fraction. */
	soc: (number | null)[];
}

/**
 * What is not known of any cell, one standard deviation (default): hysteresis and resistance as the logarithm of a factor; joints,
 * Ω·Ah; at rest, how far one group may stand in its hysteresis loop from the others, as a share of the loop.
 */
const DOUBT = { hysteresis: 0.35, resistance: 0.22, jointOhmAh: 0.01, unlikeHysteresis: 0.5 };
/** Above this current the readings hold resistance as well as charge, in C. */
export const LOADED_C_RATE = 0.06;
/**
 * Then what was left out below it counts, one standard deviation of a logarithm each (default): resistance at a temperature nobody
 * told, 5 to 35 °C; and how steep the knees are.
 */
const LOADED_DOUBT = { resistance: 0.39, knee: Math.log(1.4) / 1.96 };
/** Below this C-rate nobody knows which way the current last flowed. */
const STILL_C_RATE = 0.002;
const DRAWS = 600;
const SEED = 20_260_903;

/**
 * What a snapshot of group voltages can say of charge. A voltage read while charging, or just after, is no rest voltage: it holds
 * hysteresis, `I·(R0 + R1)`, the joint, the meter, and the doubt of the curve itself. Each draw takes one world's of all these
 * and reads the groups by it; what all groups share moves them together. The spread that the meter alone would show is taken
 * out, so that many groups that are alike are not called apart (shrinkage to their mean by the variance left over).
 * Surface charge shifts every group alike and is left out.
 * @throws CoreError `no-readings` below two groups, `not-a-number`, `not-positive`
 */
export function snapshotBounds(snapshot: Snapshot): SnapshotBounds {
	const { groupVoltagesV, groupAh, currentA, meterSdV } = snapshot;
	requirePositive(groupAh, 'groupAh');
	requireFinite(currentA, 'currentA');
	requireNotNegative(meterSdV, 'meterSdV');
	groupVoltagesV.forEach((v, i) => v !== null && requireFinite(v, `groupVoltagesV.${i}`));
	const read = groupVoltagesV.flatMap((v, i) => (v === null ? [] : [i]));
	if (read.length < 2)
		throw new CoreError(
			'no-readings',
			'groupVoltagesV',
			`groupVoltagesV requires two or more groups, got ${read.length}`
		);
	const volts = read.map((i) => groupVoltagesV[i]!);
	const draws = chargeDraws(snapshot, volts);
	const apart = draws.map((socs) => (Math.max(...socs) - Math.min(...socs)) * groupAh);
	const drift = read.map((_, k) => draws.map((socs) => againstOthers(socs, k) * groupAh));
	const place = new Map(read.map((i, k) => [i, k]));
	const ofGroup = <T>(of: (k: number) => T) => groupVoltagesV.map((_, i) => (place.has(i) ? of(place.get(i)!) : null));
	return {
		apartAh: intervalOf(apart),
		driftAh: ofGroup((k) => intervalOf(drift[k]!)),
		soc: ofGroup((k) => intervalOf(draws.map((socs) => socs[k]!)).likely)
	};
}

/**
 * By how much each group has moved against the mean of the others from one snapshot of a battery to another, Ah. Curve, hysteresis and
 * resistance are the same cells' both times: each drawn world reads both, and what it gets wrong of both falls out of the difference.
 * Null where a group was not read both times.
 * @throws CoreError `no-readings` below two groups read both times, and as {@link snapshotBounds}
 */
export function driftChange(before: Snapshot, after: Snapshot): (Interval | null)[] {
	const places = after.groupVoltagesV.flatMap((v, i) => (v !== null && before.groupVoltagesV[i] != null ? [i] : []));
	if (places.length < 2)
		throw new CoreError(
			'no-readings',
			'groupVoltagesV',
			`groupVoltagesV requires two or more groups read both times, got ${places.length}`
		);
	const drawsOf = (snapshot: Snapshot, reading: number) =>
		chargeDraws(
			snapshot,
			places.map((i) => snapshot.groupVoltagesV[i]!),
			reading
		);
	const [was, is] = [drawsOf(before, 0), drawsOf(after, 1)];
	const place = new Map(places.map((i, k) => [i, k]));
	return after.groupVoltagesV.map((_, i) => {
		const k = place.get(i);
		if (k === undefined) return null;
		return intervalOf(
			is.map((socs, d) => againstOthers(socs, k) * after.groupAh - againstOthers(was[d]!, k) * before.groupAh)
		);
	});
}

const againstOthers = (socs: readonly number[], k: number): number => {
	const sum = socs.reduce((a, b) => a + b, 0);
	return socs[k]! - (sum - socs[k]!) / (socs.length - 1);
};

/**
 * States of charge of the groups in each drawn world, in the order of the voltages. The worlds are the same for every snapshot; what
 * the meter adds is drawn anew for each.
 */
function chargeDraws(
	{ chemistry, groupAh, currentA, meterSdV }: Snapshot,
	volts: readonly number[],
	reading = 0
): number[][] {
	const random = seededRandom(SEED);
	const ofReading = seededRandom(SEED + 1 + reading);
	const draw = (sd: number) => normalDraw(random, 0, sd);
	const rate = currentA / groupAh;
	const isStill = Math.abs(rate) < STILL_C_RATE;
	const isLoaded = Math.abs(rate) > LOADED_C_RATE;
	const resistance = isLoaded ? LOADED_DOUBT.resistance : DOUBT.resistance;
	const unlikeV = isStill ? DOUBT.unlikeHysteresis * HYSTERESIS_V[chemistry] : 0;
	const groupSdV = Math.hypot(meterSdV, Math.abs(rate) * DOUBT.jointOhmAh, unlikeV);
	const drawVolts = ownVoltages(volts, groupSdV, ofReading);
	const typical = restVoltageCurve(chemistry);
	return Array.from({ length: DRAWS }, () => {
		const loopV = HYSTERESIS_V[chemistry] * Math.exp(draw(DOUBT.hysteresis));
		const branch = isStill ? 2 * ofReading() - 1 : Math.sign(rate);
		const shared = branch * loopV + rate * LOADED_OHM_AH * Math.exp(draw(resistance));
		const curve = drawnCurve(typical, random);
		if (!isLoaded) return drawVolts().map((v) => curve.socOf(v - shared));
		const knee = Math.exp(draw(LOADED_DOUBT.knee));
		return drawVolts().map((v) => steeper(curve.socOf(v - shared), knee));
	});
}

/** A charge read by a curve whose ends are steeper or flatter by a factor: nearer to its end, or further from it. */
const steeper = (soc: number, knee: number): number =>
	soc > 0.5 ? 1 - Math.min(0.5, (1 - soc) * knee) : Math.min(0.5, soc * knee);

/** A group further from the median than so many sd of the meter and of the usual scatter is taken at its word. */
const APART_SDS = 3;
/** Sizes at which the groups' own scatter is weighed, and how far beyond what was seen. */
const SCATTER_STEPS = 60;
const SCATTER_REACH = 3;

/**
 * The groups' own voltages, drawn: what each was read at, less what the meter alone would scatter. How much of the scatter is the
 * groups' own is itself drawn, from what so few groups can tell (any size as likely as another before they were read). One that
 * stands clearly apart is not drawn to the others.
 */
function ownVoltages(volts: readonly number[], sdV: number, random: Random): () => number[] {
	const middle = median(volts)!;
	const usual = Math.max(sdV, robustSd(volts)!);
	const alike = volts.map((v) => Math.abs(v - middle) <= APART_SDS * usual);
	const pool = volts.filter((_, i) => alike[i]);
	const centre = mean(pool)!;
	const squares = pool.reduce((sum, v) => sum + (v - centre) ** 2, 0);
	const drawScatter = scatterOf(squares, pool.length, sdV, random);
	return () => {
		const own = drawScatter() ** 2;
		const kept = sdV === 0 ? 1 : own / (own + sdV ** 2);
		return volts.map((v, i) => {
			const k = alike[i] ? kept : 1;
			return centre + k * (v - centre) + normalDraw(random, 0, Math.sqrt(k) * sdV);
		});
	};
}

/** Draws the scatter of n groups whose readings, each with the meter's sd, have this sum of squares about their mean, V. */
function scatterOf(squares: number, n: number, sdV: number, random: Random): () => number {
	const reach = SCATTER_REACH * Math.max(sdV, Math.sqrt(squares / Math.max(1, n - 1)));
	const sizes = Array.from({ length: SCATTER_STEPS }, (_, i) => (reach * (i + 0.5)) / SCATTER_STEPS);
	const weights = sizes.map((own) => {
		const total = own ** 2 + sdV ** 2;
		return total === 0
			? 1
			: Math.exp(-((n - 1) / 2) * Math.log(total / (reach ** 2 + sdV ** 2)) - squares / (2 * total));
	});
	const sums = cumsum(weights);
	const all = sums[sums.length - 1]!;
	return () => (all > 0 ? sizes[bisectLeft(sums, random() * all)]! : 0);
}

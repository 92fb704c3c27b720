import { GROWS, MIN_SHARE_A_CHECK, say } from '../verdicts';
import { sum } from 'd3-array';
import { normalQuantile, type Interval } from '../../foundation/statistics';
import { WHOLE_BANK, measured, type Subject, type Verdict } from '../../foundation/verdicts';

export interface DatedDrift {
	/** Years since the battery went into service. */
	ageYears: number;
	driftAh: readonly (Interval | null)[];
}

/** An interval spans this many standard deviations. */
const INTERVAL_SDS = 2 * 1.96;

/** How fast a group moves away from the others. */
export interface DriftSlope {
	ahPerMonth: number;
	/** Wider than the checks' own doubt where they do not lie on a line: a balancer may have given back. */
	sd: number;
	/** Checks it is from. */
	checks: number;
	/** Where the line stands at the last check, Ah ahead of the others. */
	nowAh: number;
}

/**
 * Slope of each group's drift, Ah a month, which is its difference in self-discharge where no balancer works: least squares, each check
 * by how well it can tell; the doubt widened by what the checks leave of a line (Birge 1932).
 * @param drifts judged checks of one context, any order; fewer than two for a group gives null @param groupAh rated capacity of a group
 */
export function driftSlopes(drifts: readonly DatedDrift[], groups: number, groupAh: number): (DriftSlope | null)[] {
	const floorAh = MIN_SHARE_A_CHECK * groupAh;
	return Array.from({ length: groups }, (_, g) => {
		const points = drifts.flatMap(({ ageYears, driftAh }) => {
			const own = driftAh[g];
			if (own == null) return [];
			const sd = Math.hypot((own.high95 - own.low95) / INTERVAL_SDS, floorAh);
			return [{ x: ageYears * 12, y: own.likely, weight: 1 / sd ** 2 }];
		});
		if (points.length < 2) return null;
		const all = sum(points, (p) => p.weight);
		const meanX = sum(points, (p) => p.weight * p.x) / all;
		const meanY = sum(points, (p) => p.weight * p.y) / all;
		const sxx = sum(points, (p) => p.weight * (p.x - meanX) ** 2);
		if (sxx === 0) return null;
		const ahPerMonth = sum(points, (p) => p.weight * (p.x - meanX) * (p.y - meanY)) / sxx;
		const lineAt = (x: number) => meanY + ahPerMonth * (x - meanX);
		const left = sum(points, (p) => p.weight * (p.y - lineAt(p.x)) ** 2);
		const scatter = points.length > 2 ? Math.max(1, Math.sqrt(left / (points.length - 2))) : 1;
		const nowAh = lineAt(points.reduce((latest, p) => Math.max(latest, p.x), -Infinity));
		return { ahPerMonth, sd: scatter / Math.sqrt(sxx), checks: points.length, nowAh };
	});
}

/**
 * The group that moves away steadily, though it may not be far away yet; null where none does beyond its doubt. A group that comes back to
 * the others, as a balancer makes it, moves away from nobody.
 * @param slopes position 1 first; @param groupAh rated capacity of a group
 */
export function judgeGrowth(
	slopes: readonly (DriftSlope | null)[],
	groupAh: number,
	subjects: readonly Subject[]
): Verdict | null {
	const sds = normalQuantile(1 - GROWS.chance / 2 / Math.max(1, slopes.length));
	const growing = slopes.flatMap((slope, i) =>
		slope !== null &&
		slope.checks >= GROWS.checks &&
		slope.nowAh * slope.ahPerMonth > 0 &&
		Math.abs(slope.ahPerMonth) > sds * slope.sd &&
		Math.abs(slope.ahPerMonth) * 12 > GROWS.sharePerYear * groupAh
			? [{ ...slope, group: i + 1 }]
			: []
	);
	if (growing.length === 0) return null;
	const worst = growing.reduce((a, b) => (Math.abs(b.ahPerMonth) / b.sd > Math.abs(a.ahPerMonth) / a.sd ? b : a));
	const subject = subjects[worst.group - 1] ?? WHOLE_BANK;
	return say('drift-grows', 'look', subject, {
		ahPerMonth: measured(worst.ahPerMonth, worst.sd),
		checks: worst.checks,
		group: worst.group
	});
}

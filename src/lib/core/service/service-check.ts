import { restVoltageCurve, type Chemistry } from '../chemistry';
import { CoreError, requireFinite, requirePositive } from '../shared';
import { WHOLE_BANK, measured, say, type Subject, type Verdict } from '../verdicts';

/** How the battery stood when its cells were read. */
export const CHECK_CONTEXTS = ['full', 'empty', 'rest', 'load'] as const;
export type CheckContext = (typeof CHECK_CONTEXTS)[number];

export interface ServiceCheck {
	context: CheckContext;
	/** Amperes into the battery. */
	currentA: number;
	/** One voltage a group, position 1 first; null where it was not read. */
	groupVoltagesV: readonly (number | null)[];
}

export interface BatteryContext {
	chemistry: Chemistry;
	groupAh: number;
	meterSdV: number;
	/** What its verdicts are about; the groups by position, from 1. This bank when missing. */
	subjects?: { battery: Subject; groups: readonly Subject[] };
}

export interface CheckJudgement {
	/** False: kept, not judged; `reason` says why. */
	judged: boolean;
	reason: string;
	/** Charge of each group against the mean of the others, Ah, position 1 first; null where it cannot be told. */
	driftAh: (number | null)[];
	verdicts: Verdict[];
}

/** Full means every group above this and next to no current; empty means the lowest group below this (LFP; others by their curve's ends). */
const FULL_SOC = 0.985;
const EMPTY_SOC = 0.05;
const TAIL_C_RATE = 0.06;
const REST_C_RATE = 0.005;
const LOAD_C_RATE = 0.1;
/** Drift under this share of a group's capacity is nothing to act on; above the second, re-balance (default). */
const LOOK_SHARE = 0.01;

/**
 * What a service check can answer, in its own context only: drift of charge at the top (full) or bottom (empty). At
 * rest on the plateau or under load it is kept and not judged, and says why. A reading whose context contradicts its
 * voltages or current is not judged either.
 * @throws CoreError `no-readings`, `not-a-number`, `not-positive`
 */
export function judgeCheck(check: ServiceCheck, battery: BatteryContext): CheckJudgement {
	requirePositive(battery.groupAh, 'groupAh');
	requireFinite(check.currentA, 'currentA');
	const read = check.groupVoltagesV.filter((v): v is number => v !== null);
	read.forEach((v, i) => requireFinite(v, `groupVoltagesV.${i}`));
	if (read.length < 2)
		throw new CoreError(
			'no-readings',
			'groupVoltagesV',
			`groupVoltagesV requires two or more read groups, got ${read.length}`
		);
	const reason = wrongContext(check, read, battery);
	if (reason !== null) return notJudged(check, reason, battery);
	return judged(check, battery);
}

function wrongContext(check: ServiceCheck, read: readonly number[], battery: BatteryContext): string | null {
	const curve = restVoltageCurve(battery.chemistry);
	const socs = read.map((v) => curve.xOf(v));
	const rate = Math.abs(check.currentA) / battery.groupAh;
	const amps = `${Math.abs(check.currentA).toFixed(1)} A`;
	switch (check.context) {
		case 'load':
			return rate < LOAD_C_RATE
				? `Marked as under load, but only ${amps} flowed; neither charge nor joints show. Kept, not judged.`
				: 'Under load the voltages hold resistance as well as charge. Kept for comparison with a reading at rest; drift is not judged.';
		case 'rest':
			if (rate > REST_C_RATE) return `Marked as at rest, but ${amps} flowed. Kept, not judged.`;
			return 'At rest on the plateau groups a third apart in charge read alike within millivolts. Kept, not judged: read them full.';
		case 'full':
			if (rate > TAIL_C_RATE)
				return `Marked as full, but ${amps} still flowed. Read again when the current is below the tail.`;
			return Math.max(...socs) < FULL_SOC
				? `Marked as full, but the highest group is at ${Math.max(...read).toFixed(3)} V: on the plateau it cannot show drift. Kept, not judged.`
				: null;
		case 'empty':
			if (rate > TAIL_C_RATE) return `Marked as empty, but ${amps} flowed. Read again at rest.`;
			return Math.min(...socs) > EMPTY_SOC
				? `Marked as empty, but the lowest group is at ${Math.min(...read).toFixed(3)} V: on the plateau it cannot show drift. Kept, not judged.`
				: null;
	}
}

function notJudged(check: ServiceCheck, reason: string, { subjects }: BatteryContext): CheckJudgement {
	return {
		judged: false,
		reason,
		driftAh: check.groupVoltagesV.map(() => null),
		verdicts: [say('check-not-judged', 'calm', subjects?.battery ?? WHOLE_BANK, { context: check.context, reason })]
	};
}

function judged(check: ServiceCheck, battery: BatteryContext): CheckJudgement {
	const curve = restVoltageCurve(battery.chemistry);
	const socs = check.groupVoltagesV.map((v) => (v === null ? null : curve.xOf(v)));
	const driftAh = socs.map((soc, i) => {
		if (soc === null) return null;
		const others = socs.filter((s, k): s is number => s !== null && k !== i);
		return (soc - others.reduce((a, b) => a + b, 0) / others.length) * battery.groupAh;
	});
	const sdAh = driftDoubtAh(check, battery);
	return {
		judged: true,
		reason: `Read ${check.context}: the curve is steep enough to tell charge.`,
		driftAh,
		verdicts: [driftVerdict(check, battery, driftAh, sdAh)]
	};
}

/** Doubt of one drift: the meter over the slope at the flattest group read. */
function driftDoubtAh(check: ServiceCheck, battery: BatteryContext): number {
	const curve = restVoltageCurve(battery.chemistry);
	const flattest = Math.min(
		...check.groupVoltagesV.filter((v): v is number => v !== null).map((v) => curve.slopeAt(curve.xOf(v)))
	);
	return (battery.meterSdV / Math.max(flattest, 0.02)) * battery.groupAh;
}

function driftVerdict(
	check: ServiceCheck,
	battery: BatteryContext,
	driftAh: readonly (number | null)[],
	sdAh: number
): Verdict {
	const worst = driftAh.reduce<number>(
		(best, d, i) => (d !== null && (best < 0 || Math.abs(d) > Math.abs(driftAh[best]!)) ? i : best),
		-1
	);
	const amount = driftAh[worst]!;
	const limit = LOOK_SHARE * battery.groupAh;
	const apart = Math.abs(amount) > limit;
	const sure = Math.abs(Math.abs(amount) - limit) > 1.645 * sdAh;
	const facts = {
		driftAh: measured(amount, sdAh),
		limitAh: limit,
		limitShare: LOOK_SHARE,
		end: check.context === 'full' ? ('top' as const) : ('bottom' as const),
		group: worst + 1
	};
	const { battery: whole = WHOLE_BANK, groups = [] } = battery.subjects ?? {};
	const group = groups[worst] ?? whole;
	if (!apart) return say('no-drift', 'calm', whole, facts);
	return sure ? say('drift', 'look', group, facts) : say('drift-unsure', 'open', group, facts);
}

export interface DatedDrift {
	/** Years since the battery went into service. */
	ageYears: number;
	driftAh: readonly (number | null)[];
}

/**
 * Slope of each group's drift, Ah a month (least squares), which is its difference in self-discharge.
 * @param drifts judged checks of one context, any order; fewer than two for a group gives null
 */
export function driftSlopes(drifts: readonly DatedDrift[], groups: number): (number | null)[] {
	return Array.from({ length: groups }, (_, g) => {
		const points = drifts.flatMap((d) => (d.driftAh[g] == null ? [] : [{ x: d.ageYears * 12, y: d.driftAh[g]! }]));
		if (points.length < 2) return null;
		const meanX = points.reduce((s, p) => s + p.x, 0) / points.length;
		const meanY = points.reduce((s, p) => s + p.y, 0) / points.length;
		const sxx = points.reduce((s, p) => s + (p.x - meanX) ** 2, 0);
		return sxx === 0 ? null : points.reduce((s, p) => s + (p.x - meanX) * (p.y - meanY), 0) / sxx;
	});
}

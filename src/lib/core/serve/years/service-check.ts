import type { BalancedEnd } from '../../balance/is-balanced';
import {
	misread,
	driftByPassings,
	driftChange,
	narrowed,
	snapshotBounds,
	whatWasRead,
	type Passings
} from '../../foundation/snapshot';
import { restVoltageCurve, type Chemistry } from '../../foundation/chemistry';
import { CoreError, requireFinite, requirePositive } from '../../foundation/errors';
import type { Interval } from '../../foundation/statistics';
import { judgeUnderLoad } from './under-load';
import { WHOLE_BANK, type Subject, type Verdict } from '../../foundation/verdicts';
import { say, type NotJudgedCause } from '../verdicts';

/** How the battery stood when its cells were read. */
export const CHECK_CONTEXTS = ['full', 'empty', 'rest', 'load'] as const;
export type CheckContext = (typeof CHECK_CONTEXTS)[number];

export interface ServiceCheck {
	context: CheckContext;
	/** Amperes into the battery. */
	currentA: number;
	/** One voltage a group, position 1 first; null where it was not read. */
	groupVoltagesV: readonly (number | null)[];
	/** Of the log of the charge it ended, where there is one. */
	passings?: Passings | null;
	/** An earlier check, read full, whose charge was counted: what it knows of each group is carried over. */
	anchor?: CountedCheck | null;
}

/** A check whose groups are known by a count. */
export interface CountedCheck {
	/** ISO 8601. */
	checkedAt: string;
	currentA: number;
	groupVoltagesV: readonly (number | null)[];
	passings: Passings;
}

export interface BatteryContext {
	chemistry: Chemistry;
	groupAh: number;
	meterSdV: number;
	/** The end its groups were brought together at; null or missing when nobody knows. */
	balancedAt?: BalancedEnd | null;
	/** What its verdicts are about; the groups by position, from 1. This bank when missing. */
	subjects?: { battery: Subject; groups: readonly Subject[] };
}

export interface CheckJudgement {
	/** False: kept, not judged; `reason` says why. */
	judged: boolean;
	reason: string;
	/** Charge of each group against the mean of the others, Ah, position 1 first; null where it cannot be told. */
	driftAh: (Interval | null)[];
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
 * What a service check can answer, in its own context only: drift of charge at the top (full) or, for a battery balanced at the
 * bottom, there (empty). At rest on the plateau or under load it is kept and not judged, and says why. A reading whose context
 * contradicts its voltages or current is not judged either, nor one that no group can have.
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
	const seen = whatWasRead(check.groupVoltagesV, battery.chemistry);
	if (seen.kind !== 'groups') {
		const verdict = misread(seen, battery.subjects?.battery ?? WHOLE_BANK);
		return {
			judged: false,
			reason: verdict.finding,
			driftAh: check.groupVoltagesV.map(() => null),
			verdicts: [verdict]
		};
	}
	const cause = wrongContext(check, read, battery);
	if (cause !== null) return notJudged(check, cause, battery);
	return check.context === 'load' ? underLoad(check, battery) : judged(check, battery);
}

/** Under load a group shows its resistance, not its charge: drift is not told. */
function underLoad(check: ServiceCheck, battery: BatteryContext): CheckJudgement {
	const { battery: whole = WHOLE_BANK, groups = [] } = battery.subjects ?? {};
	return {
		judged: true,
		reason: 'Read under load: a group that stands apart has a joint or a cell of more resistance.',
		driftAh: check.groupVoltagesV.map(() => null),
		verdicts: judgeUnderLoad(check, battery, groups, whole)
	};
}

/** Why a check cannot tell what it is marked to tell; null: it can. */
function wrongContext(check: ServiceCheck, read: readonly number[], battery: BatteryContext): NotJudgedCause | null {
	const curve = restVoltageCurve(battery.chemistry);
	const socs = read.map((v) => curve.xOf(v));
	const rate = Math.abs(check.currentA) / battery.groupAh;
	switch (check.context) {
		case 'load':
			return rate < LOAD_C_RATE ? 'load-too-small' : null;
		case 'rest':
			return rate > REST_C_RATE ? 'not-at-rest' : 'rest-on-plateau';
		case 'full':
			if (rate > TAIL_C_RATE) return 'full-under-current';
			return Math.max(...socs) < FULL_SOC ? 'full-on-plateau' : null;
		case 'empty':
			if (rate > TAIL_C_RATE) return 'empty-under-current';
			if (battery.balancedAt !== 'bottom') return 'empty-of-balanced-at-top';
			return Math.min(...socs) > EMPTY_SOC ? 'empty-on-plateau' : null;
	}
}

/** A check that is kept and says why it is not judged. @param wantedGroups of the battery now; as many as were read when missing */
export function notJudged(
	{ context, currentA, groupVoltagesV }: ServiceCheck,
	cause: NotJudgedCause,
	{ subjects }: BatteryContext,
	wantedGroups = groupVoltagesV.length
): CheckJudgement {
	const read = groupVoltagesV.filter((v): v is number => v !== null);
	const voltageV = read.length === 0 ? null : context === 'empty' ? Math.min(...read) : Math.max(...read);
	const facts = { context, cause, currentA, voltageV, groups: groupVoltagesV.length, wantedGroups };
	const verdict = say('check-not-judged', 'calm', subjects?.battery ?? WHOLE_BANK, facts);
	return { judged: false, reason: verdict.finding, driftAh: groupVoltagesV.map(() => null), verdicts: [verdict] };
}

function judged(check: ServiceCheck, battery: BatteryContext): CheckJudgement {
	const { driftAh: readAh } = snapshotBounds({
		chemistry: battery.chemistry,
		groupVoltagesV: check.groupVoltagesV,
		currentA: check.currentA,
		groupAh: battery.groupAh,
		meterSdV: battery.meterSdV
	});
	const countedAh = check.context === 'full' && check.passings ? driftByPassings(check.passings) : [];
	const learntAh =
		check.context === 'full' && !check.passings && check.anchor ? carriedOver(check, check.anchor, battery) : [];
	const width = ({ low95, high95 }: Interval) => high95 - low95;
	const isCloser = (i: number) => learntAh[i] != null && readAh[i] != null && width(learntAh[i]) < width(readAh[i]);
	const driftAh = readAh.map((own, i) => own && (isCloser(i) ? learntAh[i]! : narrowed(own, countedAh[i] ?? null)));
	const isLearnt = readAh.some((_, i) => isCloser(i));
	return {
		judged: true,
		reason: `Read ${check.context}: the curve is steep enough to tell charge.`,
		driftAh,
		verdicts: [driftVerdict(check, battery, driftAh, isLearnt)]
	};
}

/**
 * What an earlier count and the change since say of each group, Ah: the offset between what its volts and its count said then is taken off
 * what its volts say now. Null where nothing was counted of a group, or no two groups were read both times.
 */
function carriedOver(check: ServiceCheck, anchor: CountedCheck, battery: BatteryContext): (Interval | null)[] {
	const { chemistry, groupAh, meterSdV } = battery;
	const both = check.groupVoltagesV.filter((v, i) => v !== null && anchor.groupVoltagesV[i] != null);
	if (both.length < 2 || anchor.groupVoltagesV.length !== check.groupVoltagesV.length) return [];
	const before = { chemistry, groupAh, meterSdV, groupVoltagesV: anchor.groupVoltagesV, currentA: anchor.currentA };
	const read = snapshotBounds(before).driftAh;
	const counted = driftByPassings(anchor.passings).map((own, i) => own && read[i] && narrowed(read[i], own));
	const change = driftChange(before, {
		chemistry,
		groupAh,
		meterSdV,
		groupVoltagesV: check.groupVoltagesV,
		currentA: check.currentA
	});
	return change.map((moved, i) => {
		const then = counted[i] ?? null;
		if (!moved || !then || !Number.isFinite(then.low95) || !Number.isFinite(then.high95)) return null;
		const likely = then.likely + moved.likely;
		return {
			low95: likely - Math.hypot(then.likely - then.low95, moved.likely - moved.low95),
			likely,
			high95: likely + Math.hypot(then.high95 - then.likely, moved.high95 - moved.likely)
		};
	});
}

/** The least a group can be away from the others by its interval, Ah. */
const leastAway = ({ low95, high95 }: Interval) => Math.max(0, low95, -high95);
const mostAway = ({ low95, high95 }: Interval) => Math.max(-low95, high95);

function driftVerdict(
	check: ServiceCheck,
	battery: BatteryContext,
	driftAh: readonly (Interval | null)[],
	isLearnt: boolean
): Verdict {
	const limit = LOOK_SHARE * battery.groupAh;
	const known = driftAh.flatMap((drift, i) => (drift === null ? [] : [{ drift, group: i + 1 }]));
	// Whoever is surest to be away, or else whoever may be furthest.
	const worst = known.reduce((best, one) => {
		const [least, most] = [leastAway(one.drift), mostAway(one.drift)];
		const bestLeast = leastAway(best.drift);
		return least > bestLeast || (least === bestLeast && most > mostAway(best.drift)) ? one : best;
	});
	const facts = {
		driftAh: worst.drift,
		limitAh: limit,
		limitShare: LOOK_SHARE,
		end: check.context === 'full' ? ('top' as const) : ('bottom' as const),
		group: worst.group,
		countedAtV: (check.context === 'full' && check.passings?.voltageV) || null,
		learntOn: isLearnt ? check.anchor!.checkedAt.slice(0, 10) : null
	};
	const { battery: whole = WHOLE_BANK, groups = [] } = battery.subjects ?? {};
	const group = groups[worst.group - 1] ?? whole;
	if (leastAway(worst.drift) > limit) return say('drift', 'look', group, facts);
	if (known.every(({ drift }) => mostAway(drift) <= limit)) return say('no-drift', 'calm', whole, facts);
	return say('drift-unsure', 'open', group, facts);
}

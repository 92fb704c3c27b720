import { meterSd } from '../../foundation/reading';
import {
	driftSlopes,
	notJudged,
	judgeGrowth,
	judgeFade,
	type BatteryContext,
	type CheckContext,
	type CheckJudgement,
	type CountedCheck,
	type DriftSlope,
	type ServiceCheck
} from '../years';
import { fadeMeanwhile, type FadeInput, type FadeProjection } from '../../foundation/fade';
import { CoreError } from '../../foundation/errors';
import type { Passings } from '../../foundation/snapshot';
import { type Verdict } from '../../foundation/verdicts';
import { say } from '../verdicts';
import { batterySubject, groupSubjects, isInService, type BankPicture, type PictureBattery } from '../../picture';

const YEAR_MS = 365.25 * 86400e3;

/** Cycles counted over less tell nothing of those to come, years. */
const COUNTED_FOR_YEARS = 0.25;

/** Capacity of a cell nobody has named the type of, Ah (default). */
const ASSUMED_CELL_AH = 100;

export interface ServiceRow {
	id: number;
	version: number;
	battery: number;
	checkedAt: string;
	context: CheckContext;
	currentA: number;
	temperatureC: number | null;
	groupVoltagesV: (number | null)[];
	/** Of the log of the charge it ended; null or missing: none. */
	passings?: Passings | null;
	notes: string | null;
}

export interface TestRow {
	id: number;
	version: number;
	battery: number;
	testedAt: string;
	/** How far off that may be (half-width), s; null or missing: exact. */
	testedDoubtS?: number | null;
	capacityAh: number;
	sdAh: number;
	/** Equivalent full cycles; null: nobody counted. */
	efc: number | null;
	temperatureC: number | null;
	notes: string | null;
}

export interface JudgedCheck {
	check: ServiceRow;
	judgement: CheckJudgement;
}

export interface BatteryService {
	battery: PictureBattery;
	ratedAh: number;
	checks: JudgedCheck[];
	tests: (TestRow & { ageYears: number })[];
	/** Ah a month by group from checks read full; null where fewer than two. */
	driftPerMonthAh: (DriftSlope | null)[];
	/** What its fading is judged by. */
	fade: FadeInput;
	projection: FadeProjection | null;
	verdicts: Verdict[];
	ageYears: number;
	/** Null when nobody counted. */
	efcPerYear: number | null;
}

const ageOf = ({ bank }: BankPicture, { newOn }: PictureBattery, iso: string): number =>
	Math.max(0, (Date.parse(iso) - Date.parse(newOn ?? bank.inServiceOn ?? bank.createdAt)) / YEAR_MS);

/** Whether a cell of a group was exchanged or taken out after a moment. */
const cellChangedAfter = ({ changes }: BankPicture, { id }: PictureBattery, position: number, at: string): boolean =>
	changes.some(
		(c) =>
			c.batteryId === id &&
			(c.kind === 'cell-exchanged' || c.kind === 'cell-taken-out') &&
			c.positions.includes(position) &&
			Date.parse(c.at) > Date.parse(at)
	);

/** More exchanges than these are one battery after another; the latest count. */
const MAX_EXCHANGES = 6;

/** Ages at which cells of a battery in use were exchanged, years, rising. */
function exchangedAt(picture: BankPicture, battery: PictureBattery): number[] {
	const ages = picture.changes
		.filter((c) => c.batteryId === battery.id && c.kind === 'cell-exchanged')
		.map((c) => ageOf(picture, battery, c.at))
		.filter((age) => age > 0);
	return [...new Set(ages)].sort((a, b) => a - b).slice(-MAX_EXCHANGES);
}

/** Full cycles a year of the latest stretch that was counted; null where none was. */
function latestEfcPerYear(tests: readonly (TestRow & { ageYears: number })[]): number | null {
	const counted = tests.filter((t) => t.efc !== null);
	const last = counted.at(-1);
	if (!last || last.ageYears <= COUNTED_FOR_YEARS) return null;
	const before = counted.findLast((t) => last.ageYears - t.ageYears > COUNTED_FOR_YEARS && t.efc! <= last.efc!);
	return before ? (last.efc! - before.efc!) / (last.ageYears - before.ageYears) : last.efc! / last.ageYears;
}

/** Rated capacity of one group of a battery, Ah. */
export const ratedGroupAh = ({ cellType }: BankPicture, battery: PictureBattery): number =>
	battery.kind === 'ready-made' && battery.ratedAh !== null
		? battery.ratedAh
		: (cellType?.ratedAh ?? ASSUMED_CELL_AH) * battery.parallel;

/** The latest check, read full, whose charge was counted; null where there is none. */
function countedBefore(checks: readonly ServiceRow[]): CountedCheck | null {
	const found = checks.findLast((c) => c.context === 'full' && c.passings != null);
	if (!found) return null;
	const { checkedAt, currentA, groupVoltagesV, passings } = found;
	return { checkedAt, currentA, groupVoltagesV, passings: passings! };
}

/** A check that cannot be judged at all is kept and says why. */
function judgedCheck(
	check: ServiceRow,
	context: BatteryContext,
	groups: number,
	judge: ServiceHistory['judge'],
	anchor: CountedCheck | null
): JudgedCheck {
	if (check.groupVoltagesV.length !== groups)
		return { check, judgement: notJudged(check, 'other-groups', context, groups) };
	try {
		return { check, judgement: judge({ ...check, anchor }, context) };
	} catch (error) {
		if (!(error instanceof CoreError)) throw error;
		const cause = error.code === 'no-readings' ? 'few-groups' : 'impossible-figures';
		return { check, judgement: notJudged(check, cause, context) };
	}
}

function latestVerdicts(checks: readonly JudgedCheck[], picture: BankPicture, battery: PictureBattery): Verdict[] {
	const judged = checks.filter((c) => c.judgement.judged).at(-1);
	const last = checks.at(-1);
	if (!last) return isInService(picture) ? [say('no-check', 'open', batterySubject(picture, battery), {})] : [];
	return [...(judged?.judgement.verdicts ?? []), ...(last !== judged ? last.judgement.verdicts : [])];
}

export interface ServiceHistory {
	checks: readonly ServiceRow[];
	tests: readonly TestRow[];
	nowIso: string;
	/** Computes a projection, or remembers it. */
	project(input: FadeInput): FadeProjection;
	/** Judges a check, or remembers it. */
	judge(check: ServiceCheck, battery: BatteryContext): CheckJudgement;
}

/** The years of one battery: its checks judged in their context, drift, capacity tests and the projected fade. */
export function batteryService(
	picture: BankPicture,
	battery: PictureBattery,
	{ checks: allChecks, tests: allTests, nowIso, project, judge }: ServiceHistory
): BatteryService {
	const ratedAh = ratedGroupAh(picture, battery);
	const subjects = { battery: batterySubject(picture, battery), groups: groupSubjects(picture, battery) };
	const context = {
		chemistry: picture.bank.chemistry,
		groupAh: ratedAh,
		meterSdV: meterSd(picture.meters.restVoltage, 3.4),
		subjects
	};
	const own = allChecks.filter((c) => c.battery === battery.number);
	const checks = own.map((check, i) =>
		judgedCheck(check, context, battery.series, judge, countedBefore(own.slice(0, i)))
	);
	const tests = allTests
		.filter((t) => t.battery === battery.number)
		.map((t) => {
			const ageYears = ageOf(picture, battery, t.testedAt);
			const fadedMeanwhile = ratedAh * fadeMeanwhile(ageYears, ((t.testedDoubtS ?? 0) * 1000) / YEAR_MS);
			return { ...t, ageYears, sdAh: Math.hypot(t.sdAh, fadedMeanwhile) };
		});
	const efcPerYear = latestEfcPerYear(tests);
	const { endFraction } = picture.bank;
	const fade = { ratedAh, endFraction, observations: tests, efcPerYear, exchangedAt: exchangedAt(picture, battery) };
	const projection = tests.length ? project(fade) : null;
	const ageYears = ageOf(picture, battery, nowIso);
	const full = checks.filter((c) => c.judgement.judged && c.check.context === 'full');
	const driftPerMonthAh = driftSlopes(
		full.map((c) => ({
			ageYears: ageOf(picture, battery, c.check.checkedAt),
			// A group whose cell was exchanged since is another group.
			driftAh: c.judgement.driftAh.map((own, i) =>
				cellChangedAfter(picture, battery, i + 1, c.check.checkedAt) ? null : own
			)
		})),
		battery.series,
		ratedAh
	);
	const grows = judgeGrowth(driftPerMonthAh, ratedAh, subjects.groups);
	return {
		battery,
		ratedAh,
		checks,
		tests,
		driftPerMonthAh,
		fade,
		projection,
		verdicts: [
			...latestVerdicts(checks, picture, battery),
			...(grows ? [grows] : []),
			...(projection ? [judgeFade(projection, endFraction, ageYears, subjects.battery)] : [])
		],
		ageYears,
		efcPerYear
	};
}

/** Every battery of a bank in service. */
export const serveState = (picture: BankPicture, history: ServiceHistory): BatteryService[] =>
	picture.batteries.map((battery) => batteryService(picture, battery, history));

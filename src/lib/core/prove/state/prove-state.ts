import { judgeJoints, jointVerdicts, type Joint } from '../joints';
import { leadVerdict } from '../../build/leads';
import { CHEMISTRY_FIGURES } from '../../foundation/chemistry';
import { USUAL_BMS_SD_V, bmsVerdicts, capacityForecastVerdict, counterVerdict } from '../proofs';
import { meterSd } from '../../foundation/reading';
import { CoreError } from '../../foundation/errors';
import type { Verdict } from '../../foundation/verdicts';
import { buildState, type BuildRecords } from '../../build/state';
import { limitsState, wiringVerdicts } from '../../limits/state';
import { matchState } from '../../match/state';
import {
	lapseVerdicts,
	undoneBy,
	batterySubject,
	groupSubjects,
	isInService,
	type Lapse,
	type BankPicture,
	type PictureBattery
} from '../../picture';

/** What was written down while a bank was proved: the latest of each battery. */
export interface ProveRecords {
	build: BuildRecords;
	loadReadings: readonly {
		batteryId: number;
		readAt: string;
		restV: readonly number[];
		loadV: readonly number[];
		currentA: number;
	}[];
	bmsComparisons: readonly {
		batteryId: number;
		readAt: string;
		bmsV: readonly (number | null)[];
		meterV: readonly (number | null)[];
	}[];
	chargeCounts: readonly { batteryId: number; countedAt: string; chargedAh: number; dischargedAh: number }[];
}

/** What must have been looked at before a bank is handed over. */
export const PROVE_CHECKS = ['leads', 'torques', 'wiring', 'limits', 'joints', 'bms', 'counters', 'capacity'] as const;

export type ProveCheck = (typeof PROVE_CHECKS)[number];

/** Not made, or not so that it says anything; made and in order; made, and something wants a look. */
export type CheckState = 'open' | 'checked' | 'wrong';

export const PROVE_CHECK_NAMES: Record<ProveCheck, string> = {
	leads: 'balance leads',
	torques: 'torque of every joint',
	wiring: 'fuse, cable and BMS',
	limits: 'limits',
	joints: 'joints under load',
	bms: 'BMS against the voltmeter',
	counters: 'charge in against charge out',
	capacity: 'capacity of the battery'
};

export interface BatteryProof {
	battery: PictureBattery;
	joints: readonly Joint[] | null;
	loadReading: ProveRecords['loadReadings'][number] | null;
	comparison: ProveRecords['bmsComparisons'][number] | null;
	count: ProveRecords['chargeCounts'][number] | null;
	test: BankPicture['batteryTests'][number] | null;
	/** Smallest group by matching, Ah; null while a group is not measured. */
	forecastAh: number | null;
	temporaryParts: readonly string[];
	checks: Record<ProveCheck, CheckState>;
	/** What was proved and no longer stands. */
	lapses: readonly Lapse[];
	verdicts: Verdict[];
}

function smallestGroup(picture: BankPicture, battery: PictureBattery): { ah: number; sdAh: number } | null {
	const own = matchState(picture).groups.filter((g) => g.battery === battery.number);
	if (own.length < battery.series || own.some((g) => g.capacityAh === null)) return null;
	const least = own.reduce((a, b) => (b.capacityAh! < a.capacityAh! ? b : a));
	return { ah: least.capacityAh!, sdAh: least.sdAh ?? 0 };
}

function jointsOf(reading: BatteryProof['loadReading'], battery: PictureBattery, meterSdV: number): Joint[] | null {
	if (!reading) return null;
	try {
		return judgeJoints({ ...reading, parallel: battery.parallel, meterSdV });
	} catch (error) {
		// Kept under another layout: it says nothing of this one.
		if (error instanceof CoreError) return null;
		throw error;
	}
}

/** What verdicts on a check amount to. */
function stateOf(verdicts: readonly Verdict[]): CheckState {
	if (verdicts.some((v) => v.warmth === 'look' || v.warmth === 'stop')) return 'wrong';
	return verdicts.length && verdicts.every((v) => v.warmth === 'calm') ? 'checked' : 'open';
}

function limitsChecked(picture: BankPicture, battery: PictureBattery): CheckState {
	const own = limitsState(picture).batteries.find((b) => b.battery.id === battery.id);
	return picture.limitPlan && own ? stateOf([own.verdict]) : 'open';
}

/** BMS and the person's own voltmeter on one group, one sd of their difference, V. */
function instrumentsSdV({ bank, meters }: BankPicture, { bmsResolutionV }: PictureBattery): number {
	const meter = meterSd(meters.restVoltage, CHEMISTRY_FIGURES[bank.chemistry].nominalV);
	return Math.hypot(meter, USUAL_BMS_SD_V, bmsResolutionV ?? 0);
}

type LatestRecords = Pick<BatteryProof, 'joints' | 'loadReading' | 'comparison' | 'count' | 'test'>;

/** What each check that was made came to; empty where it was not. */
function ownVerdicts(
	picture: BankPicture,
	battery: PictureBattery,
	{ joints, loadReading, comparison, count, test }: LatestRecords,
	forecast: ReturnType<typeof smallestGroup>
): Record<'joints' | 'bms' | 'counters' | 'capacity', Verdict[]> {
	const subject = batterySubject(picture, battery);
	const groups = groupSubjects(picture, battery);
	const foretold =
		test && forecast
			? {
					testedAh: test.capacityAh,
					testedSdAh: test.sdAh,
					forecastAh: forecast.ah,
					forecastSdAh: forecast.sdAh
				}
			: null;
	return {
		joints: joints
			? jointVerdicts(
					{
						joints,
						currentA: loadReading!.currentA,
						ratedA: battery.bmsA,
						rest: { restV: loadReading!.restV, chemistry: picture.bank.chemistry }
					},
					subject,
					groups
				)
			: [],
		bms: comparison
			? bmsVerdicts({ ...comparison, differenceSdV: instrumentsSdV(picture, battery) }, groups, subject)
			: [],
		counters: count ? [counterVerdict(count, subject)] : [],
		capacity: foretold ? [capacityForecastVerdict(foretold, subject)] : []
	};
}

function proofOf(picture: BankPicture, battery: PictureBattery, records: ProveRecords): BatteryProof {
	const latest = <T extends { batteryId: number }>(all: readonly T[]) =>
		all.filter((r) => r.batteryId === battery.id).at(-1) ?? null;
	// Read twice within a minute by one meter: its gain does the same to both.
	const pairMeter = { ...picture.meters.restVoltage, percentOfReading: 0 };
	const meterSdV = meterSd(pairMeter, CHEMISTRY_FIGURES[picture.bank.chemistry].nominalV);
	const lapses: Lapse[] = [];
	const standing = <T>(evidence: Lapse['evidence'], record: T | null, at: (record: T) => string): T | null => {
		const change = record && undoneBy(picture, battery, evidence, at(record));
		if (change) lapses.push({ evidence, change });
		return change ? null : record;
	};
	const loadReading = standing('joints', latest(records.loadReadings), (r) => r.readAt);
	const comparison = standing('bms', latest(records.bmsComparisons), (r) => r.readAt);
	const count = standing('counters', latest(records.chargeCounts), (r) => r.countedAt);
	const ownTest = picture.batteryTests.find((t) => t.battery === battery.number) ?? null;
	const test = standing('capacity', ownTest, (t) => t.testedAt);
	const joints = jointsOf(loadReading, battery, meterSdV);
	const forecast = smallestGroup(picture, battery);
	const [build] = buildState({ ...picture, batteries: [battery] }, records.build);
	const temporaryParts = build?.temporaryParts.map((p) => p.name) ?? [];
	const latestRecords = { joints, loadReading, comparison, count, test };
	const own = ownVerdicts(picture, battery, latestRecords, forecast);
	const read = comparison !== null && [...comparison.bmsV, ...comparison.meterV].every((v) => v !== null);
	const checks: BatteryProof['checks'] = {
		leads: build?.leads ? stateOf([leadVerdict(build.leads)]) : 'open',
		// An unusual torque is Build's question: the maker's sheet may ask for it.
		torques: (build?.torques.length ?? 0) > battery.series ? 'checked' : 'open',
		wiring: stateOf(wiringVerdicts(picture, battery)),
		limits: limitsChecked(picture, battery),
		joints: stateOf(own.joints),
		bms: read || stateOf(own.bms) === 'wrong' ? stateOf(own.bms) : 'open',
		counters: stateOf(own.counters),
		// Years later a battery gives less: that is told in Serve.
		capacity: !test ? 'open' : forecast && !isInService(picture) ? stateOf(own.capacity) : 'checked'
	};
	return {
		battery,
		...latestRecords,
		forecastAh: forecast?.ah ?? null,
		temporaryParts,
		checks,
		lapses,
		verdicts: [...lapseVerdicts(picture, battery, lapses), ...own.joints, ...own.bms, ...own.counters, ...own.capacity]
	};
}

/** What has been checked of each battery that is built here. */
export const proveState = (picture: BankPicture, records: ProveRecords): BatteryProof[] =>
	picture.batteries.filter((b) => b.kind === 'built').map((b) => proofOf(picture, b, records));

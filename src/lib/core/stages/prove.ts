import { judgeJoints, jointVerdicts, type Joint } from '../assembly';
import { CHEMISTRY_FIGURES } from '../chemistry';
import { USUAL_DIFFERENCE_SD_V, bmsVerdicts, capacityForecastVerdict, counterVerdict } from '../proving';
import { meterSd } from '../reading';
import { CoreError } from '../shared';
import { say, type Verdict } from '../verdicts';
import { buildState, type BuildRecords } from './build';
import type { LatestTest } from './limits';
import { matchState } from './match';
import type { BankPicture, PictureBattery } from './picture';
import { batterySubject, groupSubjects, isInService } from './picture-parts';
import type { StageJudgement } from './stage-judgement';

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
	tests: readonly LatestTest[];
}

/** What must have been looked at before a bank is handed over. */
export const PROVE_CHECKS = ['leads', 'torques', 'wiring', 'limits', 'joints', 'bms', 'counters', 'capacity'] as const;
export type ProveCheck = (typeof PROVE_CHECKS)[number];

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
	test: LatestTest | null;
	/** Smallest group by matching, Ah; null while a group is not measured. */
	forecastAh: number | null;
	temporaryParts: readonly string[];
	/** Which checks have been made; whether they came out well is a matter of their verdicts. */
	checks: Record<ProveCheck, boolean>;
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

function proofOf(picture: BankPicture, battery: PictureBattery, records: ProveRecords): BatteryProof {
	const latest = <T extends { batteryId: number }>(all: readonly T[]) =>
		all.filter((r) => r.batteryId === battery.id).at(-1) ?? null;
	const subject = batterySubject(picture, battery);
	const meterSdV = meterSd(picture.meters.restVoltage, CHEMISTRY_FIGURES[picture.bank.chemistry].nominalV);
	const loadReading = latest(records.loadReadings);
	const comparison = latest(records.bmsComparisons);
	const count = latest(records.chargeCounts);
	const test = records.tests.find((t) => t.battery === battery.number) ?? null;
	const joints = jointsOf(loadReading, battery, meterSdV);
	const forecast = smallestGroup(picture, battery);
	const [build] = buildState({ ...picture, batteries: [battery] }, records.build);
	const temporaryParts = build?.temporaryParts.map((p) => p.name) ?? [];
	const bms = comparison
		? bmsVerdicts({ ...comparison, differenceSdV: USUAL_DIFFERENCE_SD_V }, groupSubjects(picture, battery), subject)
		: [];
	return {
		battery,
		joints,
		loadReading,
		comparison,
		count,
		test,
		forecastAh: forecast?.ah ?? null,
		temporaryParts,
		checks: {
			leads: build?.leads?.unread.length === 0,
			torques: (build?.torques.length ?? 0) > battery.series,
			wiring: battery.fuseA !== null && battery.cableA !== null && battery.bmsA !== null,
			limits: picture.limitPlan !== null,
			joints: joints !== null,
			bms: bms.length > 0 && comparison!.meterV.every((v) => v !== null) && comparison!.bmsV.every((v) => v !== null),
			counters: count !== null,
			capacity: test !== null
		},
		verdicts: [
			...(joints ? jointVerdicts({ joints, currentA: loadReading!.currentA, ratedA: battery.bmsA }, subject) : []),
			...bms,
			...(count ? [counterVerdict(count, subject)] : []),
			...(test && forecast
				? [
						capacityForecastVerdict(
							{
								testedAh: test.capacityAh,
								testedSdAh: test.sdAh,
								forecastAh: forecast.ah,
								forecastSdAh: forecast.sdAh
							},
							subject
						)
					]
				: [])
		]
	};
}

/** What has been checked of each battery that is built here. */
export const proveState = (picture: BankPicture, records: ProveRecords): BatteryProof[] =>
	picture.batteries.filter((b) => b.kind === 'built').map((b) => proofOf(picture, b, records));

function gateVerdict(picture: BankPicture, proof: BatteryProof): Verdict {
	const subject = batterySubject(picture, proof.battery);
	if (proof.temporaryParts.length) return say('prove-shut', 'stop', subject, { parts: proof.temporaryParts });
	const unchecked = PROVE_CHECKS.filter((c) => !proof.checks[c]).map((c) => PROVE_CHECK_NAMES[c]);
	const checked = PROVE_CHECKS.length - unchecked.length;
	return unchecked.length
		? say('prove-open', 'open', subject, { unchecked, checked })
		: say('prove-checked', 'calm', subject, { checked });
}

/** The verdicts on what was proved of a bank, and its gate. A bank in service is asked nothing that nobody wrote down. */
export function judgeProveStage(picture: BankPicture, records: ProveRecords): StageJudgement {
	const proofs = proveState(picture, records);
	const inService = isInService(picture);
	const begun = (p: BatteryProof) =>
		Object.values(p.checks).some(Boolean) && p.battery.groups.some((g) => g.cellIds.length);
	const verdicts = proofs.flatMap((p) => [
		...((!inService && begun(p)) || p.temporaryParts.length ? [gateVerdict(picture, p)] : []),
		// What a battery in service was tested for since is told in Serve.
		...p.verdicts.filter((v) => !inService || !v.code.startsWith('capacity-'))
	]);
	const isProved = (p: BatteryProof) => p.temporaryParts.length === 0 && Object.values(p.checks).every(Boolean);
	return { verdicts, done: inService || (proofs.length > 0 && proofs.every(isProved)) };
}

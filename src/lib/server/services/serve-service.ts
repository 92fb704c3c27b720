import { meterSd } from '$lib/core/reading';
import { driftSlopes, judgeCheck, judgeFade, type CheckJudgement, type FadeProjection } from '$lib/core/service';
import type { Verdict } from '$lib/core/shared';
import { capacityTests, serviceChecks, type Bank, type CapacityTest, type ServiceCheckRow } from '../db/tables';
import { bankWithType } from './delivery-service';
import { fadeProjection } from './fade-projections';
import { currentMeters } from './settings-service';

const YEAR_MS = 365.25 * 86400e3;
/** Cycles a year assumed until tests tell (default). */
const ASSUMED_EFC_PER_YEAR = 100;

export interface JudgedCheck {
	check: ServiceCheckRow;
	judgement: CheckJudgement;
}

export interface ServeState {
	checks: JudgedCheck[];
	tests: (CapacityTest & { ageYears: number })[];
	/** Ah a month by group from checks read full; null where fewer than two. */
	driftPerMonthAh: (number | null)[];
	projection: FadeProjection | null;
	verdicts: Verdict[];
	ageYears: number;
	efcPerYear: number;
}

function ageOf(bank: Bank, iso: string): number {
	return Math.max(0, (Date.parse(iso) - Date.parse(bank.inServiceOn ?? bank.createdAt)) / YEAR_MS);
}

function latestVerdicts(checks: readonly JudgedCheck[]): Verdict[] {
	const judged = checks.filter((c) => c.judgement.judged).at(-1);
	const last = checks.at(-1);
	if (!last)
		return [
			{
				code: 'no-check',
				warmth: 'open',
				title: 'No service check yet',
				finding: 'Drift shows only when the groups are read at the end of a full charge.',
				doubt: null,
				rule: 'Read in the context that can answer.',
				next: 'Read every group at the end of the next full charge.',
				cellIds: []
			}
		];
	return [...(judged?.judgement.verdicts ?? []), ...(last !== judged ? last.judgement.verdicts : [])];
}

/** The years of a battery: its checks judged in their context, drift, capacity tests and the projected fade. */
export async function serveState(bankId: number, battery = 1, nowIso = new Date().toISOString()): Promise<ServeState> {
	const { bank, cellType } = await bankWithType(bankId);
	const ratedAh = (cellType?.ratedAh ?? 100) * bank.parallel;
	const rows = await serviceChecks.all({ bankId, battery });
	const context = {
		chemistry: bank.chemistry,
		groupAh: ratedAh,
		meterSdV: meterSd((await currentMeters()).restVoltage, 3.4)
	};
	const checks = rows.map((check) => ({ check, judgement: judgeCheck(check, context) }));
	const tests = (await capacityTests.all({ bankId, battery })).map((t) => ({
		...t,
		ageYears: ageOf(bank, t.testedAt)
	}));
	const last = tests.at(-1);
	const efcPerYear = last && last.ageYears > 0.25 ? last.efc / last.ageYears : ASSUMED_EFC_PER_YEAR;
	const projection = tests.length
		? fadeProjection({ ratedAh, endFraction: bank.endFraction, observations: tests, efcPerYear })
		: null;
	const ageYears = ageOf(bank, nowIso);
	const full = checks.filter((c) => c.judgement.judged && c.check.context === 'full');
	return {
		checks,
		tests,
		driftPerMonthAh: driftSlopes(
			full.map((c) => ({ ageYears: ageOf(bank, c.check.checkedAt), driftAh: c.judgement.driftAh })),
			bank.series
		),
		projection,
		verdicts: [...latestVerdicts(checks), ...(projection ? [judgeFade(projection, bank.endFraction, ageYears)] : [])],
		ageYears,
		efcPerYear
	};
}

import {
	USUAL_METER_SD_V,
	judgeBalanceLeads,
	judgeJoints,
	jointVerdicts,
	leadVerdict,
	type CellsKnown,
	type Joint,
	type LeadsJudgement
} from '$lib/core/assembly';
import type { Verdict } from '$lib/core/verdicts';
import type { BalanceLeadsRequest, JointsRequest } from '$lib/input/assembly';
import { InputError } from '$lib/input/validate';

function cellsKnown({ cellV, cellsV }: BalanceLeadsRequest): CellsKnown {
	if (cellV && cellsV)
		throw new InputError([{ path: 'cellV', message: 'cellV and cellsV say the same: send one of them' }]);
	if (cellsV) return { cellsV };
	if (cellV) return { low: cellV.low, high: cellV.high };
	throw new InputError([
		{
			path: 'cellsV',
			message: 'cellsV (what each cell reads by itself) or cellV (low and high of them all) is required'
		}
	]);
}

/** How the balance leads of a battery most probably sit. @throws InputError, CoreError */
export function judgeLeadReadings(input: BalanceLeadsRequest): LeadsJudgement & { verdict: Verdict } {
	const judgement = judgeBalanceLeads({
		series: input.series,
		cells: cellsKnown(input),
		readingsV: input.readingsV,
		positiveV: input.positiveV ?? undefined,
		meterSdV: input.meterSdV ?? USUAL_METER_SD_V
	});
	return { ...judgement, verdict: leadVerdict(judgement) };
}

/** Each group's joint against its like, and what to make of them. @throws CoreError */
export function judgeJointReadings(input: JointsRequest): { joints: Joint[]; verdicts: Verdict[] } {
	const { restV, loadV, currentA } = input;
	const joints = judgeJoints({
		restV,
		loadV,
		currentA,
		parallel: input.parallel ?? 1,
		meterSdV: input.meterSdV ?? USUAL_METER_SD_V
	});
	const rest = input.chemistry ? { restV, chemistry: input.chemistry } : null;
	return { joints, verdicts: jointVerdicts({ joints, currentA, rest }) };
}

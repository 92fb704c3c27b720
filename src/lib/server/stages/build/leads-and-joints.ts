import {
	USUAL_METER_SD_V,
	judgeBalanceLeads,
	leadVerdict,
	type CellsKnown,
	type LeadsJudgement
} from '$lib/core/build/leads';
import { judgeJoints, jointVerdicts, type Joint } from '$lib/core/prove/joints';
import type { Verdict } from '$lib/core/foundation/verdicts';
import type { BalanceLeadsRequest, JointsRequest } from '$lib/input/assembly';
import { InputError } from '$lib/input/validate';
import { measuringOnThread } from '../../threads/measuring';

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

/** Of more cells in series the wirings there could be grow by their cube: those are weighed on a thread. */
const MAX_AT_ONCE = 24;

/** How the balance leads of a battery most probably sit. @throws InputError, CoreError */
export async function judgeLeadReadings(
	input: BalanceLeadsRequest,
	gone: AbortSignal
): Promise<LeadsJudgement & { verdict: Verdict }> {
	const leads = {
		series: input.series,
		cells: cellsKnown(input),
		readingsV: input.readingsV,
		positiveV: input.positiveV ?? undefined,
		meterSdV: input.meterSdV ?? USUAL_METER_SD_V
	};
	const judgement =
		input.series > MAX_AT_ONCE ? await measuringOnThread({ kind: 'leads', leads }, gone) : judgeBalanceLeads(leads);
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

import { misread, whatWasRead } from '$lib/core/foundation/snapshot';
import { socBounds, type SocBounds } from '$lib/core/foundation/chemistry';
import { readCellCode, type CellCode } from '$lib/core/receive/identity';
import { judgeLeakage, leakageByRefill } from '$lib/core/receive/storage';
import { WHOLE_BANK, type Subject } from '$lib/core/foundation/verdicts';
import type { SocBoundsInput } from '$lib/input/compute';
import { InputError } from '$lib/input/validate';
import type * as input from '$lib/input/measuring';
import { measuringOnThread } from '../../threads/measuring';

const ONE_CELL: Subject = { ...WHOLE_BANK, kind: 'cell', label: 'this cell' };

/** What charge a rest voltage can mean. @throws InputError for a voltage no single cell can have */
export function chargeBounds({ chemistry, restVoltageV, meterSdV, restS, lastMove }: SocBoundsInput): SocBounds {
	const read = whatWasRead([restVoltageV], chemistry);
	if (read.kind !== 'groups') {
		const { finding, next } = misread(read, WHOLE_BANK);
		throw new InputError([{ path: 'restVoltageV', message: `${finding} ${next ?? ''}`.trim() }]);
	}
	return socBounds(chemistry, restVoltageV, meterSdV, restS, lastMove);
}

export const readCode = ({ code }: input.CellCodeRequest): CellCode => readCellCode(code, new Date().toISOString());

/** @throws InputError unless exactly one of readings and refill is there; CoreError */
export async function selfDischarge(
	{ chemistry, capacityAh, readings, refill }: input.SelfDischargeRequest,
	gone: AbortSignal
) {
	if ((readings == null) === (refill == null))
		throw new InputError([
			{
				path: readings == null ? 'readings' : 'refill',
				message: 'Send either readings or refill, exactly one of them.'
			}
		]);
	const leak = refill
		? leakageByRefill(capacityAh, refill)
		: await measuringOnThread({ kind: 'leakage', chemistry, readings: readings! }, gone);
	return {
		percentPerMonth: leak.percentPerMonth,
		verdict: judgeLeakage(leak, refill ? 'refill' : 'voltages', ONE_CELL)
	};
}

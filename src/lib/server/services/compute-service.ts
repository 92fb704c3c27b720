import { misread } from '$lib/core/foundation/snapshot';
import { socBounds, type SocBounds } from '$lib/core/foundation/chemistry';
import { whatWasRead } from '$lib/core/foundation/snapshot';
import { WHOLE_BANK } from '$lib/core/foundation/verdicts';
import { InputError } from '$lib/input/validate';
import { computeLimits, type LimitValue } from '$lib/core/limits/values';
import type { LimitsRequest, SocBoundsInput } from '$lib/input/compute';

/** What charge a rest voltage can mean. @throws InputError for a voltage no single cell can have */
export function chargeBounds({ chemistry, restVoltageV, meterSdV, restS, lastMove }: SocBoundsInput): SocBounds {
	const read = whatWasRead([restVoltageV], chemistry);
	if (read.kind !== 'groups') {
		const { finding, next } = misread(read, WHOLE_BANK);
		throw new InputError([{ path: 'restVoltageV', message: `${finding} ${next ?? ''}`.trim() }]);
	}
	return socBounds(chemistry, restVoltageV, meterSdV, restS, lastMove);
}

/** BMS, charger and load limits with reasons. */
export const limitValues = (request: LimitsRequest): { values: LimitValue[] } => ({ values: computeLimits(request) });

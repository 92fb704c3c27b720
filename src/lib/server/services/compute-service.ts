import { socBounds, type SocBounds } from '$lib/core/chemistry';
import { computeLimits, type LimitValue } from '$lib/core/limits';
import type { LimitsRequest, SocBoundsInput } from '$lib/input/compute';

/** State-of-charge bounds a rest voltage fits. */
export const chargeBounds = ({ chemistry, restVoltageV, meterSdV, restS }: SocBoundsInput): SocBounds =>
	socBounds(chemistry, restVoltageV, meterSdV, restS);

/** BMS, charger and load limits with reasons. */
export const limitValues = (request: LimitsRequest): { values: LimitValue[] } => ({ values: computeLimits(request) });

import { computeLimits, type LimitValue } from '$lib/core/limits/values';
import type { LimitsRequest } from '$lib/input/compute';

/** BMS, charger and load limits with reasons. */
export const limitValues = (request: LimitsRequest): { values: LimitValue[] } => ({ values: computeLimits(request) });

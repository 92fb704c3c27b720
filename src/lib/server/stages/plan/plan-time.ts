import type { PlanTime } from '$lib/core/plan/bank-plan';
import { wakingLength } from '$lib/core/foundation/time';
import { instruments } from '../../records';
import { readSettings } from '../../records/settings/settings';

/** What a plan's days hang on beside the plan itself: now, the waking hours of the settings, the loads that are known as instruments. */
export async function planTime(): Promise<Omit<PlanTime, 'done'>> {
	const [{ wakeFromH, wakeUntilH }, known] = await Promise.all([readSettings(), instruments.all({})]);
	return {
		nowMs: Date.now(),
		wakingH: wakingLength({ fromH: wakeFromH, untilH: wakeUntilH }),
		knownTesters: known.filter((i) => i.kind === 'load').length
	};
}

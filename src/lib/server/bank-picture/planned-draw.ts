import { USUAL_PLAN } from '$lib/core/plan/bank-plan';
import { drawnAtMostW, sumLoads } from '$lib/core/plan/loads';
import type { PlannedDraw } from '$lib/core/picture';
import { plans } from '../records';

/** What the loads of a bank's plan, or its inverter, may draw from the batteries; null where neither is written down. */
export async function plannedDraw(bankId: number): Promise<PlannedDraw | null> {
	const [plan] = await plans.all({ bankId });
	if (!plan || (plan.loads.length === 0 && !plan.inverter?.ratedW)) return null;
	const { loads, inverter = null, standbyW } = plan;
	const { peakW, surgeW } = sumLoads({ loads, inverter, standbyW: standbyW ?? USUAL_PLAN.standbyW });
	return { peakW: drawnAtMostW(peakW, inverter), surgeW, cutoffV: inverter?.cutoffV ?? null };
}

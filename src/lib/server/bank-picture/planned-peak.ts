import { USUAL_PLAN, sumLoads } from '$lib/core/planning';
import { plans } from '../records';

/** What the loads of a bank's plan may draw together, W from the batteries, the inverter's loss included; null where none is written down. */
export async function plannedPeakW(bankId: number): Promise<number | null> {
	const [plan] = await plans.all({ bankId });
	if (!plan || plan.loads.length === 0) return null;
	const { loads, inverter, standbyW } = plan;
	return sumLoads({ loads, inverter, standbyW: standbyW ?? USUAL_PLAN.standbyW }).peakW;
}

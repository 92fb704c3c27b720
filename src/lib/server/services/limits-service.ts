import { checkChain, computeLimits, type LimitValue, type LimitsInput } from '$lib/core/limits';
import { CoreError, type Verdict } from '$lib/core/shared';
import { limitPlans, type LimitPlan } from '../db/tables';
import { bankWithType } from './delivery-service';
import { placedGroups } from './match-service';

export interface LimitsState {
	plan: LimitPlan | null;
	/** Empty while the cell type is missing or leaves no window. */
	values: LimitValue[];
	verdicts: Verdict[];
	measuredGroupAh: number | null;
}

const missingType: Verdict = {
	code: 'no-cell-type',
	warmth: 'look',
	title: 'No cell type chosen',
	finding: 'Limits start from the maker’s figures.',
	doubt: null,
	rule: 'Limits come from cell type, measured cells, wiring and strategy.',
	next: 'Choose the cell type in Plan.',
	cellIds: []
};

/** The values for a bank under its latest plan (middle road until one is chosen), with the chain checked. */
export async function limitsState(bankId: number): Promise<LimitsState> {
	const { bank, cellType } = await bankWithType(bankId);
	const plan = (await limitPlans.all({ bankId })).at(-1) ?? null;
	const groups = await placedGroups(bankId);
	const known = groups.map((g) => g.capacityAh).filter((ah): ah is number => ah !== null);
	const measuredGroupAh = groups.length > 0 && known.length === groups.length ? Math.min(...known) : null;
	if (!cellType) return { plan, values: [], verdicts: [missingType], measuredGroupAh };
	const input: LimitsInput = {
		chemistry: bank.chemistry,
		series: bank.series,
		parallel: bank.parallel,
		strategy: plan?.strategy ?? 'middle-road',
		cell: cellType,
		measuredGroupAh,
		bms: plan ? { continuousA: plan.bmsA, resolutionV: plan.bmsResolutionV } : null,
		fuseA: plan?.fuseA ?? null,
		cableA: plan?.cableA ?? null
	};
	try {
		const values = computeLimits(input);
		return { plan, values, verdicts: checkChain(values, bank.series), measuredGroupAh };
	} catch (error) {
		if (!(error instanceof CoreError)) throw error;
		return {
			plan,
			values: [],
			verdicts: [
				{
					...missingType,
					code: error.code,
					title: 'These figures leave no room',
					finding: error.message,
					next: 'Correct the cell type in Plan.'
				}
			],
			measuredGroupAh
		};
	}
}

import { createRepository } from '../../db/repository';
import type { Stored } from '../kind';
import type { PlanItemInput } from './input';

export type PlanItemRow = Stored<Omit<PlanItemInput, 'clientKey'>>;
export const planItems = createRepository<PlanItemRow>('plan_items', 'line of the list', 'id', {
	json: ['priceBreaks']
});

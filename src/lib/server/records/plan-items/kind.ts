import { defineKind } from '../kind';
import { PlanItemInput } from './input';
import { planItems, type PlanItemRow } from './row';

export const planItemKind = defineKind<PlanItemRow>({
	name: 'plan-items',
	repository: planItems,
	called: ({ name, quantity }) => `${quantity} × ${name}`,
	createInput: PlanItemInput,
	changeInput: PlanItemInput,
	parents: { bankId: 'banks' },
	filters: ['bankId'],
	columns: ['id', 'name', 'quantity', 'unitPrice', 'shipping', 'priceBreaks', 'pricedOn', 'source', 'used'],
	keyed: true,
	archivedWith: 'bankId',
	banksOf: async ({ bankId }) => [bankId]
});

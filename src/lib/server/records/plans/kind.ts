import { ServiceError } from '../../errors';
import { InputError } from '$lib/input/validate';
import { defineKind } from '../kind';
import { PlanInput } from './input';
import { plans, type Plan } from './row';

const TWELVE = ['sunHours', 'airC'] as const;

export const planKind = defineKind<Plan>({
	name: 'plans',
	repository: plans,
	createInput: PlanInput,
	changeInput: PlanInput,
	parents: { bankId: 'banks' },
	filters: ['bankId'],
	columns: null,
	archivedWith: 'bankId',
	async check(plan, tx, before) {
		for (const path of TWELVE) {
			const months = plan[path];
			if (months && months.length !== 12)
				throw new InputError([{ path, message: `${path} requires 12 values, January first; got ${months.length}` }]);
		}
		if (plan.generator && plan.generator.stopSoc <= plan.generator.startSoc)
			throw new InputError([
				{ path: 'generator.stopSoc', message: 'generator.stopSoc requires more than startSoc: off above, on below' }
			]);
		const others = (await plans.all({ bankId: plan.bankId }, tx)).filter((p) => p.id !== (before?.id ?? plan.id));
		if (others.length)
			throw new ServiceError(
				409,
				'exists',
				'This bank has a plan: change that one. It was perhaps begun in another tab.'
			);
	},
	banksOf: async ({ bankId }) => [bankId]
});

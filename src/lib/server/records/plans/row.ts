import { createRepository } from '../../db/repository';
import type { Stored } from '../kind';
import type { PlanInput } from './input';

export type Plan = Stored<PlanInput>;
export const plans = createRepository<Plan>('plans', 'plan', 'id', {
	json: [
		'loads',
		'inverter',
		'fields',
		'sunHours',
		'airC',
		'sources',
		'generator',
		'chargers',
		'supplies',
		'kit',
		'box'
	]
});

import { createRepository } from '../../db/repository';
import type { Stored } from '../kind';
import type { LimitPlanInput } from './input';

export type LimitPlan = Pick<Stored<LimitPlanInput>, keyof Stored<object> | 'bankId' | 'strategy'>;
export const limitPlans = createRepository<LimitPlan>('limit_plans', 'limit plan', 'id');

import { createRepository } from '../../db/repository';
import type { Stored } from '../kind';
import type { BalanceRunInput } from './input';

export type BalanceRun = Stored<BalanceRunInput>;
export const balanceRuns = createRepository<BalanceRun>('balance_runs', 'balance', 'id', { json: ['checklist'] });

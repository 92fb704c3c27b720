import type { MethodSetup } from '$lib/core/picture';
import { createRepository } from '../../db/repository';
import type { Stored } from '../kind';
import type { MethodRunInput } from './input';

export type MethodRunRow = Stored<Omit<MethodRunInput, 'clientKey' | 'setup'>> & { setup: MethodSetup };
export const methodRuns = createRepository<MethodRunRow>('method_runs', 'balance by steps', 'id', {
	json: ['cellIds', 'setup']
});

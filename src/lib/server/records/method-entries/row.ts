import { createRepository } from '../../db/repository';
import type { Stored } from '../kind';
import type { MethodEntryInput } from './input';

export type MethodEntryRow = Stored<Omit<MethodEntryInput, 'clientKey' | 'doneAt'>> & { doneAt: string };
export const methodEntries = createRepository<MethodEntryRow>('method_entries', 'step of a balance', 'id', {
	json: ['volts', 'passings']
});

import { createRepository } from '../../db/repository';
import type { Stored } from '../kind';
import type { NotedRunInput } from './input';

export type NotedRunRow = Stored<Omit<NotedRunInput, 'clientKey' | 'startedAt'>> & { startedAt: string };
export const notedRuns = createRepository<NotedRunRow>('noted_runs', 'run by notes', 'startedAt', { json: ['notes'] });

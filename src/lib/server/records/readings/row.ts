import { createRepository } from '../../db/repository';
import type { Stored } from '../kind';
import type { ReadingInput } from './input';

export type Reading = Stored<Omit<ReadingInput, 'takenAt' | 'clientKey'>> & {
	takenAt: string;
	value: number;
	rawUnit: string;
	sd: number;
};
export const readings = createRepository<Reading>('readings', 'reading', 'takenAt');

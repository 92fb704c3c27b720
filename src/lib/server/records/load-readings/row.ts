import { createRepository } from '../../db/repository';
import type { Stored } from '../kind';
import type { LoadReadingInput } from './input';

export type LoadReading = Stored<Omit<LoadReadingInput, 'clientKey'>>;
export const loadReadings = createRepository<LoadReading>('load_readings', 'reading at rest and under load', 'readAt', {
	json: ['restV', 'loadV']
});

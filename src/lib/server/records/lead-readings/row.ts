import { createRepository } from '../../db/repository';
import type { Stored } from '../kind';
import type { LeadReadingInput } from './input';

export type LeadReading = Stored<Omit<LeadReadingInput, 'clientKey'>>;
export const leadReadings = createRepository<LeadReading>('lead_readings', 'reading of the balance leads', 'readAt', {
	json: ['readingsV', 'positiveV']
});

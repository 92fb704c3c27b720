import { createRepository } from '../../db/repository';
import type { Stored } from '../kind';
import type { InspectionInput } from './input';

export type InspectionRow = Stored<Omit<InspectionInput, 'clientKey' | 'inspectedAt'>> & { inspectedAt: string };
export const inspections = createRepository<InspectionRow>('inspections', 'inspection', 'inspectedAt', {
	json: ['thicknessMm']
});

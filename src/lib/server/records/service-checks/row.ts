import { createRepository } from '../../db/repository';
import type { Stored } from '../kind';
import type { ServiceCheckInput } from './input';

export type ServiceCheckRow = Stored<Omit<ServiceCheckInput, 'clientKey'>>;
export const serviceChecks = createRepository<ServiceCheckRow>('service_checks', 'service check', 'checkedAt', {
	json: ['groupVoltagesV', 'passings']
});

import { createRepository } from '../../db/repository';
import type { Stored } from '../kind';
import type { ChargeCountInput } from './input';

export type ChargeCount = Stored<Omit<ChargeCountInput, 'clientKey'>>;
export const chargeCounts = createRepository<ChargeCount>('charge_counts', 'count of charge in and out', 'countedAt');

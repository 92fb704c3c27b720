import { createRepository } from '../../db/repository';
import type { Stored } from '../kind';
import type { BalanceReadingInput } from './input';

export type BalanceReading = Stored<Omit<BalanceReadingInput, 'clientKey'>>;
export const balanceReadings = createRepository<BalanceReading>('balance_readings', 'balance reading', 'readAt');

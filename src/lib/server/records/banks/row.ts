import { createRepository } from '../../db/repository';
import type { Stored } from '../kind';
import type { BankInput } from './input';

export type Bank = Stored<BankInput> & { rehearsal: boolean };
export const banks = createRepository<Bank>('banks', 'bank', 'id');

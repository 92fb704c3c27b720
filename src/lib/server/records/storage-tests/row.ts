import { createRepository } from '../../db/repository';
import type { Stored } from '../kind';
import type { StorageTestInput } from './input';

export type StorageTestRow = Stored<Omit<StorageTestInput, 'clientKey'>>;
export const storageTests = createRepository<StorageTestRow>('storage_tests', 'test of self-discharge', 'chargedAt');

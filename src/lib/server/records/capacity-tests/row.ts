import { createRepository } from '../../db/repository';
import type { Stored } from '../kind';
import type { CapacityTestInput } from './input';

export type CapacityTest = Stored<Omit<CapacityTestInput, 'clientKey'>>;
export const capacityTests = createRepository<CapacityTest>('capacity_tests', 'capacity test', 'testedAt');

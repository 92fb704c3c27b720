import { createRepository } from '../../db/repository';
import type { Stored } from '../kind';
import type { TemporaryPartInput } from './input';

export type TemporaryPart = Stored<Omit<TemporaryPartInput, 'clientKey'>>;
export const temporaryParts = createRepository<TemporaryPart>('temporary_parts', 'temporary part', 'putInAt');

import { createRepository } from '../../db/repository';
import type { Stored } from '../kind';
import type { ProtocolInput } from './input';

export type ProtocolRow = Stored<Omit<ProtocolInput, 'clientKey'>>;
export const protocols = createRepository<ProtocolRow>('protocols', 'protocol', 'name');

import { createRepository } from '../../db/repository';
import type { Stored } from '../kind';
import type { BalanceCellInput } from './input';

export type BalanceCellRow = Stored<BalanceCellInput>;
export const balanceCells = createRepository<BalanceCellRow>('balance_cells', 'cell of a balance', 'id');

import { createRepository } from '../../db/repository';
import type { Stored } from '../kind';
import type { CellInput } from './input';

export type Cell = Stored<CellInput>;
export const cells = createRepository<Cell>('cells', 'cell', 'position');

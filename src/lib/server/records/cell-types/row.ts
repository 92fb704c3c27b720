import { createRepository } from '../../db/repository';
import type { Stored } from '../kind';
import type { CellTypeInput } from './input';

export type CellType = Stored<CellTypeInput> & { rehearsal: boolean };
export const cellTypes = createRepository<CellType>('cell_types', 'cell type', 'name');

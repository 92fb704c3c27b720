import { createRepository } from '../../db/repository';
import type { Stored } from '../kind';
import type { ClauseInput } from './input';

export type ClauseRow = Stored<ClauseInput>;
export const clauses = createRepository<ClauseRow>('clauses', 'promise of a cell type', 'id');

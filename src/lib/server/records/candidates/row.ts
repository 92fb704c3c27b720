import { createRepository } from '../../db/repository';
import type { Stored } from '../kind';
import type { CandidateInput } from './input';

export type Candidate = Stored<CandidateInput>;
export const candidates = createRepository<Candidate>('candidates', 'candidate', 'id');

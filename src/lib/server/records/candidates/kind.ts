import { defineKind } from '../kind';
import { refuseMixing } from '../same-world';
import { CandidateInput } from './input';
import { candidates, type Candidate } from './row';

export const candidateKind = defineKind<Candidate>({
	name: 'candidates',
	repository: candidates,
	createInput: CandidateInput,
	changeInput: CandidateInput,
	parents: { bankId: 'banks', cellId: 'cells' },
	filters: ['bankId', 'cellId'],
	columns: null,
	archivedWith: 'bankId',
	check: ({ cellId, bankId }, tx) => refuseMixing(cellId, bankId, tx),
	banksOf: async ({ bankId }) => [bankId]
});

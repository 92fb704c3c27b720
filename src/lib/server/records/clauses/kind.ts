import { defineKind } from '../kind';
import { ClauseInput } from './input';
import { clauses, type ClauseRow } from './row';

export const clauseKind = defineKind<ClauseRow>({
	name: 'clauses',
	repository: clauses,
	called: ({ kind, capacityAh }) => `${kind} ${capacityAh} Ah`,
	createInput: ClauseInput,
	changeInput: ClauseInput,
	parents: { cellTypeId: 'cell-types' },
	filters: ['cellTypeId'],
	columns: null,
	archivedWith: 'cellTypeId',
	banksOf: async ({ cellTypeId }, tx) => tx('banks').where({ cell_type_id: cellTypeId }).pluck('id')
});

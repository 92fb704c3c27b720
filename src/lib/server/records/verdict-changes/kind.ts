import { defineKind } from '../kind';
import { verdictChanges, type VerdictChange } from './row';

export const verdictChangeKind = defineKind<VerdictChange>({
	name: 'verdict-changes',
	repository: verdictChanges,
	createInput: null,
	changeInput: null,
	parents: { bankId: 'banks' },
	filters: ['bankId', 'stage', 'code', 'subjectKind', 'subjectId'],
	columns: null,
	// What was said by ids of another book of records would point at strangers: a bank that is brought in is judged anew.
	archivedWith: null,
	banksOf: async () => []
});

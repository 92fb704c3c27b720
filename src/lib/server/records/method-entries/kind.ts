import { defineKind } from '../kind';
import { MethodEntryInput } from './input';
import { methodEntries, type MethodEntryRow } from './row';

export const methodEntryKind = defineKind<MethodEntryRow>({
	name: 'method-entries',
	repository: methodEntries,
	called: ({ step, doneAt }) => `${step} at ${doneAt.slice(0, 16).replace('T', ' ')}`,
	createInput: MethodEntryInput,
	changeInput: MethodEntryInput,
	parents: { methodRunId: 'method-runs', cellId: 'cells?' },
	filters: ['methodRunId'],
	columns: ['id', 'methodRunId', 'cellId', 'unit', 'step', 'doneAt', 'voltageV', 'currentA', 'ah', 'wh', 'words'],
	keyed: true,
	archivedWith: 'methodRunId',
	banksOf: async ({ methodRunId }, tx) => tx('method_runs').where({ id: methodRunId }).pluck('bank_id')
});

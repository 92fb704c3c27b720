import { InputError } from '$lib/input/validate';
import { defineKind } from '../kind';
import { NotedRunInput } from './input';
import { notedRuns, type NotedRunRow } from './row';

export const notedRunKind = defineKind<NotedRunRow>({
	name: 'noted-runs',
	repository: notedRuns,
	called: ({ startedAt }) => `run by notes of ${startedAt.slice(0, 10)}`,
	createInput: NotedRunInput,
	changeInput: NotedRunInput,
	parents: { cellId: 'cells', runId: 'runs?' },
	filters: ['cellId'],
	columns: ['id', 'cellId', 'startedAt', 'currentA', 'powerW', 'cutoffV', 'notes'],
	keyed: true,
	archivedWith: 'cellId',
	prepare: async (fields: NotedRunInput) => ({ ...fields, startedAt: fields.startedAt ?? new Date().toISOString() }),
	async check({ currentA, powerW }) {
		if (currentA !== null && powerW !== null)
			throw new InputError([{ path: 'powerW', message: 'Write what it is discharged with as A or as W, not both.' }]);
	},
	// Judged as the run it becomes.
	banksOf: async () => []
});

import { defineKind } from '../kind';
import { StoredLiveRunInput } from './input';
import { liveRuns, type LiveRun } from './row';

/** Live runs have addresses of their own: they are planned, begun and stopped, not written. */
export const liveRunKind = defineKind<LiveRun>({
	name: 'live-runs',
	repository: liveRuns,
	createInput: null,
	changeInput: null,
	storedInput: StoredLiveRunInput,
	parents: { bankId: 'banks', cellId: 'cells?', balanceRunId: 'balance-runs?', runId: 'runs?' },
	filters: ['bankId', 'state'],
	columns: ['id', 'cellId', 'balanceRunId', 'runId', 'kind', 'state', 'startedAt', 'endedAt', 'endedBy'],
	hidden: true,
	archivedWith: 'bankId',
	banksOf: async ({ bankId }) => [bankId]
});

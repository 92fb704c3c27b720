import { defineKind } from '../kind';
import { StoredLiveEventInput } from './input';
import { liveEvents, type LiveEventRow } from './row';

export const liveEventKind = defineKind<LiveEventRow>({
	name: 'live-events',
	repository: liveEvents,
	createInput: null,
	changeInput: null,
	storedInput: StoredLiveEventInput,
	parents: { liveRunId: 'live-runs' },
	filters: ['liveRunId', 'kind'],
	columns: ['id', 'liveRunId', 'happenedAt', 'kind', 'message', 'needsPerson', 'seenAt'],
	archivedWith: 'liveRunId',
	banksOf: async () => []
});

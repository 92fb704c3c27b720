import { createRepository, type Recorded } from '../../db/repository';

export type LiveEventRow = Recorded & {
	liveRunId: number;
	happenedAt: string;
	kind: string;
	message: string;
	needsPerson: boolean;
	seenAt: string | null;
};
export const liveEvents = createRepository<LiveEventRow>('live_events', 'event', 'happenedAt');

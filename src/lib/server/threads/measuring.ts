import type { LeadsJudgement } from '$lib/core/build/leads';
import type { LeftJoined } from '$lib/core/balance/joining';
import type { NotesFit } from '$lib/core/test/run-notes';
import type { Leakage } from '$lib/core/receive/storage';
import type { QueuePlan, QueueStep } from '$lib/core/test/queue';
import type { MeasuringTask } from '$lib/workers/measuring-thread';
import { onThread } from './thread';

/** Longest one may take on its thread, s. */
const MAX_S = 60;

interface AnswerOf {
	notes: NotesFit;
	queue: QueuePlan;
	'queue-steps': QueueStep[];
	leakage: Leakage;
	leads: LeadsJudgement;
	'left-joined': LeftJoined[];
}

/** Carries a heavy part of measuring out on a thread; ends when nobody waits any more. @throws CoreError (422) with the reason when refused */
export function measuringOnThread<T extends MeasuringTask>(task: T, signal: AbortSignal): Promise<AnswerOf[T['kind']]> {
	const data = JSON.parse(JSON.stringify(task)) as T;
	return onThread({
		file: 'measuring-thread',
		what: 'fits, timetables and harnesses',
		data,
		signal,
		mostS: MAX_S,
		mostAtOnce: 8,
		pace: 'brief'
	});
}

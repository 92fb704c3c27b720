import { judgeBalanceLeads, type BalanceLeadsInput, type LeadsJudgement } from '$lib/core/build/leads';
import { leftJoined, type JoinInput, type LeftJoined } from '$lib/core/balance/joining';
import type { Chemistry } from '$lib/core/foundation/chemistry';
import { fitNotes, type NotedRun, type NotesFit } from '$lib/core/test/run-notes';
import { leakageByReadings, type Leakage, type StoredReading } from '$lib/core/receive/storage';
import { planQueue, queueSteps, type QueueInput, type QueuePlan, type QueueStep } from '$lib/core/test/queue';
import { stepBack } from './step-back';
import { answered, type ThreadAnswer } from './thread-answer';

/** What takes too long beside the answering of requests. */
export type MeasuringTask =
	| { kind: 'notes'; run: NotedRun }
	| { kind: 'queue'; queue: QueueInput }
	| { kind: 'queue-steps'; queue: QueueInput }
	| { kind: 'left-joined'; join: JoinInput; hours: number[] }
	| { kind: 'leads'; leads: BalanceLeadsInput }
	| { kind: 'leakage'; chemistry: Chemistry; readings: StoredReading[] };

stepBack('brief');

type MeasuringAnswer = NotesFit | QueuePlan | QueueStep[] | Leakage | LeftJoined[] | LeadsJudgement;

function carriedOut(task: MeasuringTask): MeasuringAnswer {
	switch (task.kind) {
		case 'notes':
			return fitNotes(task.run);
		case 'queue':
			return planQueue(task.queue);
		case 'queue-steps':
			return queueSteps(task.queue);
		case 'left-joined':
			return leftJoined(task.join, task.hours);
		case 'leads':
			return judgeBalanceLeads(task.leads);
		case 'leakage':
			return leakageByReadings(task.chemistry, task.readings);
	}
}

/** Server-side thread for the heavy parts of measuring. */
export default (task: MeasuringTask): ThreadAnswer<MeasuringAnswer> => answered(() => carriedOut(task));

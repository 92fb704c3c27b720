import { estimateTesters, judgeResults } from '$lib/core/test/testers';
import type { NotesFit } from '$lib/core/test/run-notes';
import type { QueuePlan } from '$lib/core/test/queue';
import { combineWitnesses, type Combined, type Witness } from '$lib/core/test/witnesses';
import { WHOLE_BANK, type Subject } from '$lib/core/foundation/verdicts';
import { InputError } from '$lib/input/validate';
import type * as input from '$lib/input/measuring';
import { measuringOnThread } from '../../threads/measuring';

const ONE_CELL: Subject = { ...WHOLE_BANK, kind: 'cell', label: 'this cell' };

export const fitSpotNotes = (run: input.FitNotesRequest, gone: AbortSignal): Promise<NotesFit> =>
	measuringOnThread({ kind: 'notes', run }, gone);

export const testQueue = (queue: input.TestQueueRequest, gone: AbortSignal): Promise<QueuePlan> =>
	measuringOnThread({ kind: 'queue', queue }, gone);

/** Whatever a caller calls its things, by number. */
function numbered<Id>(ids: readonly Id[]): { place(id: Id): number; at(place: number): Id } {
	const own = [...new Set(ids)];
	const places = new Map(own.map((id, i) => [id, i]));
	return { place: (id) => places.get(id)!, at: (place) => own[place]! };
}

/** Gains and capacities from runs; ids come back as they were sent. @throws CoreError */
export function testersOf({ runs }: input.TestersRequest) {
	const [cells, testers] = [numbered(runs.map((r) => r.cellId)), numbered(runs.map((r) => r.testerId))];
	const found = estimateTesters(
		runs.map((r) => ({
			cell: cells.place(r.cellId),
			tester: String(testers.place(r.testerId)),
			capacityAh: r.capacityAh,
			sdAh: r.sdAh
		}))
	);
	return {
		cells: found.cells.map(({ cell, ...c }) => ({ cellId: cells.at(cell), ...c })),
		testers: found.testers.map(({ tester, ...t }) => ({ testerId: testers.at(Number(tester)), ...t }))
	};
}

/** What each kind of witness must say. */
const NEEDED: Record<Witness['kind'], readonly (keyof input.WitnessInput)[]> = {
	ah: ['ah'],
	wh: ['wh'],
	'hours-amps': ['hours', 'amps'],
	'watts-hours': ['watts', 'hours'],
	'kwh-out': ['kwh'],
	water: ['litres', 'fromC', 'toC']
};

/** @throws InputError naming what a witness of its kind lacks; CoreError */
export function witnessesOf({ chemistry, ratedAh, items, cRate, temperatureC }: input.WitnessesRequest): Combined {
	const faults = items.flatMap((item, i) =>
		NEEDED[item.kind]
			.filter((key) => item[key] == null)
			.map((key) => ({
				path: `items.${i}.${key}`,
				message: `items.${i}.${key} is required of a witness of kind ${item.kind}`
			}))
	);
	if (faults.length) throw new InputError(faults);
	return combineWitnesses(chemistry, items as Witness[], ratedAh ?? null, ONE_CELL, { cRate, temperatureC });
}

export const judgedResults = ({ ratedAh, standardCRate, results }: input.CapacityJudgementRequest) =>
	judgeResults(
		ratedAh,
		results.map(({ testerId, ...r }) => ({ ...r, tester: `${typeof testerId} ${testerId}` })),
		standardCRate ?? undefined
	);

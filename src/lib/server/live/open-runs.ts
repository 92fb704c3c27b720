import { ServiceError } from '../errors';
import { cells } from '../records/cells/row';
import { liveRuns, type LiveRun } from '../records/live-runs/row';

/** States of a run that goes on or waits for a person. */
const OPEN_STATES = ['running', 'waiting'];

/** Runs that go on or wait for a person. */
export const openRuns = async (): Promise<LiveRun[]> =>
	(await Promise.all(OPEN_STATES.map((state) => liveRuns.all({ state })))).flat();

/** Kinds of record a live run stands on, and whether it stands on this one. */
export const STANDS_ON: Record<string, (run: LiveRun, id: number) => boolean | Promise<boolean>> = {
	banks: (run, id) => run.bankId === id,
	cells: (run, id) => run.cellId === id,
	deliveries: async (run, id) => run.cellId !== null && (await cells.find(run.cellId))?.deliveryId === id,
	instruments: (run, id) => run.instruments.some((i) => i.id === id),
	'balance-runs': (run, id) => run.balanceRunId === id
};

/** What a live run stands on is not taken away under it. @throws ServiceError 409 */
export async function refuseRemovalUnderRun(kind: string, id: number): Promise<void> {
	const standsOn = STANDS_ON[kind];
	if (!standsOn) return;
	for (const run of await openRuns())
		if (await standsOn(run, id))
			throw new ServiceError(409, 'live', 'A live run needs this. Stop that run first, then take it out.');
}

import { fullnessRuledOut } from '$lib/core/live-run';
import { banks, cells, instruments, liveEvents, type LiveRun } from '../../db/tables';
import { nowOf } from '../rehearsal-bench';

/** What a cell rests at before anything is switched on, calibration taken out. */
export interface RestReading {
	instrumentId: number;
	restVoltageV: number;
}

const NOT_FULL = 'not-full';

/**
 * A capacity run that begins with its discharge stands on a full cell. One that cannot be full is told to a person at once, while
 * hours can still be saved; the run goes on.
 */
export async function noteStartCharge(run: LiveRun, readings: readonly RestReading[]): Promise<void> {
	const isFirst = run.startedAt === null && run.phases[0].kind === 'discharge';
	if (run.kind !== 'capacity' || run.cellId === null || !isFirst || (await beganNotFull(run))) return;
	const bank = await banks.get(run.bankId);
	const { label } = await cells.get(run.cellId);
	for (const { instrumentId, restVoltageV } of readings) {
		const { accuracyPercent, accuracyFixed } = await instruments.get(instrumentId);
		// A limit of the sheet, evenly likely within.
		const sdV = ((accuracyPercent / 100) * Math.abs(restVoltageV) + accuracyFixed) / Math.sqrt(3);
		const most = fullnessRuledOut(bank.chemistry, restVoltageV, sdV);
		if (most === null) continue;
		await liveEvents.insert({
			liveRunId: run.id,
			happenedAt: (await nowOf(bank)).toISOString(),
			kind: NOT_FULL,
			message: `${label} rested at ${restVoltageV.toFixed(3)} V: at most ${Math.round(most * 100)} % charged. What comes out will not be its capacity. Stop it, and plan the run anew with the charge first.`,
			needsPerson: true
		});
		return;
	}
}

/** Whether a run's discharge began on a cell that could not be full. */
export const beganNotFull = async (run: LiveRun): Promise<boolean> =>
	(await liveEvents.all({ liveRunId: run.id, kind: NOT_FULL })).length > 0;

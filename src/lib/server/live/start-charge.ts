import { fullnessRuledOut } from '$lib/core/foundation/chemistry';
import { meterSd } from '$lib/core/foundation/reading';
import { banks, cells, instruments, liveEvents, type LiveRun } from '../records';
import { nowOf } from '../rehearsals/bench/bench';

/** What a cell rests at before anything is switched on, calibration taken out. */
export interface RestReading {
	instrumentId: number;
	restVoltageV: number;
}

const NOT_FULL = 'not-full';

/**
 * A capacity run that begins with its discharge stands on a full cell. One that cannot be full is told to a person at once, while
 * hours can still be saved; the run goes on. @returns whether it cannot be full
 */
export async function noteStartCharge(run: LiveRun, readings: readonly RestReading[]): Promise<boolean> {
	const isFirst = run.startedAt === null && run.phases[0]!.kind === 'discharge';
	if (run.kind !== 'capacity' || run.cellId === null || !isFirst) return false;
	if (await beganNotFull(run)) return true;
	const bank = await banks.get(run.bankId);
	const { label } = await cells.get(run.cellId);
	for (const { instrumentId, restVoltageV } of readings) {
		const { accuracyPercent, accuracyFixed } = await instruments.get(instrumentId);
		const sheet = { percentOfReading: accuracyPercent, countsValue: accuracyFixed, repeatability: null };
		const most = fullnessRuledOut(bank.chemistry, restVoltageV, meterSd(sheet, restVoltageV));
		if (most === null) continue;
		await liveEvents.insert({
			liveRunId: run.id,
			happenedAt: (await nowOf(bank)).toISOString(),
			kind: NOT_FULL,
			message: `${label} rested at ${restVoltageV.toFixed(3)} V: at most ${Math.round(most * 100)} % charged. What comes out will not be its capacity.`,
			needsPerson: true
		});
		return true;
	}
	return false;
}

/** Whether a run's discharge began on a cell that could not be full. */
export const beganNotFull = async (run: LiveRun): Promise<boolean> =>
	(await liveEvents.all({ liveRunId: run.id, kind: NOT_FULL })).length > 0;

import { TESTER_GAIN_SD } from '$lib/core/test/verdicts';
import { probesAreOff } from '$lib/core/foundation/live-run';
import { insertRunSamples } from '../db/run-samples';
import type { StoredSample } from '../db/stored-sample';
import { inTransaction } from '../db/transaction';
import { banks, cellTypes, instruments, runs, type LiveRun, type Run } from '../records';
import { recordKind } from '../records/registry';
import { noteWrite } from '../records/write';

/** What the load took, Ah, in the last stretch had it held on to its end: it cut off somewhere within. Nothing when it was still on. */
function cutOffAh(samples: readonly StoredSample[]): number {
	const [before, last] = samples.slice(-2);
	if (!last || Math.abs(last.currentA) > Math.abs(before!.currentA) / 2) return 0;
	return (Math.abs(before!.currentA) * (last.atMs - before!.atMs)) / 3_600_000;
}

/** What the run itself did before its discharge: a charge to its tail, and the rest after it. */
function heldBefore(
	{ phases, progress }: LiveRun,
	discharge: number
): { startedFull: boolean | null; restS: number | null } {
	const before = phases.slice(0, discharge);
	const charge = before.findLastIndex((p) => p.kind === 'charge');
	// Each of these phases ran to its end, or the discharge would not have begun; one that stopped at so many Ah is not full.
	const isFull = charge >= 0 && (before[charge] as { stopAh?: number }).stopAh === undefined;
	const ended = (i: number) => progress.sums[i]?.endedMs ?? null;
	const from = charge >= 0 ? ended(charge) : null;
	const begun = progress.sums[discharge]?.startedMs ?? null;
	return {
		startedFull: isFull ? true : null,
		restS: from !== null && begun !== null ? Math.max(0, (begun - from) / 1000) : null
	};
}

/** The discharge of a live run as a capacity result of its cell, as its load counted: what that is known to be off by is taken out when it is judged. Gaps are not counted. */
export async function storeLiveCapacity(live: LiveRun, samples: readonly StoredSample[]): Promise<Run> {
	const load = live.instruments.find((i) => i.role === 'load')!;
	const meter = live.instruments.find((i) => i.role === 'voltmeter');
	const { accuracyPercent } = await instruments.get(load.id);
	const phase = live.phases.findIndex((p) => p.kind === 'discharge');
	const discharge = live.phases[phase] as { cutoffV: number };
	const sums = live.progress.sums[phase];
	// The run itself goes by true amperes.
	const shown = 1 + load.currentGainPercent / 100;
	const capacityAh = -sums!.ah * shown;
	const seconds = (sums!.endedMs! - sums!.startedMs) / 1000 - sums!.gapS;
	const meanA = -(capacityAh * 3600) / seconds;
	const { cellTypeId } = await banks.get(live.bankId);
	const cellType = cellTypeId === null ? null : await cellTypes.get(cellTypeId);
	const volts = (s: StoredSample) =>
		meter && s.cellV !== null && !probesAreOff(s.cellV, s.voltageV)
			? s.cellV - meter.voltageOffsetV
			: (s.voltageV ?? 0) - load.voltageOffsetV;
	const faults =
		sums!.gapS > 0
			? [
					{
						code: 'gap' as const,
						message: `${Math.round(sums!.gapS)} s without samples, about ${Math.abs(sums!.gapAh).toFixed(2)} Ah not counted.`,
						row: null
					}
				]
			: null;
	return inTransaction(async (tx) => {
		const run = await runs.insert(
			{
				cellId: live.cellId,
				source: 'live',
				capacityAh,
				// The load's own accuracy and that of an uncompared tester, what the gaps may hide, and when it cut off.
				sdAh: Math.hypot(
					capacityAh * Math.max(TESTER_GAIN_SD, accuracyPercent / 100 / Math.sqrt(3)),
					(sums!.gapAh * shown) / Math.sqrt(3),
					cutOffAh(samples) / Math.sqrt(12)
				),
				energyWh: -sums!.wh * shown,
				meanVoltageV: sums!.wh / sums!.ah,
				currentA: meanA,
				cRate: cellType ? -meanA / cellType.ratedAh : null,
				durationS: seconds,
				endVoltageV: volts(samples.filter((s) => s.currentA < meanA / 2).at(-1) ?? samples[samples.length - 1]!),
				temperatureC: live.temperatureC,
				heldAtC: live.heldAtC,
				cutoffV: discharge.cutoffV,
				...heldBefore(live, phase),
				testedAt: new Date(sums!.endedMs!).toISOString(),
				tester: load.name,
				instrumentId: load.id,
				faults
			},
			tx
		);
		await insertRunSamples(
			run.id,
			{
				timeS: samples.map((s) => (s.atMs - samples[0]!.atMs) / 1000),
				voltageV: samples.map(volts),
				currentA: samples.map((s) => s.currentA)
			},
			tx
		);
		await noteWrite(recordKind('runs'), 'create', [run], tx);
		return run;
	});
}

import {
	TESTER_GAIN_SD,
	analyseLog,
	judgeCapacity,
	parseLog,
	thinCurve,
	toStandardConditions,
	type CapacityJudgement,
	type RunAnalysis
} from '$lib/core/capacity-run';
import { CoreError } from '$lib/core/shared';
import { database } from '../db/connection';
import { insertRunSamples, readRunSamples } from '../db/run-samples';
import { probesAreOff } from '$lib/core/live-run';
import type { StoredSample } from '../db/stored-sample';
import { cells, deliveries, instruments, runs, type Cell, type CellType, type LiveRun, type Run } from '../db/tables';
import { bankWithType, cellsOfBank } from './delivery-service';

export interface LogImport {
	fileName: string | null;
	temperatureC: number | null;
	testedAt: string | null;
	tester: string | null;
	bridgeGaps: boolean;
}

/** The protocol's discharge rate when the maker gives none (default). */
const STANDARD_C_RATE = 0.2;

/** Reads a capacity-run log and stores run and samples for a cell; all or nothing. */
export async function importRun(
	cellId: number,
	text: string,
	options: LogImport
): Promise<{ run: Run; analysis: RunAnalysis }> {
	const cell = await cells.get(cellId);
	const { cellType } = await bankWithType((await deliveries.get(cell.deliveryId)).bankId);
	const log = parseLog(text);
	const analysis = analyseLog(log, {
		ratedAh: cellType?.ratedAh ?? null,
		bridgeGaps: options.bridgeGaps,
		cutoffV: cellType?.dischargeLimitV ?? null
	});
	if (!(analysis.capacityAh > 0))
		throw new CoreError(
			'log-no-discharge',
			'body',
			'No discharge was found in this log: the current never flows out of the cell. Check the current column.'
		);
	const turned = analysis.faults.some((f) => f.code === 'sign-flipped');
	const run = await database().transaction(async (tx) => {
		const stored = await runs.insert(
			{
				cellId,
				source: 'log',
				capacityAh: analysis.capacityAh,
				sdAh: analysis.capacityAh * TESTER_GAIN_SD,
				energyWh: analysis.energyWh,
				meanVoltageV: analysis.meanVoltageV,
				currentA: analysis.currentA,
				cRate: analysis.cRate,
				durationS: analysis.durationS,
				endVoltageV: analysis.endVoltageV,
				temperatureC: options.temperatureC,
				testedAt: options.testedAt ?? new Date().toISOString(),
				tester: options.tester,
				fileName: options.fileName,
				faults: analysis.faults
			},
			tx
		);
		await insertRunSamples(stored.id, { ...log, currentA: turned ? log.currentA.map((a) => -a) : log.currentA }, tx);
		return stored;
	});
	return { run, analysis };
}

/** What the load took, Ah, in the last stretch had it held on to its end: it cut off somewhere within. Nothing when it was still on. */
function cutOffAh(samples: readonly StoredSample[]): number {
	const [before, last] = samples.slice(-2);
	if (!last || Math.abs(last.currentA) > Math.abs(before.currentA) / 2) return 0;
	return (Math.abs(before.currentA) * (last.atMs - before.atMs)) / 3_600_000;
}

/** The discharge of a live run as a capacity result of its cell, by the instruments' calibration of that day; gaps not counted. */
export async function storeLiveCapacity(live: LiveRun, samples: readonly StoredSample[]): Promise<Run> {
	const load = live.instruments.find((i) => i.role === 'load')!;
	const meter = live.instruments.find((i) => i.role === 'voltmeter');
	const { accuracyPercent } = await instruments.get(load.id);
	const phase = live.phases.findIndex((p) => p.kind === 'discharge');
	const discharge = live.phases[phase] as { cutoffV: number };
	const sums = live.progress.sums[phase];
	const capacityAh = -sums.ah;
	const seconds = (sums.endedMs! - sums.startedMs) / 1000 - sums.gapS;
	const meanA = -(capacityAh * 3600) / seconds;
	const { cellType } = await bankWithType(live.bankId);
	const volts = (s: StoredSample) =>
		meter && s.cellV !== null && !probesAreOff(s.cellV, s.voltageV)
			? s.cellV - meter.voltageOffsetV
			: (s.voltageV ?? 0) - load.voltageOffsetV;
	const faults =
		sums.gapS > 0
			? [
					{
						code: 'gap' as const,
						message: `${Math.round(sums.gapS)} s without samples, about ${Math.abs(sums.gapAh).toFixed(2)} Ah not counted.`,
						row: null
					}
				]
			: null;
	return database().transaction(async (tx) => {
		const run = await runs.insert(
			{
				cellId: live.cellId,
				source: 'live',
				capacityAh,
				// The load's own accuracy and that of an uncompared tester, what the gaps may hide, and when it cut off.
				sdAh: Math.hypot(
					capacityAh * Math.max(TESTER_GAIN_SD, accuracyPercent / 100 / Math.sqrt(3)),
					sums.gapAh / Math.sqrt(3),
					cutOffAh(samples) / Math.sqrt(12)
				),
				energyWh: -sums.wh,
				meanVoltageV: sums.wh / sums.ah,
				currentA: meanA,
				cRate: cellType ? -meanA / cellType.ratedAh : null,
				durationS: seconds,
				endVoltageV: volts(samples.filter((s) => s.currentA < meanA / 2).at(-1) ?? samples[samples.length - 1]),
				temperatureC: live.temperatureC,
				cutoffV: discharge.cutoffV,
				testedAt: new Date(sums.endedMs!).toISOString(),
				tester: load.name,
				faults
			},
			tx
		);
		const gain = 1 + load.currentGainPercent / 100;
		await insertRunSamples(
			run.id,
			{
				timeS: samples.map((s) => (s.atMs - samples[0].atMs) / 1000),
				voltageV: samples.map(volts),
				currentA: samples.map((s) => s.currentA / gain)
			},
			tx
		);
		return run;
	});
}

export interface CellCapacity {
	cell: Cell;
	run: Run | null;
	/** Capacity brought to standard conditions, Ah, with its doubt; null when not tested or the correction is refused. */
	capacityAh: number | null;
	sdAh: number | null;
	/** Why there is no capacity although there is a run. */
	refused: string | null;
	judgement: CapacityJudgement | null;
}

function capacityOf(cell: Cell, run: Run | null, cellType: CellType | null): CellCapacity {
	if (!run) return { cell, run, capacityAh: null, sdAh: null, refused: null, judgement: null };
	try {
		const measured = { capacityAh: run.capacityAh, sdAh: run.sdAh ?? run.capacityAh * TESTER_GAIN_SD };
		const { capacityAh, sdAh } = toStandardConditions(measured, run.temperatureC, run.cRate, STANDARD_C_RATE);
		return {
			cell,
			run,
			capacityAh,
			sdAh,
			refused: null,
			judgement: cellType ? judgeCapacity(cell, capacityAh, sdAh, cellType.ratedAh) : null
		};
	} catch (error) {
		if (!(error instanceof CoreError)) throw error;
		return { cell, run, capacityAh: null, sdAh: null, refused: error.message, judgement: null };
	}
}

/** The capacity each cell of a bank is believed to have: its latest run, corrected, against rated. Tray order. */
export async function bankCapacities(
	bankId: number
): Promise<{ cellType: CellType | null; capacities: CellCapacity[] }> {
	const { cellType } = await bankWithType(bankId);
	const all = await cellsOfBank(bankId);
	const latest = new Map<number, Run>();
	if (all.length) for (const run of await runs.all({ cellId: all.map((c) => c.id) })) latest.set(run.cellId, run);
	return { cellType, capacities: all.map((cell) => capacityOf(cell, latest.get(cell.id) ?? null, cellType)) };
}

/** Points of a run's curve for drawing: at most about `points` a series, no dip lost. */
export async function runCurve(
	runId: number,
	points = 600
): Promise<{ run: Run; curve: { timeS: number[]; voltageV: number[]; dischargedAh: number[] } }> {
	const run = await runs.get(runId);
	const samples = await readRunSamples(runId);
	const dischargedAh: number[] = [];
	samples.timeS.forEach((t, i) =>
		dischargedAh.push(
			i === 0
				? 0
				: dischargedAh[i - 1] -
						(((samples.currentA[i] + samples.currentA[i - 1]) / 2) * (t - samples.timeS[i - 1])) / 3600
		)
	);
	const kept = thinCurve(samples.voltageV, points / 2);
	const pick = (values: number[]) => kept.map((i) => values[i]);
	return {
		run,
		curve: { timeS: pick(samples.timeS), voltageV: pick(samples.voltageV), dischargedAh: pick(dischargedAh) }
	};
}

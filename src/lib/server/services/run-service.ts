import { TESTER_GAIN_SD, thinCurve, type RunAnalysis, type RunOptions } from '$lib/core/test/capacity';
import { probesAreOff } from '$lib/core/foundation/live-run';
import { CoreError } from '$lib/core/foundation/shared';
import type { Knex } from 'knex';
import { insertRunSamples, readRunSamples } from '../db/run-samples';
import type { StoredSample } from '../db/stored-sample';
import { inTransaction } from '../db/transaction';
import { cellTypes, cells, instruments, runs, banks, type LiveRun, type Run } from '../records';
import { ServiceError } from '../errors';
import { recordKind } from '../records/registry';
import { noteWrite } from '../records/write';
import { analyseOnThread } from '../threads/capacity-log';
import { typeOfCell } from './bank-of-cell';

export interface LogImport {
	fileName: string | null;
	temperatureC: number | null;
	/** Run at this temperature on purpose, °C; null or missing: at that of the room. */
	heldAtC?: number | null;
	testedAt: string | null;
	tester: string | null;
	bridgeGaps: boolean;
}

/** Charge, energy and faults of a log, stored nowhere. */
export const analyseLogBytes = async (
	bytes: Uint8Array<ArrayBuffer>,
	options: RunOptions,
	signal: AbortSignal
): Promise<RunAnalysis> => (await analyseOnThread(bytes, options, false, signal)).analysis;

/** A time without its zone may be off by so much, s. */
const ZONES_S = 12 * 3600;

/** @throws ServiceError 409 when this very log is a run already: two cells never give the same one */
async function refuseSameLog({ capacityAh, energyWh, durationS, endVoltageV }: RunAnalysis, tx: Knex): Promise<void> {
	const [same] = await runs.all({ source: 'log', capacityAh, energyWh, durationS, endVoltageV }, tx);
	if (!same) return;
	const label = (await cells.find(same.cellId, tx))?.label ?? 'another cell';
	throw new ServiceError(
		409,
		'same-log',
		`This very log is a run of ${label} already, to the last digit. Choose the log of this cell; if it was ${label} that got the wrong one, take that run out first.`
	);
}

/** Reads a capacity-run log and stores run and samples for a cell; all or nothing. */
export async function importRun(
	cellId: number,
	bytes: Uint8Array<ArrayBuffer>,
	options: LogImport,
	signal: AbortSignal = new AbortController().signal
): Promise<{ run: Run; analysis: RunAnalysis }> {
	await cells.get(cellId);
	const cellType = await typeOfCell(cellId);
	const { analysis, samples } = await analyseOnThread(
		bytes,
		{
			ratedAh: cellType?.ratedAh ?? null,
			bridgeGaps: options.bridgeGaps,
			cutoffV: cellType?.dischargeLimitV ?? null,
			chemistry: cellType?.chemistry ?? null
		},
		true,
		signal
	);
	if (!(analysis.capacityAh > 0))
		throw new CoreError(
			'log-no-discharge',
			'body',
			'No discharge was found in this log: the current never flows out of the cell. Check the current column.'
		);
	const { capacityAh, energyWh, meanVoltageV, currentA, cRate, durationS, endVoltageV, faults } = analysis;
	const { temperatureC, heldAtC = null, tester, fileName } = options;
	const run = await inTransaction(async (tx) => {
		await cells.hold(cellId, tx, 'share');
		await refuseSameLog(analysis, tx);
		const stored = await runs.insert(
			{
				...{
					cellId,
					source: 'log',
					capacityAh,
					energyWh,
					meanVoltageV,
					currentA,
					cRate,
					durationS,
					endVoltageV,
					faults
				},
				...{ temperatureC, heldAtC, tester, fileName },
				sdAh: Math.hypot(capacityAh * TESTER_GAIN_SD, analysis.doubtAh),
				testedAt: options.testedAt ?? analysis.endedAt ?? new Date().toISOString(),
				// A log tells its local time and no zone.
				testedDoubtS: options.testedAt === null && analysis.endedAt !== null ? ZONES_S : null
			},
			tx
		);
		await insertRunSamples(stored.id, samples!, tx);
		await noteWrite(recordKind('runs'), 'create', [stored], tx);
		return stored;
	});
	return { run, analysis };
}

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
				: dischargedAh[i - 1]! -
						(((samples.currentA[i]! + samples.currentA[i - 1]!) / 2) * (t - samples.timeS[i - 1]!)) / 3600
		)
	);
	const kept = thinCurve(samples.voltageV, points / 2);
	const pick = (values: number[]) => kept.map((i) => values[i]!);
	return {
		run,
		curve: { timeS: pick(samples.timeS), voltageV: pick(samples.voltageV), dischargedAh: pick(dischargedAh) }
	};
}

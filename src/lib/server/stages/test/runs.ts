import { TESTER_GAIN_SD } from '$lib/core/test/verdicts';
import { thinCurve, type RunAnalysis, type RunOptions } from '$lib/core/test/log';
import { CoreError } from '$lib/core/foundation/errors';
import type { Knex } from 'knex';
import { insertRunSamples, readRunSamples } from '../../db/run-samples';
import { inTransaction } from '../../db/transaction';
import { cells, runs, type Run } from '../../records';
import { ServiceError } from '../../errors';
import { recordKind } from '../../records/registry';
import { noteWrite } from '../../records/write';
import { analyseOnThread } from '../../threads/capacity-log';
import { typeOfCell } from '../../bank-picture/bank-of-cell';

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
				cellId,
				source: 'log',
				capacityAh,
				energyWh,
				meanVoltageV,
				currentA,
				cRate,
				durationS,
				endVoltageV,
				faults,
				temperatureC,
				heldAtC,
				tester,
				fileName,
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

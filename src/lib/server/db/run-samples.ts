import type { Knex } from 'knex';
import { database } from './connection';

export interface RunSamples {
	timeS: number[];
	voltageV: number[];
	currentA: number[];
}

/** Rows a statement: more would hold up everybody else while they are written out. */
const CHUNK = 1000;

/** Stores a run's samples, many rows a statement. Time rising, current positive into the cell. */
export async function insertRunSamples(
	runId: number,
	samples: { timeS: ArrayLike<number>; voltageV: ArrayLike<number>; currentA: ArrayLike<number> },
	tx: Knex
): Promise<void> {
	for (let from = 0; from < samples.timeS.length; from += CHUNK) {
		const until = Math.min(samples.timeS.length, from + CHUNK);
		const rows = Array.from(
			{ length: until - from },
			(_, k) =>
				`(${finite(runId)},${finite(samples.timeS[from + k])},${finite(samples.voltageV[from + k])},${finite(samples.currentA[from + k])})`
		);
		// Numbers alone, written out here: a query builder takes twenty times as long over them, on the thread that answers.
		await tx.raw(`insert into run_samples (run_id, t_s, voltage_v, current_a) values ${rows.join()}`);
	}
}

function finite(value: number | undefined): number {
	if (typeof value !== 'number' || !Number.isFinite(value)) throw new TypeError('A sample is not a number');
	return value;
}

/** A run's samples in time order; empty arrays for a run entered by hand. */
export async function readRunSamples(runId: number): Promise<RunSamples> {
	return asColumns(
		await database()('run_samples').where({ run_id: runId }).orderBy('t_s').select('t_s', 'voltage_v', 'current_a')
	);
}

const asColumns = (rows: { t_s: number; voltage_v: number; current_a: number }[]): RunSamples => ({
	timeS: rows.map((r) => r.t_s),
	voltageV: rows.map((r) => r.voltage_v),
	currentA: rows.map((r) => r.current_a)
});

/** Samples of a run later than a moment (s), in time order, at most so many. */
export async function readRunSamplesFrom(runId: number, afterS: number, most: number, tx: Knex): Promise<RunSamples> {
	const query = tx('run_samples').where({ run_id: runId }).orderBy('t_s').limit(most);
	if (Number.isFinite(afterS)) query.where('t_s', '>', afterS);
	return asColumns(await query.select('t_s', 'voltage_v', 'current_a'));
}

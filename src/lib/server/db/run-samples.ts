import type { Knex } from 'knex';
import { database } from './connection';

export interface RunSamples {
	timeS: number[];
	voltageV: number[];
	currentA: number[];
}

const CHUNK = 5000;

/** Stores a run's samples, many rows a statement. Time rising, current positive into the cell. */
export async function insertRunSamples(
	runId: number,
	samples: { timeS: ArrayLike<number>; voltageV: ArrayLike<number>; currentA: ArrayLike<number> },
	tx: Knex
): Promise<void> {
	for (let from = 0; from < samples.timeS.length; from += CHUNK) {
		const until = Math.min(samples.timeS.length, from + CHUNK);
		const rows = Array.from({ length: until - from }, (_, k) => ({
			run_id: runId,
			t_s: samples.timeS[from + k],
			voltage_v: samples.voltageV[from + k],
			current_a: samples.currentA[from + k]
		}));
		await tx('run_samples').insert(rows);
	}
}

/** A run's samples in time order; empty arrays for a run entered by hand. */
export async function readRunSamples(runId: number): Promise<RunSamples> {
	const rows: { t_s: number; voltage_v: number; current_a: number }[] = await database()('run_samples')
		.where({ run_id: runId })
		.orderBy('t_s')
		.select('t_s', 'voltage_v', 'current_a');
	return {
		timeS: rows.map((r) => r.t_s),
		voltageV: rows.map((r) => r.voltage_v),
		currentA: rows.map((r) => r.current_a)
	};
}

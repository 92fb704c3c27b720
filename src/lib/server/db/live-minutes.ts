import { group, max, min } from 'd3-array';
import type { Knex } from 'knex';
import { database } from './connection';
import type { StoredSample } from './stored-sample';

/** What a run's samples did in one minute by the instrument's clock. */
export interface LiveMinute {
	minuteMs: number;
	phase: number;
	voltageLowV: number | null;
	voltageHighV: number | null;
	cellLowV: number | null;
	cellHighV: number | null;
	currentLowA: number;
	currentHighA: number;
}

const MINUTE_MS = 60_000;

/** The minutes of some samples, rising. A voltage nobody measured counts for nothing. */
export function minutesOf(samples: readonly StoredSample[]): LiveMinute[] {
	return [...group(samples, (s) => s.atMs - (s.atMs % MINUTE_MS))]
		.sort(([a], [b]) => a - b)
		.map(([minuteMs, inIt]) => ({
			minuteMs,
			phase: Math.max(...inIt.map((s) => s.phase)),
			voltageLowV: min(inIt, (s) => s.voltageV) ?? null,
			voltageHighV: max(inIt, (s) => s.voltageV) ?? null,
			cellLowV: min(inIt, (s) => s.cellV) ?? null,
			cellHighV: max(inIt, (s) => s.cellV) ?? null,
			currentLowA: Math.min(...inIt.map((s) => s.currentA)),
			currentHighA: Math.max(...inIt.map((s) => s.currentA))
		}));
}

const widened = (column: string, of: 'least' | 'greatest') =>
	database().raw(`${of}(coalesce(??, values(??)), coalesce(values(??), ??))`, [column, column, column, column]);

/** Widens the minutes these samples fall in. Samples that are taken in twice change nothing. */
export async function widenLiveMinutes(liveRunId: number, samples: readonly StoredSample[], tx: Knex): Promise<void> {
	if (samples.length === 0) return;
	const rows = minutesOf(samples).map((m) => ({
		live_run_id: liveRunId,
		minute_ms: m.minuteMs,
		phase: m.phase,
		voltage_low_v: m.voltageLowV,
		voltage_high_v: m.voltageHighV,
		cell_low_v: m.cellLowV,
		cell_high_v: m.cellHighV,
		current_low_a: m.currentLowA,
		current_high_a: m.currentHighA
	}));
	const low = ['voltage_low_v', 'cell_low_v', 'current_low_a'].map((c) => [c, widened(c, 'least')]);
	const high = ['phase', 'voltage_high_v', 'cell_high_v', 'current_high_a'].map((c) => [c, widened(c, 'greatest')]);
	await tx('live_minutes')
		.insert(rows)
		.onConflict(['live_run_id', 'minute_ms'])
		.merge(Object.fromEntries([...low, ...high]));
}

/** A run as two points a minute, its lowest and its highest voltage: for drawing, in time order. Groups and temperature are left out. */
export async function readLiveMinutes(liveRunId: number): Promise<StoredSample[]> {
	const rows = await database()('live_minutes').where({ live_run_id: liveRunId }).orderBy('minute_ms');
	return rows.flatMap((r) => {
		const point = (afterMs: number, end: 'low' | 'high'): StoredSample => ({
			atMs: Number(r.minute_ms) + afterMs,
			phase: r.phase,
			voltageV: r[`voltage_${end}_v`],
			currentA: r[`current_${end}_a`],
			cellV: r[`cell_${end}_v`],
			temperatureC: null,
			groupsV: null
		});
		return [point(0, 'low'), point(MINUTE_MS / 2, 'high')];
	});
}

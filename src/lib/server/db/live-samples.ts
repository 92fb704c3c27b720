import type { Knex } from 'knex';
import { database } from './connection';
import { widenLiveMinutes } from './live-minutes';
import type { StoredSample } from './stored-sample';

const CHUNK = 1000;

/** Stores samples, many a statement. One that is there already (same moment) stays as it is. */
export async function insertLiveSamples(liveRunId: number, samples: readonly StoredSample[], tx: Knex): Promise<void> {
	for (let from = 0; from < samples.length; from += CHUNK)
		await tx('live_samples')
			.insert(
				samples.slice(from, from + CHUNK).map((s) => ({
					live_run_id: liveRunId,
					at_ms: s.atMs,
					phase: s.phase,
					voltage_v: s.voltageV,
					current_a: s.currentA,
					cell_v: s.cellV,
					temperature_c: s.temperatureC,
					groups_v: s.groupsV ? JSON.stringify(s.groupsV) : null
				}))
			)
			.onConflict(['live_run_id', 'at_ms'])
			.ignore();
	await widenLiveMinutes(liveRunId, samples, tx);
}

interface SampleRow {
	at_ms: number | string;
	phase: number;
	voltage_v: number | null;
	current_a: number;
	cell_v: number | null;
	temperature_c: number | null;
	groups_v: string | number[] | null;
}

export interface SampleRange {
	/** Only samples later than this, ms since 1970. */
	afterMs?: number;
	phase?: number;
	/** At most so many, the earliest. */
	most?: number;
}

/** Samples of a run in time order. */
export async function readLiveSamples(
	liveRunId: number,
	{ afterMs = 0, phase, most }: SampleRange = {},
	tx: Knex = database()
): Promise<StoredSample[]> {
	const query = tx('live_samples').where({ live_run_id: liveRunId }).where('at_ms', '>', afterMs).orderBy('at_ms');
	if (phase !== undefined) query.where({ phase });
	if (most !== undefined) query.limit(most);
	const rows = (await query) as SampleRow[];
	return rows.map((r) => ({
		atMs: Number(r.at_ms),
		phase: r.phase,
		voltageV: r.voltage_v,
		currentA: r.current_a,
		cellV: r.cell_v,
		temperatureC: r.temperature_c,
		groupsV: typeof r.groups_v === 'string' ? (JSON.parse(r.groups_v) as number[]) : r.groups_v
	}));
}

/** How many samples a run has. */
export async function countLiveSamples(liveRunId: number): Promise<number> {
	const [counted] = await database()('live_samples').where({ live_run_id: liveRunId }).count({ total: '*' });
	return Number(counted!.total);
}

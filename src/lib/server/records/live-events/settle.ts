import type { Knex } from 'knex';

/**
 * What asked for a person asks no more: it has been done, or the run has been taken up again.
 * @param kind only happenings of this kind; all of them when missing
 */
export async function settleLiveEvents(liveRunId: number, tx: Knex, kind?: string): Promise<void> {
	const unseen = tx('live_events').where({ live_run_id: liveRunId, needs_person: true }).whereNull('seen_at');
	if (kind) unseen.where({ kind });
	await unseen.update({ seen_at: tx.raw('UTC_TIMESTAMP(3)'), version: tx.raw('version + 1') });
}

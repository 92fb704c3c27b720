import { afterPause, type AfterPause, type PausedBalance } from '$lib/core/balance/charge';
import type { BankPicture, LoggedReading } from '$lib/core/picture';

/**
 * What has changed since somebody was last at the balance that goes on; null: none goes on, or nobody was long away.
 * @param stopped cells with an open stop
 */
export function pauseOf(
	{ balanceRun, methodRun, cells }: BankPicture,
	readings: readonly LoggedReading[],
	stopped: ReadonlySet<number>,
	nowIso = new Date().toISOString()
): AfterPause | null {
	const now = new Map(cells.map((c) => [c.id, c]));
	const paused = (own: readonly { id: number; label: string }[], lastAt: string, how: PausedBalance['how']) =>
		afterPause({
			lastAt,
			nowIso,
			how,
			cells: own.map(({ id, label }) => {
				const cell = now.get(id);
				return {
					label,
					isThere: cell !== undefined,
					hasStop: stopped.has(id),
					readAt: cell?.readings.restVoltage?.takenAt ?? null,
					testedAt: cell?.runs.at(-1)?.testedAt ?? null
				};
			}),
			newcomers: cells.filter((c) => c.groupId !== null && !own.some((o) => o.id === c.id)).map((c) => c.label)
		});
	const run = methodRun?.run;
	if (run && !run.endedAt && run.entries.length) {
		const how = run.method === 'bottom' ? 'emptied' : run.method === 'fast' ? 'series' : 'other';
		return paused(run.cells, run.entries.at(-1)!.doneAt, how);
	}
	if (balanceRun?.startedAt && !balanceRun.endedAt)
		return paused(balanceRun.cells, readings.at(-1)?.readAt ?? balanceRun.startedAt, 'parallel');
	return null;
}

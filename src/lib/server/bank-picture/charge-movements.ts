import { group } from 'd3-array';
import { countedAh, type ChargeMovement } from '$lib/core/foundation/charge-account';
import { movementsOfLive } from '$lib/core/foundation/live-run';
import type { ChargedRow } from '$lib/core/picture';
import { balanceCells, balanceReadings, balanceRuns, liveRuns, storageTests } from '../records';

/** Steps of a bottom balance that leave a cell at its bottom. */
const AT_BOTTOM = ['rested-2', 'again'];
export const isEmptied = (step: string | null): boolean => step !== null && AT_BOTTOM.includes(step);
export const emptiedAt = (ms: number): ChargeMovement => ({ fromMs: ms, untilMs: ms, end: 'empty', movedAh: null });

const iso = (ms: number) => new Date(ms).toISOString();

/** What live runs moved, with their times by the clock of their samples; one that has read nothing has no entry. */
export async function movementsOfLiveRuns(
	ids: readonly number[]
): Promise<Map<number, { runId: number | null; from: string; until: string | null; movements: ChargeMovement[] }>> {
	const all = ids.length ? await liveRuns.all({ id: [...ids] }) : [];
	return new Map(
		all.flatMap((run) => {
			const movements = movementsOfLive(run.phases, run.progress, run.state === 'ended');
			const [first, last] = [movements[0], movements.at(-1)];
			if (!first || !last) return [];
			return [
				[
					run.id,
					{
						runId: run.runId,
						movements,
						from: iso(first.fromMs),
						until: last.untilMs === null ? null : iso(last.untilMs)
					}
				] as const
			];
		})
	);
}

/** Cells that were charged full to stand, and again. */
export async function movementsOfStorageTests(ids: readonly number[]): Promise<Map<number, ChargeMovement[]>> {
	const all = ids.length ? await storageTests.all({ id: [...ids] }) : [];
	return new Map(
		all.map(({ id, chargedAt, refilledAt, refillAh }) => {
			const full = (at: string, ah: number | null): ChargeMovement => ({
				fromMs: Date.parse(at),
				untilMs: Date.parse(at),
				end: 'full',
				movedAh: ah === null ? null : countedAh(ah)
			});
			return [id, [full(chargedAt, null), ...(refilledAt ? [full(refilledAt, refillAh ?? null)] : [])]];
		})
	);
}

/** The logs of rows that were charged; one without a reading has no entry. */
export async function chargedRows(ids: readonly number[]): Promise<Map<number, ChargedRow>> {
	if (ids.length === 0) return new Map();
	const [rows, cells, readings] = await Promise.all([
		balanceRuns.all({ id: [...ids] }),
		balanceCells.all({ balanceRunId: [...ids] }),
		balanceReadings.all({ balanceRunId: [...ids] })
	]);
	const [cellsOf, readingsOf] = [group(cells, (c) => c.balanceRunId), group(readings, (r) => r.balanceRunId)];
	return new Map(
		rows.flatMap(({ id, setV, supplyA, leadOhm, startedAt }) => {
			const own = readingsOf.get(id);
			if (!own || startedAt === null) return [];
			const cellIds = (cellsOf.get(id) ?? []).map((c) => c.cellId);
			return [[id, { cellIds, setV, supplyA, leadOhm, startedAt, readings: own }] as const];
		})
	);
}

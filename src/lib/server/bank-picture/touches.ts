import { group } from 'd3-array';
import type { Touch } from '$lib/core/picture';
import { fromColumns } from '../db/case';
import { database } from '../db/connection';
import { chargedRows, movementsOfLiveRuns, movementsOfStorageTests, emptiedAt, isEmptied } from './charge-movements';

/** What changes a cell's charge, and when: cell, from, until, row, at work, and the record that tells what it moved. */
const TOUCHES = `
	select cell_id, tested_at as \`from\`, tested_at as until, null as balance_run_id, 0 as at_work, 'run' as by_kind, id as by_id, null as step
		from runs where deleted_at is null and cell_id in (:ids)
	union all
	select n.cell_id, n.started_at, coalesce(r.tested_at, if(n.run_id is null, null, n.started_at)), null, 0, 'notes', n.id, null
		from noted_runs n left join runs r on r.id = n.run_id where n.deleted_at is null and n.cell_id in (:ids)
	union all
	select cell_id, charged_at, charged_at, null, 0, 'stood-full', id, null
		from storage_tests where deleted_at is null and cell_id in (:ids)
	union all
	select cell_id, refilled_at, refilled_at, null, 0, 'stood-full', id, null
		from storage_tests where deleted_at is null and refilled_at is not null and cell_id in (:ids)
	union all
	-- A rehearsal reads by the clock of its bench, and follows by ours: its times are those of its samples.
	select coalesce(r.cell_id, l.cell_id), l.started_at, l.ended_at, null, 0, if(k.rehearsal, 'rehearsed', 'live'), l.id, null
		from live_runs l join banks k on k.id = l.bank_id left join runs r on r.id = l.run_id and r.deleted_at is null
		where l.deleted_at is null and l.kind <> 'watch' and l.balance_run_id is null and l.started_at is not null and coalesce(r.cell_id, l.cell_id) in (:ids)
	union all
	select s.cell_id, r.started_at, r.ended_at, r.id, 0, 'row', r.id, null
		from balance_cells s join balance_runs r on r.id = s.balance_run_id
		where s.deleted_at is null and r.deleted_at is null and r.started_at is not null and s.cell_id in (:ids)
	union all
	select cell_id, done_at, done_at, null, 0, 'step', id, step
		from method_entries where deleted_at is null and cell_id in (:ids)
	union all
	-- A step of a whole string is one of each cell in it.
	select p.cell_id, e.done_at, e.done_at, null, 0, 'step', e.id, e.step
		from placements p join \`groups\` g on g.id = p.group_id join batteries b on b.id = g.battery_id
		join method_runs m on m.bank_id = b.bank_id and m.deleted_at is null
		join method_entries e on e.method_run_id = m.id and e.deleted_at is null and e.cell_id is null
		where p.deleted_at is null and p.cell_id in (:ids) and e.done_at >= p.placed_at
			and (p.removed_at is null or e.done_at < p.removed_at)
	union all
	-- A cell that came later than its bank was put to work is at work from when it was placed.
	select p.cell_id, if(d.received_on > k.in_service_on, p.placed_at, k.in_service_on), p.removed_at, null, 1, 'work', p.id, null
		from placements p join cells c on c.id = p.cell_id join deliveries d on d.id = c.delivery_id
		join \`groups\` g on g.id = p.group_id join batteries b on b.id = g.battery_id join banks k on k.id = b.bank_id
		where p.deleted_at is null and k.in_service_on is not null and p.cell_id in (:ids)
			and (p.removed_at is null or p.removed_at > k.in_service_on)
	union all
	-- Checked or tested as a whole it was at work, whether or not anybody said since when: from the first time to the last.
	select p.cell_id, min(s.checked_at), max(s.checked_at), null, 1, 'work', min(s.id), null
		from placements p join \`groups\` g on g.id = p.group_id join batteries b on b.id = g.battery_id
		join service_checks s on s.bank_id = b.bank_id and s.deleted_at is null
		where p.deleted_at is null and p.cell_id in (:ids) and s.checked_at >= p.placed_at
			and (p.removed_at is null or s.checked_at < p.removed_at)
		group by p.cell_id
	union all
	select p.cell_id, min(t.tested_at), max(t.tested_at), null, 1, 'work', min(t.id), null
		from placements p join \`groups\` g on g.id = p.group_id join batteries b on b.id = g.battery_id
		join capacity_tests t on t.bank_id = b.bank_id and t.deleted_at is null
		where p.deleted_at is null and p.cell_id in (:ids) and t.tested_at >= p.placed_at
			and (p.removed_at is null or t.tested_at < p.removed_at)
		group by p.cell_id
	order by 2`;

interface TouchRow extends Pick<Touch, 'from' | 'until' | 'balanceRunId'> {
	cellId: number;
	atWork: number;
	byKind: 'run' | 'notes' | 'stood-full' | 'live' | 'rehearsed' | 'row' | 'step' | 'work';
	byId: number;
	step: string | null;
}

/** What changed the charge of each cell, first first, and what it moved; a cell that is as it came has no entry. */
export async function touchesOf(cellIds: readonly number[]): Promise<Map<number, Touch[]>> {
	if (cellIds.length === 0) return new Map();
	const [rows] = (await database().raw(TOUCHES, { ids: [...cellIds] } as never)) as [Record<string, unknown>[]];
	const all = rows.map((row) => fromColumns<TouchRow>(row, []));
	const idsOf = (...kinds: TouchRow['byKind'][]) => [
		...new Set(all.filter((t) => kinds.includes(t.byKind)).map((t) => t.byId))
	];
	const [byLive, byStored, byRow] = await Promise.all([
		movementsOfLiveRuns(idsOf('live', 'rehearsed')),
		movementsOfStorageTests(idsOf('stood-full')),
		chargedRows(idsOf('row'))
	]);
	const followed = new Set([...byLive.values()].flatMap((l) => l.runId ?? []));
	const told = all.flatMap((t): { cellId: number; touch: Touch }[] => {
		const base = { from: t.from, until: t.until, balanceRunId: t.balanceRunId, atWork: Boolean(t.atWork) };
		const live = byLive.get(t.byId);
		const of = (touch: Touch) => [{ cellId: t.cellId, touch }];
		switch (t.byKind) {
			case 'run':
				// What a live run became is told by that, phase by phase.
				return followed.has(t.byId) ? [] : of(base);
			case 'live':
				return of({ ...base, movements: live?.movements });
			case 'rehearsed':
				return live ? of({ ...base, from: live.from, until: live.until, movements: live.movements }) : [];
			case 'stood-full':
				return of({ ...base, movements: byStored.get(t.byId)?.filter((d) => d.fromMs === Date.parse(t.from)) });
			case 'row':
				return of({ ...base, row: byRow.get(t.byId) });
			case 'step':
				return of({ ...base, movements: isEmptied(t.step) ? [emptiedAt(Date.parse(t.from))] : undefined });
			default:
				return of(base);
		}
	});
	const sorted = told.sort((a, b) => Date.parse(a.touch.from) - Date.parse(b.touch.from));
	return new Map([...group(sorted, (t) => t.cellId)].map(([cellId, own]) => [cellId, own.map((t) => t.touch)]));
}

import type { PictureReading } from '$lib/core/stages';
import { fromColumns } from '../db/case';
import { database } from '../db/connection';

/** What changes a cell's charge, and when: it was tested, charged in a row, taken through a step, put to work. */
const TOUCHES = [
	'select cell_id, tested_at as at from runs where deleted_at is null and cell_id in (:ids)',
	'select cell_id, started_at from noted_runs where deleted_at is null and cell_id in (:ids)',
	'select cell_id, charged_at from storage_tests where deleted_at is null and cell_id in (:ids)',
	`select cell_id, started_at from live_runs
		where deleted_at is null and kind <> 'watch' and started_at is not null and cell_id in (:ids)`,
	`select s.cell_id, r.started_at from balance_cells s join balance_runs r on r.id = s.balance_run_id
		where s.deleted_at is null and r.deleted_at is null and r.started_at is not null and s.cell_id in (:ids)`,
	'select cell_id, done_at from method_entries where deleted_at is null and cell_id in (:ids)',
	// A step of a whole string is one of each cell in it.
	`select p.cell_id, e.done_at from placements p join \`groups\` g on g.id = p.group_id
		join batteries b on b.id = g.battery_id join method_runs m on m.bank_id = b.bank_id and m.deleted_at is null
		join method_entries e on e.method_run_id = m.id and e.deleted_at is null and e.cell_id is null
		where p.deleted_at is null and p.cell_id in (:ids) and e.done_at >= p.placed_at
			and (p.removed_at is null or e.done_at < p.removed_at)`,
	// A cell that came later than its bank was put to work is touched when it is placed.
	`select p.cell_id, if(d.received_on > k.in_service_on, p.placed_at, k.in_service_on)
		from placements p join cells c on c.id = p.cell_id join deliveries d on d.id = c.delivery_id
		join \`groups\` g on g.id = p.group_id join batteries b on b.id = g.battery_id join banks k on k.id = b.bank_id
		where p.deleted_at is null and k.in_service_on is not null and p.cell_id in (:ids)
			and (p.removed_at is null or p.removed_at > k.in_service_on)`
];

const ARRIVAL = `
	with touched as (select cell_id, min(at) as at from (${TOUCHES.join(' union all ')}) t group by cell_id)
	select c.id as own, t.at as touched_at,
		r.id, r.version, r.value, r.sd, r.raw_text, r.rest_s, r.taken_at, r.taken_doubt_s, r.meter, r.probe
	from cells c
	left join touched t on t.cell_id = c.id
	left join readings r on r.id = (
		select l.id from readings l force index (latest)
		where l.cell_id = c.id and l.quantity = 'restVoltage' and l.state = 'loose' and l.deleted_at is null
			and l.taken_at <= coalesce(t.at, '9999-12-31')
		order by l.taken_at desc, l.id desc limit 1
	)
	where c.id in (:ids)`;

/** When a cell's charge was first changed, null: never; and the last rest voltage before, null: none was read. */
export interface Arrival {
	touchedAt: string | null;
	read: PictureReading | null;
}

/** How each cell came: every cell asked for has an entry. */
export async function arrivalReadings(cellIds: readonly number[]): Promise<Map<number, Arrival>> {
	if (cellIds.length === 0) return new Map();
	const [rows] = (await database().raw(ARRIVAL, { ids: [...cellIds] } as never)) as [Record<string, unknown>[]];
	return new Map(
		rows.map((row) => {
			const { own, touchedAt, ...reading } = fromColumns<PictureReading & { own: number; touchedAt: string | null }>(
				row,
				[]
			);
			return [own, { touchedAt, read: reading.id === null ? null : reading }];
		})
	);
}

import type { PictureReading } from '$lib/core/stages';
import { fromColumns } from '../db/case';
import { database } from '../db/connection';

/**
 * The last rest voltage that each cell read by itself until a moment; a cell that was not read until then has no entry.
 * @param until cell id → moment, null: until now
 */
export async function restBefore(until: ReadonlyMap<number, string | null>): Promise<Map<number, PictureReading>> {
	if (until.size === 0) return new Map();
	const asked = [...until].map(() => 'select ? as cell_id, cast(? as datetime(3)) as at').join(' union all ');
	const [rows] = (await database().raw(
		`select q.cell_id, r.id, r.version, r.value, r.sd, r.raw_text, r.rest_s, r.taken_at, r.taken_doubt_s, r.meter, r.probe
		from (${asked}) q
		join readings r on r.id = (
			select l.id from readings l force index (latest)
			where l.cell_id = q.cell_id and l.quantity = 'restVoltage' and l.state = 'loose' and l.deleted_at is null
				and l.taken_at <= coalesce(q.at, '9999-12-31')
			order by l.taken_at desc, l.id desc limit 1
		)`,
		[...until].flatMap(([cellId, at]) => [cellId, at === null ? null : new Date(at)]) as never
	)) as [Record<string, unknown>[]];
	return new Map(
		rows.map((row) => {
			const { cellId, ...reading } = fromColumns<PictureReading & { cellId: number }>(row, []);
			return [cellId, reading];
		})
	);
}

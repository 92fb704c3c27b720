import { group } from 'd3-array';
import { database } from '../db/connection';

/** Other cells of the whole stock that bear the same code, by cell. */
export async function codeTwins(
	cells: readonly { id: number; code: string | null }[]
): Promise<Map<number, { id: number; label: string }[]>> {
	const codes = [...new Set(cells.flatMap((c) => (c.code ? [c.code] : [])))];
	if (codes.length === 0) return new Map();
	const rows: { id: number; label: string; code: string }[] = await database()('cells')
		.join('deliveries', 'deliveries.id', 'cells.delivery_id')
		.whereIn('cells.code', codes)
		.whereNull('cells.deleted_at')
		.whereNull('deliveries.deleted_at')
		.select('cells.id', 'cells.label', 'cells.code');
	const byCode = group(rows, (r) => r.code);
	return new Map(
		cells.flatMap(({ id, code }) => {
			const others = code ? (byCode.get(code) ?? []).filter((r) => r.id !== id) : [];
			return others.length ? [[id, others.map(({ id: other, label }) => ({ id: other, label }))] as const] : [];
		})
	);
}

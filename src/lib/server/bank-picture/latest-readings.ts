import { QUANTITIES, type Quantity, type ReadState } from '$lib/core/foundation/reading';
import type { PictureReading } from '$lib/core/picture';
import { fromColumns } from '../db/case';
import { database } from '../db/connection';
import type { Reading } from '../records';

const EACH_QUANTITY = QUANTITIES.map(() => 'select ? as quantity').join(' union all ');

/** One step into an index a cell and quantity: the cost does not grow with how often a cell was read. */
const LATEST = `
	select r.id, r.version, r.cell_id, r.quantity, r.value, r.sd, r.raw_text, r.rest_s, r.taken_at, r.taken_doubt_s, r.meter, r.probe
	from cells c
	cross join (${EACH_QUANTITY}) q
	join readings r on r.id = (
		select l.id from readings l force index (latest)
		where l.cell_id = c.id and l.quantity = q.quantity and l.state = ? and l.deleted_at is null
		order by l.taken_at desc, l.id desc limit 1
	)
	where c.id in (?)`;

/**
 * The latest reading of each quantity of each cell; a cell that was never read has no entry.
 * @param state how it was read: loose cells alone tell of themselves
 */
export async function latestReadings(
	cellIds: readonly number[],
	state: ReadState = 'loose'
): Promise<Map<number, Partial<Record<Quantity, PictureReading>>>> {
	if (cellIds.length === 0) return new Map();
	const [rows] = (await database().raw(LATEST, [...QUANTITIES, state, [...cellIds]] as never)) as [
		Record<string, unknown>[]
	];
	const latest = new Map<number, Partial<Record<Quantity, PictureReading>>>();
	for (const row of rows) {
		const { cellId, quantity, ...reading } = fromColumns<Reading>(row, []);
		const own = latest.get(cellId) ?? {};
		own[quantity] = reading;
		latest.set(cellId, own);
	}
	return latest;
}

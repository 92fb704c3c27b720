import type { Knex } from 'knex';
import { database } from '../db/connection';

/** Cells that sit in no bank and are considered for no other, of the kind of the bank their delivery was ordered for. Those of rehearsals are none. */
const LOOSE = `
	select b.cell_type_id as id, count(*) as cells
	from cells c
	join deliveries d on d.id = c.delivery_id and d.deleted_at is null and d.rehearsal = 0
	join banks b on b.id = d.bank_id and b.cell_type_id is not null
	left join placements p on p.open_cell_id = c.id
	where c.deleted_at is null and p.id is null
		and not exists (
			select 1 from candidates k where k.cell_id = c.id and k.deleted_at is null and k.bank_id <> :bank
		)
	group by b.cell_type_id`;

/** How many cells of each cell type a bank could have that are there already. */
export async function looseByCellType(bankId: number, db: Knex = database()): Promise<Record<number, number>> {
	const [rows] = (await db.raw(LOOSE, { bank: bankId })) as [{ id: number; cells: number | string }[]];
	return Object.fromEntries(rows.map((r) => [r.id, Number(r.cells)]));
}

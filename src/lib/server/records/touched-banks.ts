import type { Knex } from 'knex';

const IN_PLAY = `
	select bank_id from candidates where cell_id in (?) and deleted_at is null
	union select bank_id from placed where cell_id in (?) and removed_at is null and deleted_at is null`;

/** Banks that use or consider some cells, each once. */
export async function banksOfCells(cellIds: readonly number[], tx: Knex): Promise<number[]> {
	if (cellIds.length === 0) return [];
	const [rows] = (await tx.raw(IN_PLAY, [[...cellIds], [...cellIds]] as never)) as [{ bank_id: number }[]];
	return rows.map((r) => r.bank_id);
}

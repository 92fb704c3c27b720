import type { Knex } from 'knex';
import { candidates } from '../candidates/row';
import { cells } from '../cells/row';
import type { NewDeliveryInput } from './input';
import type { Delivery } from './row';

type Crate = Pick<NewDeliveryInput, 'cellCount' | 'labelPrefix' | 'batch'>;

/** Cells that bear the prefix already: among a bank's own, or in the stock when it is for none. */
async function taken(delivery: Delivery, prefix: string, tx: Knex): Promise<number> {
	const [counted] = await tx('cells')
		.join('deliveries', 'deliveries.id', 'cells.delivery_id')
		.where({ 'deliveries.bank_id': delivery.bankId, 'deliveries.rehearsal': delivery.rehearsal })
		.whereNull('cells.deleted_at')
		.whereNull('deliveries.deleted_at')
		.where('cells.label', 'like', `${prefix.replace(/[\\%_]/g, '\\$&')}-%`)
		.count({ n: '*' });
	return Number(counted!.n);
}

/** Lays a delivery's cells on its tray, labelled prefix-01 … in order; candidates of the bank it came for. */
export async function unpack(delivery: Delivery, { cellCount, labelPrefix, batch }: Crate, tx: Knex): Promise<void> {
	const from = await taken(delivery, labelPrefix, tx);
	const width = Math.max(2, String(from + cellCount).length);
	await cells.insertMany(
		Array.from({ length: cellCount }, (_, i) => ({
			deliveryId: delivery.id,
			label: `${labelPrefix}-${String(from + i + 1).padStart(width, '0')}`,
			position: i + 1,
			batch: batch ?? null
		})),
		tx
	);
	await considerAll(delivery, tx);
}

/** Every cell of a delivery becomes a candidate of the bank it is for, where it is not one yet. */
export async function considerAll(delivery: Delivery, tx: Knex): Promise<void> {
	if (delivery.bankId === null) return;
	const { bankId } = delivery;
	const known = new Set((await candidates.all({ bankId }, tx)).map((c) => c.cellId));
	const own = await cells.all({ deliveryId: delivery.id }, tx);
	await candidates.insertMany(
		own.filter((c) => !known.has(c.id)).map((c) => ({ bankId, cellId: c.id })),
		tx
	);
}

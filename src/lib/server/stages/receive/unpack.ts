import type { Knex } from 'knex';
import { literally } from '../../db/like';
import { cellsPerModule, makeOf, moduleCellLabels } from '$lib/core/picture';
import { candidates } from '../../records/candidates/row';
import { cells } from '../../records/cells/row';
import type { NewDeliveryInput } from '../../records/deliveries/input';
import type { Delivery } from '../../records/deliveries/row';

type Crate = Pick<NewDeliveryInput, 'cellCount' | 'labelPrefix' | 'batch'>;

/** Labels of other cells with this beginning: of a bank's own, or of the stock. */
const labelsLike = (delivery: Delivery, pattern: string, tx: Knex) =>
	tx('cells')
		.join('deliveries', 'deliveries.id', 'cells.delivery_id')
		.where({ 'deliveries.bank_id': delivery.bankId, 'deliveries.rehearsal': delivery.rehearsal })
		.whereNull('cells.deleted_at')
		.whereNull('deliveries.deleted_at')
		.where('cells.label', 'like', pattern);

/** Cells that bear the prefix already: among a bank's own, or in the stock when it is for none. */
async function taken(delivery: Delivery, prefix: string, tx: Knex): Promise<number> {
	const [counted] = await labelsLike(delivery, `${literally(prefix)}-%`, tx).count({ n: '*' });
	return Number(counted!.n);
}

/** The last module that bears the prefix already. */
async function lastModule(delivery: Delivery, prefix: string, tx: Knex): Promise<number> {
	const labels = (await labelsLike(delivery, `${literally(prefix)}%-%`, tx).pluck('cells.label')) as string[];
	const numbers = labels.map((label) => /^\d+(?=-)/.exec(label.slice(prefix.length))?.[0]);
	return Math.max(0, ...numbers.map((n) => Number(n ?? 0)));
}

async function labelsOf(delivery: Delivery, { cellCount, labelPrefix }: Crate, tx: Knex): Promise<string[]> {
	const make = makeOf(delivery);
	if (make) {
		const from = await lastModule(delivery, labelPrefix, tx);
		const count = cellCount / cellsPerModule(make);
		return Array.from({ length: count }, (_, m) => moduleCellLabels(labelPrefix, from + m + 1, make)).flat();
	}
	const from = await taken(delivery, labelPrefix, tx);
	const width = Math.max(2, String(from + cellCount).length);
	return Array.from({ length: cellCount }, (_, i) => `${labelPrefix}-${String(from + i + 1).padStart(width, '0')}`);
}

/** Lays a delivery's cells on its tray, labelled prefix-01 … in order, or by their modules; candidates of the bank it came for. */
export async function unpack(delivery: Delivery, crate: Crate, tx: Knex): Promise<void> {
	const labels = await labelsOf(delivery, crate, tx);
	await cells.insertMany(
		labels.map((label, i) => ({ deliveryId: delivery.id, label, position: i + 1, batch: crate.batch ?? null })),
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

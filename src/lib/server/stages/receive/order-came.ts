import type { Knex } from 'knex';
import { InputError } from '$lib/input/validate';
import type { Delivery } from '../../records/deliveries/row';
import { orders, type Order } from '../../records/orders/row';

const TERMS = [
	...['supplier', 'notes', 'orderedOn', 'promisedOn', 'cellPrice', 'shipping', 'promisedGrade', 'promisedTerminals'],
	...['promisedAh', 'promisedClause', 'promisedResistanceMohm', 'gradeCapacityAh', 'gradeResistanceMohm'],
	...['promisedProducedOn', 'claimDays', 'used']
] as const;

/** An order of this bank that has not come yet. @throws InputError */
async function openOrder(orderId: number, bankId: number | null | undefined, tx: Knex): Promise<Order> {
	const order = await orders.get(orderId, tx);
	if (order.bankId !== bankId)
		throw new InputError([{ path: 'orderId', message: 'orderId is not an order of the bank of this delivery' }]);
	if (order.deliveryId !== null)
		throw new InputError([{ path: 'orderId', message: `${order.name} has come already: it is another delivery` }]);
	return order;
}

/** The fields of a delivery with what its order says of it, where nothing else was sent. @throws InputError */
export async function withTermsOfOrder<Fields extends { bankId?: number | null }>(
	fields: Fields,
	orderId: number | null | undefined,
	tx: Knex
): Promise<Fields> {
	if (!orderId) return fields;
	const order = (await openOrder(orderId, fields.bankId, tx)) as unknown as Record<string, unknown>;
	const sent = fields as Record<string, unknown>;
	return { ...fields, ...Object.fromEntries(TERMS.map((key) => [key, sent[key] ?? order[key] ?? null])) };
}

/** An order is over once its delivery is unpacked. @throws InputError, ServiceError 409 when another unpacked it at once */
export async function closeOrder(orderId: number | null | undefined, delivery: Delivery, tx: Knex): Promise<void> {
	if (!orderId) return;
	const { version } = await openOrder(orderId, delivery.bankId, tx);
	await orders.update(orderId, version, { deliveryId: delivery.id }, tx);
}

/** A delivery that was unpacked by mistake is removed: its order is under way again. */
export async function reopenOrder({ id: deliveryId }: Delivery, tx: Knex): Promise<void> {
	for (const { id, version } of await orders.all({ deliveryId }, tx))
		await orders.update(id, version, { deliveryId: null }, tx);
}

import type { Knex } from 'knex';
import { afterAll, beforeAll, describe, expect, it } from 'vitest';
import { bankVerdicts } from '$lib/server/judgements/store';
import { deliveries, orders, type Bank, type Delivery, type Order } from '$lib/server/records';
import { ordersOf } from '$lib/server/stages/receive/orders';
import { loadBankPicture } from '$lib/server/bank-picture/load';
import { exportText, importText } from '../support/bank-file';
import { freshDatabase } from '../support/database';
import { make, remove } from '../support/records';

let pool: Knex;
beforeAll(async () => {
	pool = await freshDatabase('orders');
});
afterAll(() => pool.destroy());

async function bankOf(name: string): Promise<Bank> {
	const type = await make<{ id: number }>('cell-types', { name: `${name} cell`, chemistry: 'LFP', ratedAh: 280 });
	return make<Bank>('banks', {
		name,
		bankUse: 'van',
		chemistry: 'LFP',
		series: 4,
		parallel: 1,
		cellTypeId: type.id
	});
}
const terms = {
	name: 'Four cells',
	cellCount: 4,
	supplier: 'Northfield',
	orderedOn: '2026-10-01',
	promisedOn: '2026-10-20',
	cellPrice: 88,
	promisedAh: 280,
	promisedClause: 'minimum',
	claimDays: 10
};
const unpacked = (bankId: number, more: object = {}) =>
	make<Delivery>('deliveries', { bankId, name: 'Crate', receivedOn: '2026-10-22', cellCount: 4, ...more });

describe('an order', () => {
	it('is written down before anything is unpacked, and its delivery takes over what it says', async () => {
		const bank = await bankOf('Heron');
		const order = await make<Order>('orders', { ...terms, bankId: bank.id });
		const delivery = await unpacked(bank.id, { orderId: order.id, supplier: 'Northfield Cells' });
		expect(await deliveries.get(delivery.id)).toMatchObject({
			supplier: 'Northfield Cells',
			cellPrice: 88,
			promisedAh: 280,
			promisedClause: 'minimum',
			claimDays: 10,
			promisedOn: '2026-10-20T00:00:00.000Z'
		});
		expect(await orders.get(order.id)).toMatchObject({ deliveryId: delivery.id });
		// It came once, and only to its own bank.
		await expect(unpacked(bank.id, { orderId: order.id })).rejects.toMatchObject({ faults: [{ path: 'orderId' }] });
		const other = await bankOf('Egret');
		const theirs = await make<Order>('orders', { ...terms, bankId: other.id });
		await expect(unpacked(bank.id, { orderId: theirs.id })).rejects.toMatchObject({ faults: [{ path: 'orderId' }] });
	});
	it('is under way again when its delivery is removed', async () => {
		const bank = await bankOf('Again');
		const order = await make<Order>('orders', { ...terms, bankId: bank.id });
		const delivery = await unpacked(bank.id, { orderId: order.id });
		await remove('deliveries', delivery.id, delivery.version);
		expect(await orders.get(order.id)).toMatchObject({ deliveryId: null });
	});
	it('that is overdue is told, by the day it was promised for', async () => {
		const bank = await bankOf('Late');
		const order = await make<Order>('orders', { ...terms, bankId: bank.id, promisedOn: '2026-01-20' });
		const told = (await bankVerdicts(bank.id, 'plan')).find((v) => v.code === 'order-overdue');
		expect(told).toMatchObject({ warmth: 'look', facts: { dueOn: '2026-01-20' } });
		await unpacked(bank.id, { orderId: order.id });
		expect((await bankVerdicts(bank.id, 'plan')).map((v) => v.code)).not.toContain('order-overdue');
	});
	it('begins with what the plan knows', async () => {
		const bank = await bankOf('Planned');
		await make('plans', { bankId: bank.id, orderOn: '2026-11-01', cellLeadDays: 30, cellPrice: 91 });
		const { plannedOrder, orders: open } = await ordersOf(await loadBankPicture(bank.id));
		expect(open).toEqual([]);
		expect(plannedOrder).toMatchObject({ cellCount: 4, cellPrice: 91, promisedAh: 280 });
		expect(plannedOrder.orderedOn).toMatch(/^2026-11-01/);
		expect(plannedOrder.promisedOn).toMatch(/^2026-12-01/);
	});
	it('goes along with its bank', async () => {
		const bank = await bankOf('Travels');
		const order = await make<Order>('orders', { ...terms, bankId: bank.id });
		await unpacked(bank.id, { orderId: order.id });
		await make<Order>('orders', { ...terms, name: 'Two spares', bankId: bank.id });
		const brought = await importText(await exportText(bank.id));
		const there = await orders.all({ bankId: brought.id });
		expect(there.map((o) => [o.name, o.deliveryId !== null])).toEqual([
			['Four cells', true],
			['Two spares', false]
		]);
	});
});

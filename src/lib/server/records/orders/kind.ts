import { defineKind } from '../kind';
import { OrderInput, StoredOrderInput } from './input';
import { orders, type Order } from './row';

export const orderKind = defineKind<Order>({
	name: 'orders',
	repository: orders,
	called: ({ name }) => name,
	createInput: OrderInput,
	changeInput: OrderInput,
	storedInput: StoredOrderInput,
	parents: { bankId: 'banks', deliveryId: 'deliveries?' },
	filters: ['bankId'],
	columns: [
		...['id', 'name', 'supplier', 'orderedOn', 'promisedOn', 'cellCount', 'cellPrice', 'shipping', 'promisedAh'],
		...['promisedClause', 'promisedGrade', 'deliveryId', 'notes']
	],
	archivedWith: 'bankId',
	banksOf: async ({ bankId }) => [bankId]
});

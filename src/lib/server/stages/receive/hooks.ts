import { ServiceError } from '../../errors';
import { candidates, deliveries, placements, type Cell, type Delivery } from '../../records';
import type { NewDeliveryInput } from '../../records/deliveries/input';
import { defineHooks, type HooksByKind } from '../../records/hooks';
import { checkModules } from './modules-changed';
import { closeOrder, reopenOrder, withTermsOfOrder } from './order-came';
import { considerAll, unpack } from './unpack';

/** A delivery is unpacked into cells, closes its order, and its cells are considered for its bank. */
export const RECEIVE_HOOKS: HooksByKind = {
	deliveries: defineHooks<Delivery>({
		prepare: async ({ cellCount: _, labelPrefix: __, batch: ___, orderId, ...fields }: NewDeliveryInput, tx) =>
			withTermsOfOrder(fields, orderId, tx),
		check: (delivery, tx, before) => checkModules(delivery, before, tx),
		async after(delivery, tx, deed, fields) {
			if (deed === 'create') {
				const made = fields as unknown as NewDeliveryInput;
				await unpack(delivery, made, tx);
				await closeOrder(made.orderId, delivery, tx);
			} else if (deed === 'remove') await reopenOrder(delivery, tx);
			else if (deed === 'change') await considerAll(delivery, tx);
		},
		async checkRemoval({ id }, tx) {
			const placed = await tx('placed')
				.join('cells', 'cells.id', 'placed.cell_id')
				.where({ 'cells.delivery_id': id, 'placed.removed_at': null, 'placed.deleted_at': null })
				.first('cells.label');
			if (placed)
				throw new ServiceError(
					409,
					'in-use',
					`${placed.label} of this delivery is built into a battery. Take its cells out first.`
				);
		}
	}),
	cells: defineHooks<Cell>({
		async after(cell, tx, deed) {
			if (deed !== 'create') return;
			// One more cell found in a crate is considered where its crate is.
			const { bankId } = await deliveries.get(cell.deliveryId, tx);
			if (bankId !== null) await candidates.insert({ bankId, cellId: cell.id }, tx);
		},
		async checkRemoval({ id, label }, tx) {
			const [place] = await placements.all({ cellId: id, removedAt: null }, tx);
			if (place)
				throw new ServiceError(
					409,
					'in-use',
					`${label} is in battery ${place.battery}, group ${place.position}. Take it out there first.`
				);
		}
	})
};

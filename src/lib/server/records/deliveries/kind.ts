import { InputError } from '$lib/input/validate';
import { ServiceError } from '../../errors';
import { banks } from '../banks/row';
import { defineKind } from '../kind';
import { refuseRemovalUnderRun } from '../live-runs/under-run';
import { closeOrder, reopenOrder, withTermsOfOrder } from '../orders/came';
import { banksOfCells } from '../touched-banks';
import { DeliveryInput, NewDeliveryInput, StoredDeliveryInput } from './input';
import { deliveries, type Delivery } from './row';
import { checkModules, refuseHalfMade, refuseOddCells } from './made-of-modules';
import { considerAll, unpack } from './unpack';

export const deliveryKind = defineKind<Delivery>({
	name: 'deliveries',
	repository: deliveries,
	called: ({ name }) => name,
	createInput: NewDeliveryInput,
	changeInput: DeliveryInput,
	storedInput: StoredDeliveryInput,
	parents: { bankId: 'banks?' },
	filters: ['bankId'],
	columns: [
		...['id', 'name', 'receivedOn', 'supplier', 'notes', 'orderedOn', 'promisedOn', 'cellPrice', 'shipping'],
		...['promisedGrade', 'promisedTerminals', 'promisedAh', 'promisedClause', 'promisedResistanceMohm'],
		...['gradeCapacityAh', 'gradeResistanceMohm', 'promisedProducedOn', 'claimDays', 'used'],
		...['moduleSeries', 'moduleParallel']
	],
	archivedWith: 'bankId',
	async prepare({ cellCount, labelPrefix: _, batch: __, orderId, ...fields }: NewDeliveryInput, tx) {
		// Two that arrive at once count their cells one after the other.
		const bank = fields.bankId ? await banks.hold(fields.bankId, tx, 'update') : null;
		refuseOddCells(fields, cellCount);
		return { ...(await withTermsOfOrder(fields, orderId, tx)), rehearsal: bank?.rehearsal ?? false };
	},
	async derive(changes, current) {
		refuseHalfMade({ ...current, ...changes });
		return {};
	},
	async check(delivery, tx, before) {
		await checkModules(delivery, before, tx);
		if (delivery.bankId === null) return;
		if ((await banks.get(delivery.bankId, tx)).rehearsal !== delivery.rehearsal)
			throw new InputError([
				{ path: 'bankId', message: 'A rehearsal’s cells are simulated: they and real cells are never mixed.' }
			]);
	},
	async after(delivery, tx, deed, fields) {
		if (deed === 'create') {
			const made = fields as unknown as NewDeliveryInput;
			await unpack(delivery, made, tx);
			await closeOrder(made.orderId, delivery, tx);
		} else if (deed === 'remove') await reopenOrder(delivery, tx);
		else if (deed === 'change') await considerAll(delivery, tx);
	},
	async checkRemoval({ id }, tx) {
		await refuseRemovalUnderRun('deliveries', id);
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
	},
	async banksOf({ id, bankId }, tx) {
		const own = await tx('cells').where({ delivery_id: id }).pluck('id');
		return [...(bankId === null ? [] : [bankId]), ...(await banksOfCells(own, tx))];
	}
});

import { InputError } from '$lib/input/validate';
import { banks } from '../banks/row';
import { defineKind } from '../kind';
import { banksOfCells } from '../touched-banks';
import { DeliveryInput, NewDeliveryInput, StoredDeliveryInput } from './input';
import { deliveries, type Delivery } from './row';
import { refuseHalfMade, refuseOddCells } from './made-of-modules';

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
	async prepare({ cellCount, labelPrefix: _, batch: __, orderId: ___, ...fields }: NewDeliveryInput, tx) {
		// Two that arrive at once count their cells one after the other.
		const bank = fields.bankId ? await banks.hold(fields.bankId, tx, 'update') : null;
		refuseOddCells(fields, cellCount);
		return { ...fields, rehearsal: bank?.rehearsal ?? false };
	},
	async derive(changes, current) {
		refuseHalfMade({ ...current, ...changes });
		return {};
	},
	async check(delivery, tx) {
		if (delivery.bankId === null) return;
		if ((await banks.get(delivery.bankId, tx)).rehearsal !== delivery.rehearsal)
			throw new InputError([
				{ path: 'bankId', message: 'A rehearsal’s cells are simulated: they and real cells are never mixed.' }
			]);
	},
	async banksOf({ id, bankId }, tx) {
		const own = await tx('cells').where({ delivery_id: id }).pluck('id');
		return [...(bankId === null ? [] : [bankId]), ...(await banksOfCells(own, tx))];
	}
});

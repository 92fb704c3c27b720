import type { Knex } from 'knex';
import { InputError } from '$lib/input/validate';
import { banks } from './banks/row';
import { cells } from './cells/row';
import { deliveries } from './deliveries/row';

/**
 * Simulated and real cells are never built together. The marks of bank and delivery never change, and what is named here is
 * held, so that it still stands when the transaction ends. @throws InputError by the path of the cell
 */
export async function refuseMixing(cellId: number, bankId: number, tx: Knex): Promise<void> {
	const cell = await cells.hold(cellId, tx, 'share');
	const delivery = await deliveries.find(cell.deliveryId, tx);
	if (!delivery || delivery.deletedAt !== null)
		throw new InputError([{ path: 'cellId', message: `${cell.label} belongs to a delivery that was taken out` }]);
	if (delivery.rehearsal !== (await banks.get(bankId, tx)).rehearsal)
		throw new InputError([
			{
				path: 'cellId',
				message: 'A rehearsal’s cells are simulated: they and real cells are never built together.'
			}
		]);
}

import type { Knex } from 'knex';
import { cellsPerModule, makeOf } from '$lib/core/picture';
import { InputError } from '$lib/input/validate';
import { cells, type Delivery } from '../../records';
import { oddCells } from '../../records/deliveries/made-of-modules';

/**
 * How its modules are made can be changed as long as nothing of them is written down.
 * @throws InputError
 */
export async function checkModules(delivery: Delivery, before: Delivery | null, tx: Knex): Promise<void> {
	const { moduleSeries: series, moduleParallel: parallel } = delivery;
	if (!before || (before.moduleSeries === series && before.moduleParallel === parallel)) return;
	const known = await tx('modules').where({ delivery_id: delivery.id }).whereNull('deleted_at').first('id');
	if (known)
		throw new InputError([
			{ path: 'moduleSeries', message: 'Its modules were read already: take what was written down of them out first.' }
		]);
	const make = makeOf(delivery);
	const own = await cells.all({ deliveryId: delivery.id }, tx);
	const last = Math.max(0, ...own.map((c) => c.position));
	if (make && last % cellsPerModule(make) !== 0) throw oddCells(make, last);
}

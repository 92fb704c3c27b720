import type { Knex } from 'knex';
import { cellsPerModule, makeOf, type ModuleMake } from '$lib/core/receive/modules';
import { InputError } from '$lib/input/validate';
import { cells } from '../cells/row';
import type { Delivery } from './row';

interface Made {
	moduleSeries?: number | null;
	moduleParallel?: number | null;
}

const oddCells = (make: ModuleMake, count: number) =>
	new InputError([
		{
			path: 'moduleSeries',
			message: `${count} cells do not make whole modules of ${cellsPerModule(make)}: correct the number of cells, or how a module is made`
		}
	]);

/** Both figures of a module, or neither. @throws InputError */
export function refuseHalfMade({ moduleSeries = null, moduleParallel = null }: Made): void {
	if ((moduleSeries === null) === (moduleParallel === null)) return;
	throw new InputError([
		{
			path: moduleSeries === null ? 'moduleSeries' : 'moduleParallel',
			message: 'A module is so many groups in series of so many cells side by side: both are needed, or neither.'
		}
	]);
}

/** A new delivery of modules holds whole ones. @throws InputError */
export function refuseOddCells(made: Made, cellCount: number): void {
	refuseHalfMade(made);
	const make = makeOf(made);
	if (make && cellCount % cellsPerModule(make) !== 0) throw oddCells(make, cellCount);
}

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

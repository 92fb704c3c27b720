import type { Knex } from 'knex';
import { InputError } from '$lib/input/validate';
import { batteries, type Battery } from './batteries/row';

/** What is common to the records of how a battery was built and proved. */
export const OF_A_BATTERY = {
	parents: { batteryId: 'batteries' },
	filters: ['batteryId'],
	keyed: true,
	archivedWith: 'batteryId',
	banksOf: async ({ batteryId }: { batteryId: number }, tx: Knex): Promise<number[]> =>
		tx('batteries').where({ id: batteryId }).pluck('bank_id')
} as const;

/** The battery of a record that names one. */
export const itsBattery = ({ batteryId }: { batteryId: number }, tx: Knex): Promise<Battery> =>
	batteries.get(batteryId, tx);

/**
 * Lists of one value a group. What was kept under another layout stays as it was read.
 * @throws InputError when one is of another length, or holds nothing that was read
 */
export function checkGroupLists(
	lists: Readonly<Record<string, readonly (number | null)[]>>,
	series: number,
	before: object | null
): void {
	for (const [path, list] of Object.entries(lists)) {
		const kept = (before as Record<string, readonly unknown[]> | null)?.[path];
		if (list.length !== series && kept?.length !== list.length)
			throw new InputError([{ path, message: `${path} requires ${series} values, one a group; got ${list.length}` }]);
		if (list.every((v) => v === null))
			throw new InputError([{ path, message: `${path} requires one read value at least` }]);
	}
}

import type { Knex } from 'knex';
import { InputError } from '$lib/input/validate';
import { batteries, type Battery } from './batteries/row';

/** The battery of a bank by its number. @throws InputError when there is none */
export async function batteryOf(bankId: number, number: number, tx: Knex): Promise<Battery> {
	const [battery] = await batteries.all({ bankId, number }, tx);
	if (!battery) throw new InputError([{ path: 'battery', message: `this bank has no battery ${number}` }]);
	return battery;
}

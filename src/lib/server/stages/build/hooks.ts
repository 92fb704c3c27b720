import type { Knex } from 'knex';
import { InputError } from '$lib/input/validate';
import { ServiceError } from '../../errors';
import { banks, batteries, groups, type Bank, type Battery } from '../../records';
import { defineHooks, type HooksByKind } from '../../records/hooks';
import { cellsIn, fitGroups, layOut } from './lay-out';

/** The bank's number of batteries is that of its records. */
async function countBatteries(bankId: number, tx: Knex): Promise<void> {
	const bank = await banks.hold(bankId, tx, 'update');
	const count = (await batteries.all({ bankId }, tx)).length;
	if (count !== bank.batteries) await banks.update(bank.id, bank.version, { batteries: count }, tx);
}

const inUse = (message: string) => new ServiceError(409, 'in-use', message);

/** Batteries and groups follow a bank's layout, and it follows them. */
export const BUILD_HOOKS: HooksByKind = {
	banks: defineHooks<Bank>({
		async after(bank, tx, deed) {
			if (deed === 'create' || deed === 'change') await layOut(bank, tx);
		}
	}),
	batteries: defineHooks<Battery>({
		async check({ id, kind }, tx) {
			if (kind !== 'built' && (await cellsIn(id, tx)))
				throw new InputError([
					{ path: 'kind', message: 'cells are placed in this battery: it is built here. Take them out first' }
				]);
		},
		async after(battery, tx, deed) {
			if (deed !== 'remove' && deed !== 'import') await fitGroups(battery, tx);
			if (deed !== 'import') await countBatteries(battery.bankId, tx);
		},
		async checkRemoval(battery, tx) {
			const bank = await banks.hold(battery.bankId, tx, 'update');
			const held = await cellsIn(battery.id, tx);
			if (held) throw inUse(`This battery holds ${held} cells. Take them out first.`);
			if (bank.batteries === 1) throw inUse('A bank has one battery at least.');
			if (battery.number < bank.batteries)
				throw inUse(`Batteries are numbered without gaps: take out battery ${bank.batteries} first.`);
			await groups.updateAll({ batteryId: battery.id }, { deletedAt: new Date() }, tx);
		}
	})
};

import type { Knex } from 'knex';
import { InputError } from '$lib/input/validate';
import { ServiceError } from '../../errors';
import { banks } from '../banks/row';
import { defineKind } from '../kind';
import { BatteryInput } from './input';
import { batteries, type Battery } from './row';

async function checkBattery(battery: Battery, tx: Knex): Promise<void> {
	const bank = await banks.get(battery.bankId, tx);
	const faults = [];
	if (battery.kind === 'built') {
		for (const field of ['series', 'parallel'] as const)
			if (battery[field] !== bank[field])
				faults.push({ path: field, message: `${field} of a battery built here is that of its bank, ${bank[field]}` });
		if (battery.joins === 'series')
			faults.push({ path: 'joins', message: 'only ready-made batteries stand in series, where their maker allows it' });
	} else {
		if (battery.ratedAh === null)
			faults.push({ path: 'ratedAh', message: 'ratedAh is required of a ready-made battery: it is on its label' });
	}
	if (faults.length) throw new InputError(faults);
	const count = (await batteries.all({ bankId: bank.id }, tx)).length;
	if (battery.number > count)
		throw new ServiceError(409, 'number', `Batteries are numbered without gaps: bring back battery ${count} first.`);
}

export const batteryKind = defineKind<Battery>({
	name: 'batteries',
	repository: batteries,
	called: ({ number, name }) => name ?? `Battery ${number}`,
	createInput: BatteryInput,
	changeInput: BatteryInput,
	parents: { bankId: 'banks' },
	filters: ['bankId', 'kind'],
	columns: ['id', 'number', 'name', 'kind', 'series', 'parallel', 'joins', 'bmsA', 'bmsResolutionV', 'fuseA', 'cableA'],
	archivedWith: 'bankId',
	async prepare(fields: BatteryInput, tx) {
		const bank = await banks.hold(fields.bankId, tx, 'update');
		const number = (await batteries.all({ bankId: bank.id }, tx)).length + 1;
		if (fields.number && fields.number !== number)
			throw new InputError([{ path: 'number', message: `number of the next battery is ${number}` }]);
		return { series: bank.series, parallel: bank.parallel, ...fields, number };
	},
	check: checkBattery,
	async derive(changes, current) {
		if (changes.bankId !== undefined && changes.bankId !== current.bankId)
			throw new InputError([{ path: 'bankId', message: 'a battery stays with its bank' }]);
		if (changes.number !== undefined && changes.number !== current.number)
			throw new InputError([{ path: 'number', message: 'a battery keeps its number' }]);
		return {};
	},
	banksOf: async ({ bankId }) => [bankId]
});

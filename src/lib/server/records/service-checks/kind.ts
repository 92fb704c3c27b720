import { InputError } from '$lib/input/validate';
import { batteryOf } from '../its-battery';
import { defineKind } from '../kind';
import { ServiceCheckInput } from './input';
import { serviceChecks, type ServiceCheckRow } from './row';

export const serviceCheckKind = defineKind<ServiceCheckRow>({
	name: 'service-checks',
	repository: serviceChecks,
	called: ({ context, checkedAt }) => `${context}, ${checkedAt.slice(0, 10)}`,
	createInput: ServiceCheckInput,
	changeInput: ServiceCheckInput,
	parents: { bankId: 'banks' },
	filters: ['bankId', 'context', 'battery'],
	columns: ['id', 'battery', 'checkedAt', 'context', 'currentA', 'temperatureC', 'groupVoltagesV', 'notes'],
	keyed: true,
	archivedWith: 'bankId',
	async check(check, tx, before) {
		const { series } = await batteryOf(check.bankId, check.battery, tx);
		const { groupVoltagesV: volts } = check;
		// What was kept under another layout stays as it was read.
		const same = before !== null && before.groupVoltagesV.length === volts.length && before.battery === check.battery;
		if (volts.length !== series && !same)
			throw new InputError([
				{
					path: 'groupVoltagesV',
					message: `groupVoltagesV requires ${series} values, one a group of battery ${check.battery}, null where not read; got ${volts.length}`
				}
			]);
		if (check.passings && check.passings.groups.length !== volts.length)
			throw new InputError([
				{
					path: 'passings.groups',
					message: `passings.groups requires ${volts.length} values, one a group; got ${check.passings.groups.length}`
				}
			]);
		if (volts.every((v) => v === null))
			throw new InputError([{ path: 'groupVoltagesV', message: 'groupVoltagesV requires one read group at least' }]);
	},
	banksOf: async ({ bankId }) => [bankId]
});

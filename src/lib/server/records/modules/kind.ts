import { makeOf, placeInModule } from '$lib/core/picture';
import { InputError } from '$lib/input/validate';
import { deliveries } from '../deliveries/row';
import { cells } from '../cells/row';
import { defineKind } from '../kind';
import { banksOfCells } from '../touched-banks';
import { ModuleInput } from './input';
import { modules, type ModuleRow } from './row';

const refused = (path: string, message: string) => new InputError([{ path, message }]);

export const moduleKind = defineKind<ModuleRow>({
	name: 'modules',
	repository: modules,
	called: ({ number }) => `module ${number}`,
	createInput: ModuleInput,
	changeInput: ModuleInput,
	parents: { deliveryId: 'deliveries' },
	filters: ['deliveryId'],
	columns: ['id', 'deliveryId', 'number', 'voltageV', 'groupsV', 'readAt', 'seen', 'openedOn', 'notes'],
	keyed: true,
	archivedWith: 'deliveryId',
	prepare: async (fields: ModuleInput) => {
		const isRead = fields.voltageV != null || fields.groupsV?.some((v) => v !== null);
		return { ...fields, readAt: fields.readAt ?? (isRead ? new Date().toISOString() : null) };
	},
	async check(module, tx) {
		const make = makeOf(await deliveries.get(module.deliveryId, tx));
		if (!make) throw refused('deliveryId', 'This delivery came as single cells: it has no modules.');
		const own = await cells.all({ deliveryId: module.deliveryId }, tx);
		const last = Math.max(0, ...own.map((c) => placeInModule(c.position, make).module));
		if (module.number > last) throw refused('number', `number requires one of the ${last} modules of this delivery`);
		if (module.groupsV && module.groupsV.length !== make.series)
			throw refused(
				'groupsV',
				`groupsV requires ${make.series} voltages, one a group from its minus, null where not read`
			);
	},
	async banksOf({ deliveryId }, tx) {
		const own = await tx('cells').where({ delivery_id: deliveryId }).pluck('id');
		return banksOfCells(own as number[], tx);
	}
});

import { defineKind } from '../kind';
import { StoredGroupInput } from './input';
import { groups, type Group } from './row';

/** Groups follow the layout of their battery: they are read, not written. */
export const groupKind = defineKind<Group>({
	name: 'groups',
	repository: groups,
	createInput: null,
	changeInput: null,
	storedInput: StoredGroupInput,
	parents: { batteryId: 'batteries' },
	filters: ['batteryId', 'position'],
	columns: ['id', 'batteryId', 'position'],
	archivedWith: 'batteryId',
	banksOf: async ({ batteryId }, tx) => tx('batteries').where({ id: batteryId }).pluck('bank_id')
});

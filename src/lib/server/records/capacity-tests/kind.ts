import { batteryOf } from '../its-battery';
import { defineKind } from '../kind';
import { CapacityTestInput } from './input';
import { capacityTests, type CapacityTest } from './row';

export const capacityTestKind = defineKind<CapacityTest>({
	name: 'capacity-tests',
	repository: capacityTests,
	called: ({ capacityAh, testedAt }) => `${capacityAh.toFixed(1)} Ah, ${testedAt.slice(0, 10)}`,
	createInput: CapacityTestInput,
	changeInput: CapacityTestInput,
	parents: { bankId: 'banks' },
	filters: ['bankId', 'battery'],
	columns: ['id', 'battery', 'testedAt', 'capacityAh', 'sdAh', 'efc', 'temperatureC', 'notes'],
	keyed: true,
	archivedWith: 'bankId',
	check: async ({ bankId, battery }, tx) => void (await batteryOf(bankId, battery, tx)),
	banksOf: async ({ bankId }) => [bankId]
});

import { InputError } from '$lib/input/validate';
import { defineKind } from '../kind';
import { banksOfCells } from '../touched-banks';
import { StorageTestInput } from './input';
import { storageTests, type StorageTestRow } from './row';

const isAfter = (later: string, earlier: string) => Date.parse(later) > Date.parse(earlier);

export const storageTestKind = defineKind<StorageTestRow>({
	name: 'storage-tests',
	repository: storageTests,
	called: ({ chargedAt }) => `test of self-discharge since ${chargedAt.slice(0, 10)}`,
	createInput: StorageTestInput,
	changeInput: StorageTestInput,
	parents: { cellId: 'cells' },
	filters: ['cellId'],
	columns: ['id', 'cellId', 'chargedAt', 'dueOn', 'refillAh', 'refillSdAh', 'refilledAt', 'notes'],
	keyed: true,
	archivedWith: 'cellId',
	async check({ chargedAt, dueOn, refillAh, refilledAt }) {
		if (!isAfter(dueOn, chargedAt))
			throw new InputError([{ path: 'dueOn', message: 'The day it is charged again comes after its charge.' }]);
		if ((refillAh === null) !== (refilledAt === null))
			throw new InputError([
				{ path: refillAh === null ? 'refillAh' : 'refilledAt', message: 'What it took and when belong together.' }
			]);
		if (refilledAt && !isAfter(refilledAt, chargedAt))
			throw new InputError([{ path: 'refilledAt', message: 'It was charged again after its charge, not before.' }]);
	},
	banksOf: ({ cellId }, tx) => banksOfCells([cellId], tx)
});

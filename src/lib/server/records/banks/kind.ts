import { InputError } from '$lib/input/validate';
import { cellTypes } from '../cell-types/row';
import { defineKind } from '../kind';
import { BankInput, StoredBankInput } from './input';
import { banks, type Bank } from './row';

export const bankKind = defineKind<Bank>({
	name: 'banks',
	repository: banks,
	called: ({ name }) => name,
	createInput: BankInput,
	changeInput: BankInput,
	storedInput: StoredBankInput,
	parents: { cellTypeId: 'cell-types?' },
	sentAlong: { cellType: 'cellTypeId' },
	filters: ['bankUse', 'chemistry'],
	columns: null,
	archivedWith: null,
	async check(bank, tx) {
		if (bank.cellTypeId === null) return;
		const type = await cellTypes.get(bank.cellTypeId, tx);
		if (type.rehearsal !== bank.rehearsal)
			throw new InputError([
				{ path: 'cellTypeId', message: 'Simulated and real cells are never mixed: choose a type of the same kind.' }
			]);
	},
	banksOf: async ({ id }) => [id]
});

import { ServiceError } from '../../errors';
import { defineKind } from '../kind';
import { CellTypeInput, StoredCellTypeInput } from './input';
import { cellTypes, type CellType } from './row';

export const cellTypeKind = defineKind<CellType>({
	name: 'cell-types',
	repository: cellTypes,
	called: ({ name }) => name,
	createInput: CellTypeInput,
	changeInput: CellTypeInput,
	storedInput: StoredCellTypeInput,
	parents: {},
	filters: ['chemistry'],
	columns: null,
	archivedWith: null,
	async checkRemoval({ id, name }, tx) {
		const user = await tx('banks').where({ cell_type_id: id, deleted_at: null }).first('name');
		if (user)
			throw new ServiceError(
				409,
				'in-use',
				`${name} is the cell type of ${user.name}. Give that bank another type first.`
			);
	},
	banksOf: async ({ id }, tx) => tx('banks').where({ cell_type_id: id }).pluck('id')
});

import { InputError } from '$lib/input/validate';
import { deliveries } from '../deliveries/row';
import { defineKind } from '../kind';
import { banksOfCells } from '../touched-banks';
import { CellInput } from './input';
import { cells, type Cell } from './row';

export const cellKind = defineKind<Cell>({
	name: 'cells',
	repository: cells,
	called: ({ label }) => label,
	createInput: CellInput,
	changeInput: CellInput,
	parents: { deliveryId: 'deliveries' },
	filters: ['deliveryId', 'batch'],
	columns: ['id', 'deliveryId', 'position', 'label', 'batch', 'code', 'printedMonth', 'plusTurned'],
	archivedWith: 'deliveryId',
	async check(cell, tx, before) {
		if (!before || before.deliveryId === cell.deliveryId) return;
		const [from, to] = [await deliveries.find(before.deliveryId, tx), await deliveries.get(cell.deliveryId, tx)];
		if (from && from.rehearsal !== to.rehearsal)
			throw new InputError([
				{ path: 'deliveryId', message: 'A rehearsal’s cells are simulated: they and real cells are never mixed.' }
			]);
	},
	banksOf: ({ id }, tx) => banksOfCells([id], tx)
});

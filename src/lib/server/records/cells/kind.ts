import { InputError } from '$lib/input/validate';
import { ServiceError } from '../../errors';
import { candidates } from '../candidates/row';
import { deliveries } from '../deliveries/row';
import { defineKind } from '../kind';
import { refuseRemovalUnderRun } from '../live-runs/under-run';
import { placements } from '../placements/row';
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
	async after(cell, tx, deed) {
		if (deed !== 'create') return;
		// One more cell found in a crate is considered where its crate is.
		const { bankId } = await deliveries.get(cell.deliveryId, tx);
		if (bankId !== null) await candidates.insert({ bankId, cellId: cell.id }, tx);
	},
	async checkRemoval({ id, label }, tx) {
		await refuseRemovalUnderRun('cells', id);
		const [place] = await placements.all({ cellId: id, removedAt: null }, tx);
		if (place)
			throw new ServiceError(
				409,
				'in-use',
				`${label} is in battery ${place.battery}, group ${place.position}. Take it out there first.`
			);
	},
	banksOf: ({ id }, tx) => banksOfCells([id], tx)
});

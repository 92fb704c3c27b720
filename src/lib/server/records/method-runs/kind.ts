import { InputError } from '$lib/input/validate';
import { banks } from '../banks/row';
import { defineKind } from '../kind';
import { MethodRunInput } from './input';
import { methodRuns, type MethodRunRow } from './row';

export const methodRunKind = defineKind<MethodRunRow>({
	name: 'method-runs',
	repository: methodRuns,
	called: ({ method, createdAt }) => `balance by steps (${method}) of ${createdAt.slice(0, 10)}`,
	createInput: MethodRunInput,
	changeInput: MethodRunInput,
	parents: { bankId: 'banks' },
	filters: ['bankId'],
	columns: null,
	keyed: true,
	archivedWith: 'bankId',
	async check({ bankId, cellIds, method, setup }, tx, before) {
		if (before === null && method === 'bottom' && !cellIds?.length)
			throw new InputError([{ path: 'cellIds', message: 'Which cells? Name them in the order they are taken down.' }]);
		if (before === null && method === 'ready-made' && (setup.units?.length ?? 0) < 2)
			throw new InputError([
				{ path: 'setup.units', message: 'Name two batteries or more, in series from the negative.' }
			]);
		const units = (setup.units ?? []).map((name) => name.trim());
		if (units.some((name) => !name) || new Set(units).size !== units.length)
			throw new InputError([{ path: 'setup.units', message: 'Each battery needs a name of its own.' }]);
		if (before === null && method === 'fast' && (await banks.get(bankId, tx)).series < 2)
			throw new InputError([{ path: 'method', message: 'A charge in series takes two groups or more in series.' }]);
		if (new Set(cellIds ?? []).size !== (cellIds ?? []).length)
			throw new InputError([{ path: 'cellIds', message: 'A cell is named twice.' }]);
	},
	banksOf: async ({ bankId }) => [bankId]
});

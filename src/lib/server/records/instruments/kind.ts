import { INSTRUMENT_SHEETS } from '$lib/core/foundation/reading';
import { defineKind } from '../kind';
import { checkAddress } from './address';
import { InstrumentInput } from './input';
import { banksOfCells } from '../touched-banks';
import { instruments, type Instrument } from './row';

export const instrumentKind = defineKind<Instrument>({
	name: 'instruments',
	repository: instruments,
	called: ({ name }) => name,
	createInput: InstrumentInput,
	changeInput: InstrumentInput,
	parents: {},
	filters: ['kind'],
	columns: null,
	archivedWith: null,
	prepare: async (fields: InstrumentInput) => {
		const usual = INSTRUMENT_SHEETS[fields.kind].usual;
		return {
			...fields,
			accuracyPercent: fields.accuracyPercent ?? usual.percent,
			accuracyFixed: fields.accuracyFixed ?? usual.fixed
		};
	},
	derive: async (changes, current) => ({
		// Nothing sent for the sheet is no wish to forget it.
		accuracyPercent: (changes.accuracyPercent as number | null | undefined) ?? current.accuracyPercent,
		accuracyFixed: (changes.accuracyFixed as number | null | undefined) ?? current.accuracyFixed
	}),
	check: async (instrument) => checkAddress(instrument),
	// What it counted is judged by what it is known to be off by.
	banksOf: async ({ id }, tx) => banksOfCells(await tx('runs').where({ instrument_id: id }).pluck('cell_id'), tx)
});

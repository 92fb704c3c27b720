import { defineKind, type Fields } from '../kind';
import { banksOfCells } from '../touched-banks';
import { ReadingInput, StoredReadingInput } from './input';
import { measured } from './measured';
import { readings, type Reading } from './row';

export const readingKind = defineKind<Reading>({
	name: 'readings',
	repository: readings,
	called: ({ rawText, rawUnit }) => (/[a-zΩ°]/i.test(rawText) ? rawText : `${rawText} ${rawUnit}`),
	createInput: ReadingInput,
	changeInput: ReadingInput,
	storedInput: StoredReadingInput,
	parents: { cellId: 'cells' },
	filters: ['cellId', 'quantity'],
	columns: ['id', 'cellId', 'quantity', 'value', 'sd', 'rawText', 'rawUnit', 'restS', 'takenAt', 'meter'],
	keyed: true,
	archivedWith: 'cellId',
	prepare: async (fields: ReadingInput) => ({
		...fields,
		takenAt: fields.takenAt ?? new Date().toISOString(),
		...(await measured(fields.rawText, fields.quantity))
	}),
	derive: async (changes, current): Promise<Fields> =>
		changes.rawText === undefined && changes.quantity === undefined
			? {}
			: measured(
					(changes.rawText as string | undefined) ?? current.rawText,
					(changes.quantity as Reading['quantity'] | undefined) ?? current.quantity
				),
	banksOf: ({ cellId }, tx) => banksOfCells([cellId], tx)
});

import { defineKind } from '../kind';
import { NoteInput } from './input';
import { notes, type Note } from './row';

export const noteKind = defineKind<Note>({
	name: 'notes',
	repository: notes,
	called: ({ text }) => text.slice(0, 60),
	createInput: NoteInput,
	changeInput: NoteInput,
	parents: { cellId: 'cells' },
	filters: ['cellId'],
	columns: ['id', 'cellId', 'writtenAt', 'text'],
	keyed: true,
	archivedWith: 'cellId',
	prepare: async (fields: NoteInput) => ({ ...fields, writtenAt: fields.writtenAt ?? new Date().toISOString() }),
	// A note is read, not judged.
	banksOf: async () => []
});

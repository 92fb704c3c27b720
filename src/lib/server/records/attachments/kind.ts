import { defineKind } from '../kind';
import { AttachmentChange, StoredAttachmentInput } from './input';
import { attachments, type Attachment } from './row';

export const attachmentKind = defineKind<Attachment>({
	name: 'attachments',
	repository: attachments,
	called: ({ name }) => name,
	// Made with its bytes: attachments/attach.
	createInput: null,
	changeInput: AttachmentChange,
	storedInput: StoredAttachmentInput,
	parents: {},
	names: { kindField: 'subjectKind', idField: 'subjectId' },
	filters: ['subjectKind', 'subjectId'],
	columns: null,
	archivedWith: 'its-subject',
	// A photo is looked at, not judged.
	banksOf: async () => []
});

import { defineKind } from '../kind';
import { ProtocolInput } from './input';
import { protocols, type ProtocolRow } from './row';

export const protocolKind = defineKind<ProtocolRow>({
	name: 'protocols',
	repository: protocols,
	called: ({ name }) => name,
	createInput: ProtocolInput,
	changeInput: ProtocolInput,
	parents: {},
	filters: [],
	columns: null,
	keyed: true,
	// It belongs to whoever tests, not to a bank.
	archivedWith: null,
	// What a run kept is judged by its clause.
	banksOf: async () => []
});

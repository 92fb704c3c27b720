import { completeScenario } from '$lib/core/world/bench';
import { defineKind } from '../kind';
import { StoredRehearsalInput } from './input';
import { rehearsals, type Rehearsal } from './row';

export const rehearsalKind = defineKind<Rehearsal>({
	name: 'rehearsals',
	repository: rehearsals,
	createInput: null,
	changeInput: null,
	storedInput: StoredRehearsalInput,
	parents: { bankId: 'banks' },
	filters: ['bankId'],
	columns: null,
	hidden: true,
	archivedWith: 'bankId',
	// A world that could not be simulated is not kept either.
	check: async ({ scenario }) => void completeScenario(scenario as unknown as Record<string, unknown>),
	banksOf: async ({ bankId }) => [bankId]
});

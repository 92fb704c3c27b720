import type { Quantity, Question } from '$lib/core/foundation/reading';

/** One typed step that can be taken back. */
export interface Typed {
	clientKey: string;
	cellId: number;
	quantity: Quantity;
	storedId: number | null;
	storedVersion: number | null;
	/** Value shown before, so that undo shows it again. */
	before: number | null;
}

/** What is still to be answered and may still be taken back. */
export interface EntryMemory {
	asked: { cellId: number; quantity: Quantity; question: Question }[];
	history: Typed[];
}

/** Where that outlives a change of view, and a reload of the tab. */
export interface MemoryStore {
	read(): EntryMemory | null;
	write(memory: EntryMemory): void;
}

/** Of one bank, in this tab. */
export const tabMemory = (bankId: number): MemoryStore => {
	const key = `kind-ember-entry-${bankId}`;
	return {
		read: () => JSON.parse(sessionStorage.getItem(key) ?? 'null') as EntryMemory | null,
		write: (memory) => sessionStorage.setItem(key, JSON.stringify(memory))
	};
};
export const NO_MEMORY: MemoryStore = { read: () => null, write: () => undefined };

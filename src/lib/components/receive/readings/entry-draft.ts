import type { Quantity } from '$lib/core/foundation/reading';

/** What was typed and not yet entered, where it outlives the page. */
export interface DraftStore {
	read(): { cellId: number; quantity: Quantity; text: string } | null;
	write(draft: { cellId: number; quantity: Quantity; text: string } | null): void;
}
const DRAFT_KEY = 'kind-ember-typed-reading';
export const browserDraft: DraftStore = {
	read: () => JSON.parse(localStorage.getItem(DRAFT_KEY) ?? 'null') as ReturnType<DraftStore['read']>,
	write: (draft) =>
		draft ? localStorage.setItem(DRAFT_KEY, JSON.stringify(draft)) : localStorage.removeItem(DRAFT_KEY)
};

import type { Quantity } from '$lib/core/foundation/reading';

/** A cell of the tray that readings are typed for. */
export interface EntryCell {
	id: number;
	label: string;
	readings: Partial<Record<Quantity, { id: number; value: number; version: number }>>;
}

import type { Arrangement } from './arrangement';

/** An arrangement set beside the one that is worked at. */
export interface KeptArrangement {
	name: string;
	arrangement: Arrangement;
}

/** Set beside each other at most. */
export const MAX_KEPT = 3;
const MAX_STEPS = 100;

/** The groups while they are worked at: shown, moved, taken back step by step, and up to three set beside each other. Null: as they are placed. */
export class ArrangementDesk {
	current = $state.raw<Arrangement | null>(null);
	kept = $state.raw<readonly KeptArrangement[]>([]);
	#before = $state.raw<readonly (Arrangement | null)[]>([]);

	get canUndo(): boolean {
		return this.#before.length > 0;
	}
	get canKeep(): boolean {
		return this.kept.length < MAX_KEPT;
	}

	show(next: Arrangement | null): void {
		this.#before = [...this.#before, this.current].slice(-MAX_STEPS);
		this.current = next;
	}
	/** One step back; nothing happens at the first. */
	undo(): void {
		if (!this.canUndo) return;
		this.current = this.#before.at(-1)!;
		this.#before = this.#before.slice(0, -1);
	}
	/** They are placed as shown: there is nothing to go back to. */
	settle(): void {
		this.current = null;
		this.#before = [];
	}
	/** Sets an arrangement beside the others, under the first free letter. */
	keep(arrangement: Arrangement): void {
		if (!this.canKeep) return;
		const name = ['A', 'B', 'C'].find((letter) => !this.kept.some((k) => k.name === letter))!;
		this.kept = [...this.kept, { name, arrangement }].sort((a, b) => a.name.localeCompare(b.name));
	}
	release(name: string): void {
		this.kept = this.kept.filter((k) => k.name !== name);
	}
}

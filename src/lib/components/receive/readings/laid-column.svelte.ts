import type { PastedColumn, PastedLine, Quantity } from '$lib/core/foundation/reading';
import type { EntryCell } from './entry-cell';

/** A pasted column beside the cells it is meant for; it can be moved before it is entered. */
export class LaidColumn {
	private readonly head: PastedLine[];
	/** Whether what stood above the values lies beside a cell, too. */
	withHeader = $state(false);
	/** Place of the first cell. */
	from = $state(0);

	constructor(
		private readonly column: PastedColumn,
		readonly quantity: Quantity,
		private readonly cells: readonly EntryCell[],
		from: number
	) {
		this.from = from;
		this.head = column.header.map((text) => ({ text, value: null, why: 'The head of the column.' }));
	}

	get header(): readonly string[] {
		return this.column.header;
	}

	/** Each cell from the first on, with the line beside it; a line without a cell is left over. */
	get rows(): { cell: EntryCell; line: PastedLine | null }[] {
		const lines = this.withHeader ? [...this.head, ...this.column.lines] : this.column.lines;
		return this.cells.slice(this.from).map((cell, i) => ({ cell, line: lines[i] ?? null }));
	}

	get values(): number {
		return this.rows.filter(({ line }) => line !== null && line.value !== null).length;
	}

	/** Place of the last cell that has a line. */
	get last(): number {
		return this.from + this.rows.filter(({ line }) => line !== null).length - 1;
	}

	/** Lines with a number that no cell is left for. */
	get leftOver(): number {
		return this.column.lines.filter((line) => line.value !== null).length - this.values;
	}

	/** Cells below that get nothing. */
	get without(): EntryCell[] {
		return this.rows.filter(({ line }) => line === null).map(({ cell }) => cell);
	}

	/** @param by cells down; negative: up */
	move(by: number): void {
		this.from = Math.min(this.cells.length - 1, Math.max(0, this.from + by));
	}
}

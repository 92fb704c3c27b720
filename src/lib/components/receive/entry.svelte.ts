import { ReadingQueue, type QueuedReading } from '$lib/client/reading-queue';
import type { Chemistry } from '$lib/core/chemistry';
import {
	parseReading,
	questionReading,
	shownUnit,
	splitPastedColumn,
	type Quantity,
	type Question
} from '$lib/core/reading';
import { CoreError } from '$lib/core/shared';
import type { Settings } from '$lib/core/units';

export interface EntryCell {
	id: number;
	label: string;
	readings: Partial<Record<Quantity, { id: number; value: number; version: number }>>;
}

/** One typed step that can be taken back. */
interface Typed {
	clientKey: string;
	cellId: number;
	quantity: Quantity;
	storedId: number | null;
	storedVersion: number | null;
	/** Value shown before, so that undo shows it again. */
	before: number | null;
}

interface EntryHooks {
	cells: () => readonly EntryCell[];
	chemistry: () => Chemistry;
	units: () => Settings['units'];
	expected: () => { acResistanceMohm: number | null; massKg: number | null };
	/** Called when the server has stored or removed something, to judge again. */
	onStored: () => void;
	/** Takes a stored reading back. */
	remove: (id: number, version: number) => Promise<void>;
	onRefused: (message: string) => void;
}

/**
 * Keyboard entry down the tray: which cell waits, which quantity, what was typed but is not yet confirmed by the
 * server, the question about the last value, and undo.
 */
export class TrayEntry {
	quantity = $state<Quantity>('restVoltage');
	selectedId = $state<number | null>(null);
	text = $state('');
	error = $state<string | null>(null);
	question = $state<{ cell: EntryCell; question: Question } | null>(null);
	waiting = $state(0);
	/** Values typed here, by `cell/quantity`, shown before the server answers; null: taken back. */
	private local = $state<Record<string, number | null>>({});
	private history = $state<Typed[]>([]);
	private queue: ReadingQueue | null = null;

	constructor(private readonly hooks: EntryHooks) {}

	/** Starts sending what an earlier visit left unsent. Call in the browser. */
	start(): void {
		this.queue = new ReadingQueue(
			(reading, stored) => this.stored(reading, stored),
			(reading, why) => this.refused(reading, why),
			(count) => (this.waiting = count)
		);
		void this.queue.flush();
		this.selectedId ??= this.nextUnread(-1)?.id ?? this.hooks.cells()[0]?.id ?? null;
	}

	get selected(): EntryCell | null {
		return this.hooks.cells().find((c) => c.id === this.selectedId) ?? null;
	}

	get canUndo(): boolean {
		return this.history.length > 0;
	}

	/** The value to show for a cell: typed here, else stored. */
	valueOf(cell: EntryCell, quantity: Quantity): number | null {
		const key = `${cell.id}/${quantity}`;
		return key in this.local ? this.local[key]! : (cell.readings[quantity]?.value ?? null);
	}

	pick(id: number): void {
		this.selectedId = id;
		this.text = '';
		this.error = null;
	}

	switchQuantity(quantity: Quantity): void {
		this.quantity = quantity;
		this.text = '';
		this.error = null;
		if (this.selected && this.valueOf(this.selected, quantity) !== null)
			this.selectedId = this.nextUnread(-1)?.id ?? this.selectedId;
	}

	/** Takes the typed text for the selected cell and moves to the next. An empty line only moves on. */
	enter(): void {
		const cell = this.selected;
		if (!cell) return;
		if (this.text.trim() !== '' && !this.take(cell, this.text)) return;
		this.text = '';
		const cells = this.hooks.cells();
		const at = cells.findIndex((c) => c.id === cell.id);
		this.selectedId = (this.nextUnread(at) ?? cells[(at + 1) % cells.length]!).id;
	}

	/** A column from a spreadsheet, down the tray from the selected cell. Lines that are no number are reported and left out. */
	paste(column: string): void {
		const cells = this.hooks.cells();
		const from = Math.max(
			0,
			cells.findIndex((c) => c.id === this.selectedId)
		);
		const lines = splitPastedColumn(column);
		const bad: string[] = [];
		lines.forEach((line, i) => {
			const cell = cells[from + i];
			if (line !== null && cell && !this.take(cell, line)) bad.push(`${cell.label}: "${line}"`);
		});
		this.error = bad.length
			? `Not a number, left out: ${bad.join(', ')}`
			: lines.length > cells.length - from
				? `${lines.length - (cells.length - from)} lines too many were left out.`
				: null;
		this.text = '';
		this.selectedId = cells[Math.min(cells.length - 1, from + lines.length)]!.id;
	}

	/** Corrects the questioned value to the suggestion. */
	acceptSuggestion(): void {
		const asked = this.question;
		if (asked?.question.suggestion == null) return;
		this.take(asked.cell, `${asked.question.suggestion} ${shownUnit(this.quantity, 'metric')}`);
		this.question = null;
	}

	/** Takes the last typed value back, here and on the server. */
	async undo(): Promise<void> {
		const last = this.history.at(-1);
		if (!last || last.storedId === null) return;
		this.history = this.history.slice(0, -1);
		this.local = { ...this.local, [`${last.cellId}/${last.quantity}`]: last.before };
		this.quantity = last.quantity;
		this.selectedId = last.cellId;
		this.question = null;
		await this.hooks.remove(last.storedId, last.storedVersion!);
		this.hooks.onStored();
	}

	private nextUnread(after: number): EntryCell | undefined {
		const cells = this.hooks.cells();
		return [...cells.slice(after + 1), ...cells.slice(0, after + 1)].find(
			(c) => this.valueOf(c, this.quantity) === null
		);
	}

	private take(cell: EntryCell, typed: string): boolean {
		const quantity = this.quantity;
		// A bare number is in the unit shown beside the field.
		const bare =
			/^[\d.,+\-−\s]+$/.test(typed) && shownUnit(quantity, this.hooks.units()) !== shownUnit(quantity, 'metric');
		const text = bare ? `${typed.trim()} ${shownUnit(quantity, this.hooks.units())}` : typed;
		try {
			const { value } = parseReading(text, quantity);
			const neighbours = this.hooks
				.cells()
				.filter((c) => c.id !== cell.id)
				.map((c) => this.valueOf(c, quantity))
				.filter((v): v is number => v !== null);
			const asked = questionReading(value, quantity, this.hooks.chemistry(), neighbours, this.hooks.expected());
			this.question = asked ? { cell, question: asked } : this.question?.cell.id === cell.id ? null : this.question;
			this.error = null;
			this.keep(cell, text, value, quantity);
			return true;
		} catch (error) {
			this.error = error instanceof CoreError ? error.message : String(error);
			return false;
		}
	}

	private keep(cell: EntryCell, rawText: string, value: number, quantity: Quantity): void {
		const clientKey = crypto.randomUUID();
		this.history = [
			...this.history,
			{
				clientKey,
				cellId: cell.id,
				quantity,
				storedId: null,
				storedVersion: null,
				before: this.valueOf(cell, quantity)
			}
		];
		this.local = { ...this.local, [`${cell.id}/${quantity}`]: value };
		this.waiting++;
		this.queue?.add({
			clientKey,
			cellId: cell.id,
			quantity,
			rawText: rawText.trim(),
			takenAt: new Date().toISOString()
		});
	}

	private stored(reading: QueuedReading, { id, version }: { id: number; version: number }): void {
		this.history = this.history.map((t) =>
			t.clientKey === reading.clientKey ? { ...t, storedId: id, storedVersion: version } : t
		);
		this.hooks.onStored();
	}

	private refused(reading: QueuedReading, why: string): void {
		const typed = this.history.find((t) => t.clientKey === reading.clientKey);
		this.history = this.history.filter((t) => t.clientKey !== reading.clientKey);
		if (typed) this.local = { ...this.local, [`${reading.cellId}/${reading.quantity}`]: typed.before };
		this.hooks.onRefused(`"${reading.rawText}" was not stored: ${why}`);
	}
}

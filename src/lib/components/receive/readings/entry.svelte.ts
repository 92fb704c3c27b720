import { ReadingQueue, type QueuedReading } from '$lib/client/entry/reading-queue';
import type { Chemistry } from '$lib/core/foundation/chemistry';
import {
	parseReading,
	questionReading,
	shownUnit,
	readPasted,
	type Quantity,
	type Question,
	type Probe,
	type ReadState
} from '$lib/core/foundation/reading';
import { CoreError } from '$lib/core/foundation/errors';
import { LaidColumn } from './laid-column.svelte';
import { browserDraft, type DraftStore } from './entry-draft';
import type { EntryCell } from './entry-cell';
import { NO_MEMORY, type MemoryStore, type Typed } from './entry-memory';
import type { Settings } from '$lib/core/foundation/units';

/** How and when what is typed is read; the moment null: now. */
export interface HowItIsRead {
	state: ReadState;
	stateA: number | null;
	/** Of a resistance; null: not said. */
	probe?: Probe | null;
	takenAt: string | null;
	takenDoubtS: number | null;
}

interface Asked {
	cell: EntryCell;
	quantity: Quantity;
	question: Question;
}

interface EntryHooks {
	cells: () => readonly EntryCell[];
	/** Those of the other trays, too; missing: the same. */
	everyCell?: () => readonly EntryCell[];
	chemistry: () => Chemistry;
	units: () => Settings['units'];
	expected: () => { acResistanceMohm: number | null; massKg: number | null; thicknessMm?: number | null };
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
	/** Asked and not yet answered, oldest first: a second slip does not hide the first. */
	questions = $state<Asked[]>([]);
	how = $state<HowItIsRead>({ state: 'loose', stateA: null, takenAt: null, takenDoubtS: null });
	waiting = $state(0);
	/** Pasted and not yet entered; null: nothing. */
	pasted = $state<LaidColumn | null>(null);
	/** Values typed here, by `cell/quantity`, shown before the server answers; null: taken back. */
	private local = $state<Record<string, number | null>>({});
	private history = $state<Typed[]>([]);
	private queue: ReadingQueue | null = null;

	constructor(
		private readonly hooks: EntryHooks,
		private readonly drafts: DraftStore = browserDraft,
		private readonly memory: MemoryStore = NO_MEMORY
	) {}

	/** Starts sending what an earlier visit left unsent. Call in the browser. */
	start(): void {
		this.queue = new ReadingQueue(
			(reading, stored) => this.stored(reading, stored),
			(reading, why) => this.refused(reading, why),
			(count) => (this.waiting = count)
		);
		this.takeUpMemory();
		void this.queue.flush();
		this.takeUpDraft();
		this.selectedId ??= this.nextUnread(-1)?.id ?? this.hooks.cells()[0]?.id ?? null;
	}

	/** What was asked and typed before another view was shown is asked still, and may be taken back. */
	private takeUpMemory(): void {
		const memory = this.memory.read();
		if (!memory) return;
		const byId = new Map((this.hooks.everyCell ?? this.hooks.cells)().map((c) => [c.id, c]));
		this.history = memory.history.filter((t) => byId.has(t.cellId));
		this.questions = memory.asked.flatMap(({ cellId, ...asked }) => {
			const cell = byId.get(cellId);
			return cell ? [{ cell, ...asked }] : [];
		});
	}

	private remember(): void {
		const asked = this.questions.map(({ cell, quantity, question }) => ({ cellId: cell.id, quantity, question }));
		this.memory.write({ asked, history: this.history });
	}

	/** What was typed before a reload stands in the field again. */
	private takeUpDraft(): void {
		const draft = this.drafts.read();
		if (!draft || !this.hooks.cells().some((c) => c.id === draft.cellId)) return;
		this.selectedId = draft.cellId;
		this.quantity = draft.quantity;
		this.text = draft.text;
	}

	/** The field has changed: kept until it is entered. */
	typed(): void {
		const { selectedId, quantity, text } = this;
		this.drafts.write(text.trim() && selectedId !== null ? { cellId: selectedId, quantity, text } : null);
	}

	get question(): Asked | null {
		return this.questions[0] ?? null;
	}

	/** The question is answered: it is right as it was typed. */
	confirm(): void {
		this.questions = this.questions.slice(1);
		this.remember();
	}

	/** What stands in the field is taken before anything else is shown. @returns false when it is no reading: then it stays */
	private leave(): boolean {
		const cell = this.selected;
		if (!cell || this.text.trim() === '') return true;
		if (!this.take(cell, this.text)) return false;
		this.empty();
		return true;
	}

	private empty(): void {
		this.text = '';
		this.typed();
	}

	get selected(): EntryCell | null {
		return this.selectedId === null ? null : this.cellOf(this.selectedId);
	}

	cellOf(id: number): EntryCell | null {
		return this.hooks.cells().find((c) => c.id === id) ?? null;
	}

	get canUndo(): boolean {
		return this.history.length > 0;
	}

	/** The value to show for a cell: typed here, else stored. */
	valueOf(cell: EntryCell, quantity: Quantity): number | null {
		const key = `${cell.id}/${quantity}`;
		return key in this.local ? this.local[key]! : (cell.readings[quantity]?.value ?? null);
	}

	/** Another cell is shown; what was typed for the one before is entered, or stays with its error. */
	pick(id: number): void {
		if (id === this.selectedId || !this.leave()) return;
		this.selectedId = id;
		this.error = null;
	}

	switchQuantity(quantity: Quantity): void {
		if (!this.leave()) return;
		this.quantity = quantity;
		this.error = null;
		if (this.selected && this.valueOf(this.selected, quantity) !== null)
			this.selectedId = this.nextUnread(-1)?.id ?? this.selectedId;
	}

	/** Takes the typed text for the selected cell and moves to the next. An empty line only moves on. */
	enter(): void {
		const cell = this.selected;
		if (!cell) return;
		if (!this.leave()) return;
		const cells = this.hooks.cells();
		const at = cells.findIndex((c) => c.id === cell.id);
		this.selectedId = (this.nextUnread(at) ?? cells[(at + 1) % cells.length]!).id;
	}

	/** A column from a spreadsheet: laid beside the cells from the selected one on; nothing is entered before it is confirmed. */
	paste(column: string): void {
		const cells = this.hooks.cells();
		const from = Math.max(
			0,
			cells.findIndex((c) => c.id === this.selectedId)
		);
		const { quantity } = this;
		this.empty();
		this.error = null;
		this.pasted = new LaidColumn(
			readPasted(column, quantity, (line) => this.withUnit(line, quantity)),
			quantity,
			cells,
			from
		);
	}

	/** What lies beside the cells is entered as if it had been typed. */
	enterPasted(): void {
		const { pasted } = this;
		if (!pasted) return;
		this.pasted = null;
		// As what and beside which cells it was laid, whatever is shown meanwhile.
		for (const { cell, line } of pasted.rows)
			if (line && line.value !== null) this.take(cell, line.text!, pasted.quantity);
		const cells = this.hooks.cells();
		this.selectedId = (this.nextUnread(pasted.last) ?? cells[Math.min(cells.length - 1, pasted.last + 1)]!).id;
	}

	/** Corrects the questioned value to the suggestion. */
	acceptSuggestion(): void {
		const asked = this.question;
		if (asked?.question.suggestion == null) return;
		const { cell, quantity, question } = asked;
		this.confirm();
		this.take(cell, `${question.suggestion} ${shownUnit(quantity, 'metric')}`, quantity);
	}

	/** Takes the last typed value back, here and on the server. */
	async undo(): Promise<void> {
		const last = this.history.at(-1);
		if (!last || last.storedId === null) return;
		this.history = this.history.slice(0, -1);
		this.local = { ...this.local, [`${last.cellId}/${last.quantity}`]: last.before };
		this.quantity = last.quantity;
		this.selectedId = last.cellId;
		this.forget(last.cellId, last.quantity);
		this.remember();
		await this.hooks.remove(last.storedId, last.storedVersion!);
		this.hooks.onStored();
	}

	private nextUnread(after: number): EntryCell | undefined {
		const cells = this.hooks.cells();
		return [...cells.slice(after + 1), ...cells.slice(0, after + 1)].find(
			(c) => this.valueOf(c, this.quantity) === null
		);
	}

	private forget(cellId: number, quantity: Quantity): void {
		this.questions = this.questions.filter((q) => q.cell.id !== cellId || q.quantity !== quantity);
	}

	/** A bare number is in the unit shown beside the field. */
	private withUnit(typed: string, quantity: Quantity): string {
		const unit = shownUnit(quantity, this.hooks.units());
		const bare = /^[\d.,+\-−\s]+$/.test(typed) && unit !== shownUnit(quantity, 'metric');
		return bare ? `${typed.trim()} ${unit}` : typed;
	}

	private take(cell: EntryCell, typed: string, quantity = this.quantity): boolean {
		const text = this.withUnit(typed, quantity);
		try {
			const { value } = parseReading(text, quantity);
			const neighbours = this.hooks
				.cells()
				.filter((c) => c.id !== cell.id)
				.map((c) => this.valueOf(c, quantity))
				.filter((v): v is number => v !== null);
			const asked = questionReading(value, quantity, this.hooks.chemistry(), neighbours, {
				...this.hooks.expected(),
				own: {
					restVoltage: this.valueOf(cell, 'restVoltage'),
					acResistance: this.valueOf(cell, 'acResistance'),
					mass: this.valueOf(cell, 'mass') ?? undefined
				}
			});
			this.forget(cell.id, quantity);
			if (asked) this.questions = [...this.questions, { cell, quantity, question: asked }];
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
		this.remember();
		this.waiting++;
		this.queue?.add({
			clientKey,
			cellId: cell.id,
			quantity,
			rawText: rawText.trim(),
			takenAt: this.how.takenAt ?? new Date().toISOString(),
			...(this.how.takenDoubtS === null ? {} : { takenDoubtS: this.how.takenDoubtS }),
			...(quantity === 'restVoltage' && this.how.state !== 'loose'
				? { state: this.how.state, stateA: this.how.stateA }
				: {}),
			...(quantity === 'acResistance' && this.how.probe ? { probe: this.how.probe } : {})
		});
	}

	private stored(reading: QueuedReading, { id, version }: { id: number; version: number }): void {
		this.history = this.history.map((t) =>
			t.clientKey === reading.clientKey ? { ...t, storedId: id, storedVersion: version } : t
		);
		this.remember();
		this.hooks.onStored();
	}

	private refused(reading: QueuedReading, why: string): void {
		const typed = this.history.find((t) => t.clientKey === reading.clientKey);
		this.history = this.history.filter((t) => t.clientKey !== reading.clientKey);
		this.remember();
		if (typed) this.local = { ...this.local, [`${reading.cellId}/${reading.quantity}`]: typed.before };
		this.hooks.onRefused(`"${reading.rawText}" was not stored: ${why}`);
	}
}

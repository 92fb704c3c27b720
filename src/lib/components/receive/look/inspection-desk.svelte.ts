import { ALL_GOOD } from '$lib/core/receive/inspection';
import { INSPECTED, type Inspection } from '$lib/core/picture';

/** An inspection as it is stored. */
export type StoredInspection = Inspection & { id: number; version: number; cellId: number };

/** Where inspections are kept. */
export interface InspectionStore {
	/** Resolves to true when it was done; says why not itself. */
	attempt(work: () => Promise<unknown>): Promise<boolean>;
	create(values: Inspection & { cellId: number }): Promise<StoredInspection>;
	change(id: number, values: Inspection & { version: number }): Promise<StoredInspection>;
	/** Has the page judged anew. */
	refresh(): Promise<void>;
}

type Looked = { id: number; inspection: Inspection | null };

/**
 * Puts what was seen on cells away, one change after the other: each answer is kept as it is given. What could not be stored stays on the
 * screen and goes along with the next answer of that cell.
 */
export class InspectionDesk {
	/** What was answered here and is not yet in what the page was given. */
	private drafts = $state<Record<number, Inspection>>({});
	private known: Record<number, StoredInspection> = {};
	private line: Promise<unknown> = Promise.resolve();

	constructor(private readonly store: InspectionStore) {}

	/** What the page was given of the cells. */
	take(cells: readonly Looked[]): void {
		for (const { id, inspection } of cells) if (inspection) this.known[id] = inspection as StoredInspection;
	}

	of(cell: Looked): Inspection {
		return { ...(cell.inspection ?? {}), ...(this.drafts[cell.id] ?? {}) };
	}

	/** Whether something said of the cell is not stored. */
	isUnkept(cellId: number): boolean {
		return Object.keys(this.drafts[cellId] ?? {}).length > 0;
	}

	/** Keeps a change of one cell; what was said before stays. */
	change(cellId: number, changes: Inspection): Promise<boolean> {
		this.answer(cellId, changes);
		return this.keep([cellId]);
	}

	/** All that was not answered yet is good. */
	allGood(cells: readonly Looked[]): Promise<boolean> {
		const open = cells.filter((cell) => INSPECTED.some((key) => this.of(cell)[key] == null));
		for (const cell of open) {
			const own = this.of(cell);
			const unanswered = INSPECTED.filter((key) => own[key] == null);
			this.answer(cell.id, Object.fromEntries(unanswered.map((key) => [key, ALL_GOOD[key]])));
		}
		return this.keep(open.map((c) => c.id));
	}

	private answer(cellId: number, changes: Inspection): void {
		this.drafts[cellId] = { ...(this.drafts[cellId] ?? {}), ...changes };
	}

	private keep(cellIds: readonly number[]): Promise<boolean> {
		const done = this.line.then(async () => {
			const kept: { cellId: number; values: Inspection }[] = [];
			const all = await this.store.attempt(async () => {
				for (const cellId of cellIds) {
					const values = { ...this.drafts[cellId] };
					if (Object.keys(values).length === 0) continue;
					this.known[cellId] = await this.write(cellId, values);
					kept.push({ cellId, values });
				}
			});
			await this.store.refresh();
			for (const { cellId, values } of kept) this.forget(cellId, values);
			return all;
		});
		this.line = done;
		return done;
	}

	private write(cellId: number, values: Inspection): Promise<StoredInspection> {
		const before = this.known[cellId];
		return before
			? this.store.change(before.id, { ...values, version: before.version })
			: this.store.create({ ...values, cellId });
	}

	/** What was stored is no draft any more, unless it was changed meanwhile. */
	private forget(cellId: number, values: Inspection): void {
		const left = Object.entries(this.drafts[cellId] ?? {}).filter(
			([key, value]) => values[key as keyof Inspection] !== value
		);
		this.drafts[cellId] = Object.fromEntries(left);
	}
}

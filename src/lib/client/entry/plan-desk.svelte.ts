import { lookAgain } from '../tabs/look-again';
import { NO_PLAN, type BankPlan } from '$lib/core/plan/bank-plan';
import type { Interval } from '$lib/core/foundation/statistics';
import { attempt } from './announce';
import { ApiProblem, api } from '../api/api';
import type { BodyFor } from '../api/api-shapes';

/** A plan as it is stored, with what records carry. */
export type StoredPlan = BankPlan & { id: number; version: number };
type PlanBody = BodyFor<'post', 'plans'>;

/** The fields of a plan among those of its record. */
function planOf(stored: StoredPlan | null): BankPlan {
	if (!stored) return NO_PLAN;
	const fields = stored as unknown as Record<string, unknown>;
	return Object.fromEntries(
		Object.entries(NO_PLAN).map(([key, usual]) => [key, fields[key] ?? usual])
	) as unknown as BankPlan;
}

/** The plan of a bank while it is worked at: shown at once, written one change after the other, made with the first. */
export class PlanDesk {
	plan = $state<BankPlan>(NO_PLAN);
	/** What the year of use came to, as planned; null: not drawn since the plan was opened or changed. */
	drawnYear = $state<{ efcPerYear: number; yearsToEnd: Interval | null } | null>(null);
	#id: number | null = null;
	#version = 0;
	#written: Promise<unknown> = Promise.resolve();
	#open = 0;

	constructor(
		readonly bankId: number,
		stored: StoredPlan | null
	) {
		this.take(stored);
	}

	/** What the page was given anew; while changes are on their way theirs stand. */
	take(stored: StoredPlan | null): void {
		if (this.#open > 0) return;
		this.plan = planOf(stored);
		this.#id = stored?.id ?? null;
		this.#version = stored?.version ?? 0;
	}

	change(changes: Partial<BankPlan>): void {
		const before = this.plan;
		this.drawnYear = null;
		this.plan = { ...this.plan, ...changes };
		this.#open++;
		this.#written = this.#written.then(() => this.#write(changes, before));
	}

	async #write(changes: Partial<BankPlan>, before: BankPlan): Promise<void> {
		const done = await attempt(async () => {
			try {
				await this.#send(changes);
			} catch (error) {
				if (!(error instanceof ApiProblem && error.status === 409)) throw error;
				// Another tab was first: what it wrote stands, and this goes beside it unless it is of the same fields.
				const { items } = (await api.get('plans', { bankId: this.bankId })) as { items: unknown[] };
				const stored = (items[0] ?? null) as StoredPlan | null;
				const theirs = planOf(stored);
				const same = (key: keyof BankPlan) => JSON.stringify(theirs[key]) === JSON.stringify(before[key]);
				if (!stored || !(Object.keys(changes) as (keyof BankPlan)[]).every(same)) throw error;
				({ id: this.#id, version: this.#version } = stored);
				await this.#send(changes);
			}
		});
		this.#open--;
		// Refused, perhaps because another tab was first: what is stored is shown again.
		if (this.#open === 0 || !done) await lookAgain();
	}

	async #send(changes: Partial<BankPlan>): Promise<void> {
		const body = { ...changes } as unknown as Partial<PlanBody>;
		const stored =
			this.#id === null
				? await api.post('plans', { ...body, bankId: this.bankId } as PlanBody)
				: await api.patch(`plans/${this.#id}`, { ...body, version: this.#version });
		({ id: this.#id, version: this.#version } = stored as unknown as StoredPlan);
	}
}

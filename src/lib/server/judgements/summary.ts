import { worded, type KeptStageVerdict } from '$lib/core/bank';
import type { Stage, StageStatus, StageVerdict, Warmth } from '$lib/core/foundation/verdicts';

/** What Home and the rail show of a bank. */
export interface BankSummary {
	stages: StageStatus[];
	current: Stage;
	placed: boolean;
	warmth: Warmth;
	/** The warmest verdict that asks for something, null when none does; and how many do. */
	first: StageVerdict | null;
	needing: number;
	/** What stops a cell from being used: said on every page until it is resolved or set apart. */
	stops: { title: string; next: string | null }[];
}

/** The same as it is stored: verdicts as code and facts. */
export type KeptSummary = Omit<BankSummary, 'first' | 'stops'> & {
	first: KeptStageVerdict | null;
	stops: readonly KeptStageVerdict[];
};

/** A stored summary in words. Home names the first thing to do; the cells it speaks of, and what it stands on, are on its page. */
export function summaryInWords(text: string): BankSummary {
	// One of before may lack what was added since.
	const { first, stops = [], ...rest } = JSON.parse(text) as Omit<KeptSummary, 'stops'> & Partial<KeptSummary>;
	return {
		...rest,
		first: first && { ...worded(first), members: [], facts: {} },
		stops: stops.map(worded).map(({ title, next }) => ({ title, next }))
	};
}

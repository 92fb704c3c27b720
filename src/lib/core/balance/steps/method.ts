import { rowTailA } from '../../foundation/parallel-charge';
import { TOP_BALANCE_V } from '../../foundation/chemistry';
import { type Verdict } from '../../foundation/verdicts';
import { say } from '../verdicts';
import type { MethodEntry, MethodCell, MethodRun, MethodWorld } from '../../picture';

/** What a step may ask to be written down; `volts` is one a group, `asked` a question answered with yes. */
export const ENTRY_FIELDS = ['voltageV', 'currentA', 'ah', 'wh', 'volts', 'asked', 'words'] as const;

export type EntryField = (typeof ENTRY_FIELDS)[number];

/** What may be done next. */
export interface NextStep {
	step: string;
	cell: MethodCell | null;
	unit: string | null;
	/** Not before; null: at once. */
	from: string | null;
	/** What is to be done, in a sentence or two. */
	does: string;
	asks: readonly EntryField[];
	needs: readonly EntryField[];
	/** A question that has to be answered with yes before it is done. */
	question: string | null;
	/** Possible, but not what is next: shown after all others. */
	besides: boolean;
	/** How many volts are asked for, where they are; null: none are. */
	count: number | null;
	/** Volts beyond that, either sign, nobody can have read there; null: nothing is known. */
	mostV: number | null;
}

/** Somebody is wanted at that moment. */
export interface MethodDue {
	at: string;
	what: string;
	message: string;
}

export interface MethodState {
	verdicts: Verdict[];
	next: NextStep[];
	due: MethodDue[];
	/** Nothing more is to be done, and it is proved. */
	done: boolean;
	/** Cells may not be joined side by side before this has gone on. */
	locksJoining: boolean;
}

/** One method: what follows from its entries, pure. */
export type FollowMethod = (run: MethodRun, world: MethodWorld) => MethodState;

/** A row was full when its cells stood near the set voltage and took no more than the tail of so many. */
export const wasAtTail = (
	{ chemistry }: Pick<MethodWorld, 'chemistry'>,
	{ cellV, currentA, cells, cellAh }: { cellV: number | null; currentA: number | null; cells: number; cellAh: number }
): boolean =>
	cellV !== null &&
	currentA !== null &&
	cellV >= TOP_BALANCE_V[chemistry] - NEAR_TAIL_V &&
	Math.abs(currentA) <= rowTailA(cells, cellAh);

/** What is said of an end that was none. */
export const notAtTail = (
	{ subject, cellAh }: Pick<MethodWorld, 'subject' | 'cellAh'>,
	{ voltageV, currentA }: Pick<MethodEntry, 'voltageV' | 'currentA'>,
	cells: number
): Verdict => say('steps-not-full', 'look', subject, { voltageV, currentA, tailA: rowTailA(cells, cellAh) });

/** Chargers end a little below what a supply is set to, V (default). */
const NEAR_TAIL_V = 0.06;

export const HOUR_MS = 3_600_000;

export const later = (at: string, hours: number): string => new Date(Date.parse(at) + hours * HOUR_MS).toISOString();

export const ofStep = (run: MethodRun, step: string): MethodEntry[] => run.entries.filter((e) => e.step === step);

/** A step as it may be done next; what is not said does not apply. */
export const step = (
	name: string,
	does: string,
	needs: readonly EntryField[],
	more: Partial<Pick<NextStep, 'cell' | 'unit' | 'from' | 'question' | 'besides' | 'count' | 'mostV'>> & {
		also?: readonly EntryField[];
	} = {}
): NextStep => ({
	step: name,
	does,
	needs: more.question ? [...needs, 'asked'] : needs,
	asks: [...needs, ...(more.also ?? []), ...(more.question ? (['asked'] as const) : [])],
	cell: more.cell ?? null,
	unit: more.unit ?? null,
	from: more.from ?? null,
	question: more.question ?? null,
	besides: more.besides ?? false,
	count: more.count ?? null,
	mostV: more.mostV ?? null
});

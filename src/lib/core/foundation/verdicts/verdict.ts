import type { Stage } from './stage';
import type { Warmth } from './warmth';

/** What a verdict may be about. */
export const SUBJECT_KINDS = [
	'bank',
	'battery',
	'group',
	'cell',
	'delivery',
	'module',
	'run',
	'balance',
	'method',
	'joint',
	'lead',
	'instrument'
] as const;
export type SubjectKind = (typeof SUBJECT_KINDS)[number];

/** One thing a verdict is about. Ids are the caller's; joints and leads have `battery/position`. */
export interface Subject {
	kind: SubjectKind;
	id: number | string;
	label: string;
}

/** A figure with its doubt, one standard deviation. */
export interface Measured {
	value: number;
	sd: number;
}

export type Fact = number | string | boolean | null | Measured | readonly Fact[] | { readonly [name: string]: Fact };
/** What a verdict stands on, by name; units are in the names. */
export type VerdictFacts = Readonly<Record<string, Fact>>;

/** A verdict in words. */
export interface Sentences {
	/** The conclusion in one short line. */
	title: string;
	/** What it rests on, with figures. */
	finding: string;
	/** The doubt, in words with figures; `null` when the verdict is a matter of counting. */
	doubt: string | null;
	/** The rule that was applied. */
	rule: string;
	/** The one next thing to do; `null` when nothing is. */
	next: string | null;
}

/** `nothing`: it is said, and nobody is asked; `after-stop`: a cell that must not be used comes first. */
export type Asks = 'nothing' | 'after-stop';

/** What a page shows as a verdict, whoever made it. */
export interface ShownVerdict extends Sentences {
	/** Stable name of the kind of verdict, e.g. `voltage-outlier`. */
	code: string;
	warmth: Warmth;
	subject?: Subject;
	members?: readonly Subject[];
	/** Why a person has set it apart; missing when nobody has. */
	setApart?: string;
}

/** Something said of one thing, before it has words. */
export interface Said<Facts> {
	subject: Subject;
	/** Where one verdict speaks of several. */
	members: readonly Subject[];
	facts: Facts;
}

/** How each code of a set is worded. */
export type Words<Set> = { [Code in keyof Set]: (said: Said<Set[Code]>) => Sentences };

/** A judgement as data: code, warmth, what it is about and stands on; its sentences come from those alone. */
export interface Verdict extends ShownVerdict {
	subject: Subject;
	members: readonly Subject[];
	facts: VerdictFacts;
	/** What became of its next step; missing: it stands as its words say. */
	asks?: Asks;
}

/** A verdict of a bank, with the stage that made it. */
export type StageVerdict = Verdict & { stage: Stage };

export const measured = (value: number, sd: number): Measured => ({ value, sd });

/** A cell as what a verdict is about. */
export const cellSubject = ({ id, label }: { id: number; label: string }): Subject => ({ kind: 'cell', id, label });

/** Where nothing is named: the bank that is asked about. */
export const WHOLE_BANK: Subject = { kind: 'bank', id: 0, label: 'this bank' };

/** Ids of the cells a verdict speaks of, its subject first; empty when it speaks of none. */
export function cellsOf({ subject, members }: Pick<ShownVerdict, 'subject' | 'members'>): number[] {
	return [...(subject ? [subject] : []), ...(members ?? [])].filter((s) => s.kind === 'cell').map((s) => Number(s.id));
}

/** What a person says of one thing they looked at. */
export const ANSWERS = ['good', 'bad', 'unsure'] as const;

export type Answer = (typeof ANSWERS)[number];

export const TERMINAL_KINDS = ['thread', 'stud', 'pad'] as const;

export type TerminalKind = (typeof TERMINAL_KINDS)[number];

export const SLEEVE_KINDS = ['original', 'renewed', 'none'] as const;

export const VENT_KINDS = ['round', 'oval', 'none'] as const;

/** What is looked at on a cell, in the order of a round with one hand. */
export const INSPECTED = ['leak', 'smell', 'bulge', 'vent', 'dent', 'terminals', 'thread', 'sleeve'] as const;

export type Inspected = (typeof INSPECTED)[number];

/** Felt where there is something to compare with; a look is complete without it. */
export const ALSO_FELT = ['heat'] as const;

export type Seen = Inspected | (typeof ALSO_FELT)[number];

/** A cell as somebody looked at it; null or missing: not looked at. */
export type Inspection = Partial<Record<Seen, Answer | null>> & {
	/** At the foot, in the middle, at the top, mm. */
	thicknessMm?: readonly (number | null)[] | null;
	terminalKind?: TerminalKind | null;
	sleeveKind?: (typeof SLEEVE_KINDS)[number] | null;
	ventKind?: (typeof VENT_KINDS)[number] | null;
	/** What was done with a cell that must not be used; it lifts only what can be lifted ({@link CANNOT_BE_LIFTED}). */
	resolved?: string | null;
};

/** What stops a cell from being used at all. */
export type StopReason = 'leak' | 'smell' | 'heat' | 'swelling' | 'vent';

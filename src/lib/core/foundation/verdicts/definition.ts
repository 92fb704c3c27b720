import type { Said, Sentences } from './verdict';
import type { Warmth } from './warmth';

/** Where what a verdict asks for is done: the place within its bank, and what the button says. */
export interface Remedy {
	to: string;
	text: string;
}

interface Parts<Facts, Urgency extends Warmth> {
	/** What it says, for whoever reads its code. */
	means: string;
	/** The urgencies it may have, from calm to stop. */
	urgencies: readonly Urgency[];
	/** Facts that only follow from others, or from how many were read: they alone change nothing. */
	follows?: readonly string[];
	/** Two or three words under the cell it speaks of; the title where it has none. */
	mark?: string | ((facts: Facts) => string);
	/** Its sentences, from what it is about and its facts alone. */
	words: (said: Said<Facts>) => Sentences;
}

/** A calm verdict is a good result, or something to know. */
interface Calm {
	calm: 'ok' | 'note';
}

/** Everything there is to know of one kind of verdict, in one place. */
export type Definition<Facts, Urgency extends Warmth = Warmth> = Parts<Facts, Urgency> &
	Partial<Calm> & { remedy?: Remedy };

/** What has to be written of it: a calm one says which kind of calm, one that may stop leads to its remedy. */
type Wanted<Facts, Urgency extends Warmth> = Parts<Facts, Urgency> &
	('calm' extends Urgency ? Calm : { calm?: never }) &
	('stop' extends Urgency ? { remedy: Remedy } : { remedy?: Remedy });

/** Defines one kind of verdict: `verdict<Facts>()({ … })`. Figures with a doubt are `Measured`, units in the names. */
export const verdict =
	<Facts extends object>() =>
	<const Urgency extends Warmth>(definition: Wanted<Facts, Urgency>): Definition<Facts, Urgency> =>
		definition;

/** Definitions by their codes. */
export type Definitions = Readonly<Record<string, Definition<never>>>;
export type FactsOf<Defined> = Defined extends { words: (said: Said<infer Facts>) => Sentences } ? Facts : never;
export type UrgencyOf<Defined> = Defined extends { urgencies: readonly (infer Urgency)[] } ? Urgency : never;

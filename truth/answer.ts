import type { TruthWorld } from './world';

/** What one question made of one world, against what was true there. */
export type Answer =
	/** A 95 % interval; `scale`: what its width is measured by; `stratum`: where it is not asked in ordinary conditions. */
	| { kind: 'interval'; of: string; stratum?: string; low: number; high: number; truth: number; scale: number }
	/** A stated probability, and whether it came to pass. */
	| { kind: 'probability'; of: string; stated: number; happened: boolean }
	/** Something hidden, or nothing; and whether the verdict said there was. */
	| { kind: 'defect'; of: string; present: boolean; called: boolean };

/** Something a person asks of the application, asked in a world whose truth is known. */
export interface Question {
	/** Units of what its intervals are measured by, for the table. */
	name: string;
	/** It takes so long that not every world is asked where time is short. */
	costly?: true;
	ask(world: TruthWorld): Answer[];
}

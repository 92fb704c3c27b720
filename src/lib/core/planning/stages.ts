import type { Warmth } from '../shared';

/** The nine stages of the job, in the practitioner's order. */
export const STAGES = ['plan', 'receive', 'test', 'match', 'balance', 'build', 'limits', 'prove', 'serve'] as const;
export type Stage = (typeof STAGES)[number];

export const STAGE_NAMES: Record<Stage, string> = {
	plan: 'Plan',
	receive: 'Receive',
	test: 'Test',
	match: 'Match',
	balance: 'Balance',
	build: 'Build',
	limits: 'Limits',
	prove: 'Prove',
	serve: 'Serve'
};

/** Where a bank stands in one stage. */
export interface StageStatus {
	stage: Stage;
	/** Not part of the product yet: shown, not entered. */
	available: boolean;
	/** How much is open; null when nothing is. */
	open: string | null;
	warmth: Warmth;
	done: boolean;
}

/** Something that goes on by itself and will need a person. */
export interface RunningWork {
	what: string;
	figures: string;
	/** When it should need a person, ISO, as a range; null when that cannot be told. */
	needsYouFrom: string | null;
	needsYouUntil: string | null;
	/** Share of the expected charge delivered, 0..1; null when unknown. */
	fraction: number | null;
	/** Now by the clock the times above are told in (a rehearsal has its own), ISO. */
	nowIso: string;
	/** Page that shows it; null for the stage it belongs to. */
	href: string | null;
	/** It waits for a person already. */
	waiting: boolean;
	/** It goes on until somebody stops it. */
	endless: boolean;
}

import type { Warmth } from './warmth';

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
	/** How much is open; null when nothing is. */
	open: string | null;
	warmth: Warmth;
	done: boolean;
}

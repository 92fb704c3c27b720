import type { BankPicture, StageJudgement } from '$lib/core/picture';
import type { Stage } from '$lib/core/foundation/verdicts';

/** A stage's one face: what it alone needs beside the bank's picture, and what it makes of both. */
export interface StageFace<Facts = unknown> {
	name: Stage;
	facts(picture: BankPicture): Promise<Facts>;
	judge(picture: BankPicture, facts: Facts): StageJudgement;
}

export const noFacts = async (): Promise<null> => null;

/** A stage as the registry keeps it, whatever its facts. */
export const defineStage = <Facts>(stage: StageFace<Facts>): StageFace => stage as StageFace;

import {
	STAGE_NAMES,
	WARMTHS,
	warmestFirst,
	type Stage,
	type StageStatus,
	type Warmth,
	type StageVerdict,
	type VerdictFacts,
	type Verdict
} from '../foundation/verdicts';
import { standsOnOther } from './every-verdict';
import { say } from './not-judged';
import { bankSubject, isInService, placedCells, statusOf, type BankPicture, type StageJudgement } from '../picture';

/** By what edition of the rules a bank was judged: raised whenever a rule changes, so that what changed with it is told. */
export const EDITION = 13;

/** What Home, the rail, the pages and the API know of a bank. */
export interface BankJudgement {
	stages: StageStatus[];
	/** The stage to go on with. */
	current: Stage;
	/** Cells have been given their groups. */
	placed: boolean;
	warmth: Warmth;
	/** Of every stage, in the order of the stages. */
	verdicts: StageVerdict[];
}

/** A stage that failed: the others stand. */
export const failedStage = (picture: BankPicture, stage: Stage, reason: string): StageJudgement => ({
	verdicts: [say('not-judged', 'look', bankSubject(picture), { stage: STAGE_NAMES[stage], reason })],
	done: false
});

/** Something a person has seen and set apart. */
export interface SetApart {
	stage: string;
	code: string;
	subjectKind: string;
	subjectId: string;
	reason: string;
	facts: VerdictFacts;
}

/** A verdict that was set apart stays, calm, until what it stands on has changed. */
function afterSetApart(stage: Stage, verdict: Verdict, apart: readonly SetApart[]): StageVerdict {
	const own = apart.find(
		(a) =>
			a.stage === stage &&
			a.code === verdict.code &&
			a.subjectKind === verdict.subject.kind &&
			a.subjectId === String(verdict.subject.id)
	);
	return own && !standsOnOther(own, verdict)
		? { ...verdict, stage, warmth: 'calm', setApart: own.reason }
		: { ...verdict, stage };
}

/**
 * A bank's stages put together: the one judgement that is shown everywhere.
 * @param judged each stage's own judgement, in the order of the stages; @param apart what a person has set apart
 */
export function judgeBank(
	picture: BankPicture,
	judged: readonly { stage: Stage; judgement: StageJudgement }[],
	apart: readonly SetApart[]
): BankJudgement {
	const stages: StageStatus[] = [];
	const verdicts: StageVerdict[] = [];
	for (const { stage, judgement } of judged) {
		const own = judgement.verdicts.map((v) => afterSetApart(stage, v, apart));
		verdicts.push(...own);
		// What is read or chosen is not done while something in it says stop.
		const done = judgement.done && own.every((v) => v.warmth !== 'stop');
		stages.push(statusOf(stage, { verdicts: own, done }));
	}
	const current = isInService(picture) ? 'serve' : (stages.find((s) => !s.done)?.stage ?? 'serve');
	const warmth = warmestFirst(verdicts)[0]?.warmth ?? 'calm';
	return { stages, current, placed: placedCells(picture).length > 0, warmth, verdicts };
}

export const warmthRank = (warmth: Warmth): number => WARMTHS.indexOf(warmth);

export { findingsOf } from './findings';
export { type BankJudgement, EDITION, failedStage, judgeBank, warmthRank } from './judge-bank';
export type { RunningWork } from './running-work';
export { type WhereWasI, whereWasI } from './where-was-i';
export {
	VERDICTS,
	VERDICT_CODES,
	definitionOf,
	sayAny,
	standsOnOther,
	type FactsByCode,
	type VerdictCode
} from './every-verdict';
export { keptFromWords, keptVerdict, worded, type KeptStageVerdict, type KeptVerdict } from './kept-verdict';

export { type ChargePhase, PHASE_WORDS, type Unmet, unmetWords } from './balance-words';
export { factsMoved, sameVerdict } from './compare';
export { refusalWords } from './match-words';
export { isMeasured } from './measured';
export type { MakerFigure } from './plan-words';
export { hardwareWords } from './planning-words';
export { rangeWords } from './range-words';
export { VERDICT_CODES, say } from './say';
export { STAGES, STAGE_NAMES, type Stage, type StageStatus } from './stage';
export {
	type Fact,
	SUBJECT_KINDS,
	type ShownVerdict,
	type StageVerdict,
	type Subject,
	type SubjectKind,
	type Verdict,
	type VerdictFacts,
	WHOLE_BANK,
	cellSubject,
	cellsOf,
	measured
} from './verdict';
export { WARMTHS, type Warmth, warmestFirst, warmestOf } from './warmth';

export { factsMoved, sameVerdict } from './compare';
export { isMeasured, voltsWords } from './measured';
export { rangeWords, shareWords } from './range-words';
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
export { verdict, type Definition, type Definitions, type FactsOf, type Remedy, type UrgencyOf } from './definition';
export { askingAfterStop, askingNothing, nextLeft } from './asks';
export { countWords, listWords } from './list-words';
export { sayFrom } from './say';
export type { Asks, Measured, Said, Sentences } from './verdict';

export { PHASE_WORDS, unmetWords, type ChargePhase, type Unmet } from './balance-words';
export { factsMoved, sameVerdict } from './compare';
export type { BadRelease, BrokenLink } from './limits-words';
export { isMeasured } from './measured';
export { refusalWords } from './match-words';
export { rangeWords } from './range-words';
export { hardwareWords } from './planning-words';
export type { MakerFigure } from './plan-words';
export { VERDICT_CODES, say, type FactsByCode, type VerdictCode } from './say';
export {
	SUBJECT_KINDS,
	WHOLE_BANK,
	cellSubject,
	cellsOf,
	measured,
	type Fact,
	type Measured,
	type Sentences,
	type ShownVerdict,
	type StageVerdict,
	type Subject,
	type SubjectKind,
	type Verdict,
	type VerdictFacts
} from './verdict';

import { factsMoved, sayFrom, type Definition, type FactsOf, type Verdict } from '../foundation/verdicts';
import { READING_VERDICTS } from '../foundation/reading';
import { SNAPSHOT_VERDICTS } from '../foundation/snapshot';
import { SHARED_VERDICTS } from '../picture';
import { PLAN_VERDICTS } from '../plan/verdicts';
import { RECEIVE_VERDICTS } from '../receive/verdicts';
import { TEST_VERDICTS } from '../test/verdicts';
import { MATCH_VERDICTS } from '../match/verdicts';
import { BALANCE_VERDICTS } from '../balance/verdicts';
import { BUILD_VERDICTS } from '../build/verdicts';
import { LIMITS_VERDICTS } from '../limits/verdicts';
import { PROVE_VERDICTS } from '../prove/verdicts';
import { SERVE_VERDICTS } from '../serve/verdicts';
import { NOT_JUDGED_VERDICTS } from './not-judged';

/** Every verdict there is, by its code, in the order of the stages. */
export const VERDICTS = {
	...PLAN_VERDICTS,
	...RECEIVE_VERDICTS,
	...TEST_VERDICTS,
	...MATCH_VERDICTS,
	...BALANCE_VERDICTS,
	...BUILD_VERDICTS,
	...LIMITS_VERDICTS,
	...PROVE_VERDICTS,
	...SERVE_VERDICTS,
	...READING_VERDICTS,
	...SNAPSHOT_VERDICTS,
	...SHARED_VERDICTS,
	...NOT_JUDGED_VERDICTS
};

export type VerdictCode = keyof typeof VERDICTS;
/** What each code stands on. */
export type FactsByCode = { [Code in VerdictCode]: FactsOf<(typeof VERDICTS)[Code]> };
export const VERDICT_CODES = Object.keys(VERDICTS) as VerdictCode[];

/** The definition of a code; null for one that is no longer said. */
export const definitionOf = (code: string): Definition<never> | null =>
	Object.hasOwn(VERDICTS, code) ? (VERDICTS as Readonly<Record<string, Definition<never>>>)[code]! : null;

/** Whether two verdicts of one code stand on other facts, by what that code says only follows. */
export const standsOnOther = (before: Pick<Verdict, 'code' | 'facts'>, now: Pick<Verdict, 'facts'>): boolean =>
	factsMoved(before.facts, now.facts, definitionOf(before.code)?.follows);

/** Says any verdict. */
export const sayAny = sayFrom(VERDICTS);

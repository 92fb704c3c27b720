import type { Warmth } from './warmth';
import { ANY_STAGE_WORDS, type AnyStageFacts } from './any-stage-words';
import { ARRIVAL_WORDS, type ArrivalFacts } from './arrival-words';
import { BALANCE_WORDS, type BalanceFacts } from './balance-words';
import { BALANCER_WORDS, type BalancerFacts } from './balancer-words';
import { BUILD_WORDS, type BuildFacts } from './build-words';
import { CHARGE_WORDS, type ChargeFacts } from './charge-words';
import { CODE_WORDS, type CodeFacts } from './code-words';
import { GRADE_WORDS, type GradeFacts } from './grade-words';
import { JOIN_WORDS, type JoinFacts } from './join-words';
import { LABEL_WORDS, type LabelFacts } from './label-words';
import { LIMITS_WORDS, type LimitsFacts } from './limits-words';
import { LINKS_WORDS, type LinksFacts } from './links-words';
import { MATCH_WORDS, type MatchFacts } from './match-words';
import { METHOD_WORDS, type MethodFacts } from './method-words';
import { MODULE_WORDS, type ModuleFacts } from './module-words';
import { PLAN_WORDS, type PlanFacts } from './plan-words';
import { PLANNING_WORDS, type PlanningFacts } from './planning-words';
import { PROVE_WORDS, type ProveFacts } from './prove-words';
import { RECEIVE_WORDS, type ReceiveFacts } from './receive-words';
import { SERVE_WORDS, type ServeFacts } from './serve-words';
import { STORAGE_WORDS, type StorageFacts } from './storage-words';
import { TEST_WORDS, type TestFacts } from './test-words';
import { WITNESS_WORDS, type WitnessFacts } from './witness-words';
import type { Said, Sentences, Subject, Verdict, VerdictFacts } from './verdict';

/** What each code stands on. A new verdict is one entry here (through its stage) and its words beside it. */
export interface FactsByCode
	extends
		PlanFacts,
		LabelFacts,
		PlanningFacts,
		ReceiveFacts,
		ArrivalFacts,
		ModuleFacts,
		CodeFacts,
		StorageFacts,
		TestFacts,
		GradeFacts,
		WitnessFacts,
		MatchFacts,
		JoinFacts,
		LinksFacts,
		BalanceFacts,
		ChargeFacts,
		MethodFacts,
		BalancerFacts,
		BuildFacts,
		LimitsFacts,
		ProveFacts,
		ServeFacts,
		AnyStageFacts {}

export type VerdictCode = keyof FactsByCode;

const WORDS: { [C in VerdictCode]: (said: Said<FactsByCode[C]>) => Sentences } = {
	...PLAN_WORDS,
	...LABEL_WORDS,
	...PLANNING_WORDS,
	...RECEIVE_WORDS,
	...ARRIVAL_WORDS,
	...MODULE_WORDS,
	...CODE_WORDS,
	...STORAGE_WORDS,
	...TEST_WORDS,
	...GRADE_WORDS,
	...WITNESS_WORDS,
	...MATCH_WORDS,
	...JOIN_WORDS,
	...LINKS_WORDS,
	...BALANCE_WORDS,
	...CHARGE_WORDS,
	...METHOD_WORDS,
	...BALANCER_WORDS,
	...BUILD_WORDS,
	...LIMITS_WORDS,
	...PROVE_WORDS,
	...SERVE_WORDS,
	...ANY_STAGE_WORDS
};

/** Every code there is, in the order of the stages. */
export const VERDICT_CODES = Object.keys(WORDS) as VerdictCode[];

/** A verdict from its facts. @param members where it speaks of several */
export function say<C extends VerdictCode>(
	code: C,
	warmth: Warmth,
	subject: Subject,
	facts: FactsByCode[C],
	members: readonly Subject[] = []
): Verdict {
	const sentences = WORDS[code]({ subject, members, facts });
	return { code, warmth, subject, members, facts: facts as VerdictFacts, ...sentences };
}

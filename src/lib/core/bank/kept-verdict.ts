import { nextLeft, type Said, type Sentences, type StageVerdict, type Verdict } from '../foundation/verdicts';
import { definitionOf } from './every-verdict';

/** A verdict as it is stored: code and facts. Its sentences are made when it is read. */
export type KeptVerdict<V extends Verdict = Verdict> = Omit<V, keyof Sentences> & {
	/** Sentences of a code that is no longer said: as they were then. */
	wordsThen?: Sentences;
};
export type KeptStageVerdict = KeptVerdict<StageVerdict>;

/** A verdict without its sentences. */
export function keptVerdict<V extends Verdict>(verdict: V): KeptVerdict<V> {
	const { title, finding, doubt, rule, next, ...kept } = verdict;
	return definitionOf(verdict.code) ? kept : { ...kept, wordsThen: { title, finding, doubt, rule, next } };
}

/** The sentences its facts give today; null for a code that is no longer said, and for facts of an earlier rule that lack what they want. */
function madeOf({ code, subject, members, facts }: KeptVerdict): Sentences | null {
	const definition = definitionOf(code);
	if (!definition) return null;
	try {
		return (definition.words as (said: Said<unknown>) => Sentences)({ subject, members, facts });
	} catch {
		return null;
	}
}

/** Of facts whose words can no longer be made, because an earlier rule kept others. */
const onlyNamed = ({ code, wordsThen }: KeptVerdict): Sentences =>
	wordsThen ?? {
		title: definitionOf(code)?.means ?? code,
		finding: 'It was said by an earlier rule, and its words are no longer known.',
		doubt: null,
		rule: 'What was said before is shown from the facts of then.',
		next: null
	};

/** A verdict of before as it is stored now: in words of then where its facts no longer give any. */
export function keptFromWords<V extends Verdict>(verdict: V): KeptVerdict<V> {
	const kept = keptVerdict(verdict);
	const { title, finding, doubt, rule, next } = verdict;
	return madeOf(kept as KeptVerdict) ? kept : { ...kept, wordsThen: { title, finding, doubt, rule, next } };
}

/** A stored verdict in today's words; in those of then where its code is no longer said. */
export function worded<V extends Verdict>(kept: KeptVerdict<V>): V {
	const { wordsThen: _, ...rest } = kept;
	const sentences = madeOf(kept as KeptVerdict) ?? onlyNamed(kept as KeptVerdict);
	return { ...rest, ...sentences, next: nextLeft(sentences.next, kept.asks) } as unknown as V;
}

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

const words = (code: string, said: Said<unknown>): Sentences | null => {
	const definition = definitionOf(code);
	return definition && (definition.words as (said: Said<unknown>) => Sentences)(said);
};

/** Of facts whose words can no longer be made, because an earlier rule kept others. */
const onlyNamed = ({ code, wordsThen }: KeptVerdict): Sentences =>
	wordsThen ?? {
		title: definitionOf(code)?.means ?? code,
		finding: 'It was said by an earlier rule, and its words are no longer known.',
		doubt: null,
		rule: 'What was said before is shown from the facts of then.',
		next: null
	};

/** A stored verdict in today's words; in those of then where its code is no longer said. */
export function worded<V extends Verdict>(kept: KeptVerdict<V>): V {
	const { subject, members, facts, code, asks } = kept as KeptVerdict;
	let made: Sentences | null;
	try {
		made = words(code, { subject, members, facts });
	} catch {
		// Facts of an earlier rule may lack what the words of today want.
		made = null;
	}
	const { wordsThen: _, ...rest } = kept;
	const sentences = made ?? onlyNamed(kept as KeptVerdict);
	return { ...rest, ...sentences, next: nextLeft(sentences.next, asks) } as unknown as V;
}

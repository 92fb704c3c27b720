import { WHOLE_BANK, type Warmth, type Subject, type Verdict } from '../../foundation/verdicts';
import { say } from '../verdicts';
import type { LeadsJudgement } from './balance-leads';

/** A wiring that is this probable is named as what it is. */
const NAMED_FROM = 0.9;

/** A balance lead as what a verdict is about. */
const leadSubject =
	(battery: Subject) =>
	(lead: number): Subject => ({
		kind: 'lead',
		id: `${battery.id}/${lead}`,
		label: `Lead ${lead}`
	});

/**
 * What to make of the balance leads of a battery: right, wrong (the plug stays out), or not to be told yet.
 * @param subject the battery they belong to
 */
export function leadVerdict(judgement: LeadsJudgement, subject: Subject = WHOLE_BANK): Verdict {
	const { explanations, pass, unread, unexplained, next } = judgement;
	const [first] = explanations;
	const { code, leads, probability, text } = first!;
	if (pass && unexplained === 0) return say('leads-right', 'calm', subject, { probability });
	const facts = {
		likeliest: code,
		leads,
		probability,
		text,
		unread,
		unexplained,
		nextLead: next?.lead ?? null,
		nextAgainst: next?.against ?? null
	};
	const members = leads.map(leadSubject(subject));
	if (code !== 'right' && probability >= NAMED_FROM && unexplained === 0)
		return say('leads-wrong', 'stop', subject, facts, members);
	const rightShare = explanations.find((e) => e.code === 'right')?.probability ?? 0;
	const warmth: Warmth = rightShare > 0.5 && unexplained === 0 ? 'open' : 'stop';
	return say('leads-unclear', warmth, subject, facts, code === 'right' ? [] : members);
}

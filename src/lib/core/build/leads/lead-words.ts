import type { LeadCode, LeadWiring } from './lead-wirings';

const list = (leads: readonly number[]) =>
	leads.length < 2 ? String(leads[0] ?? '') : `${leads.slice(0, -1).join(', ')} and ${leads[leads.length - 1]}`;

/** An explanation in a sentence. @param orLike others of its kind are counted with it */
export function leadWords(
	code: LeadCode,
	leads: readonly number[],
	orLike: boolean,
	parts: LeadWiring['parts'] = null
): string {
	const like = orLike ? ' Others of this kind are as likely.' : '';
	switch (code) {
		case 'right':
			return 'Every lead sits on its own node.';
		case 'exchanged':
			return `Leads ${list(leads)} are exchanged.${like}`;
		case 'block-reversed':
			return `Leads ${leads[0]} to ${leads[leads.length - 1]} run in the reverse order.${like}`;
		case 'open':
			return `Lead ${list(leads)} touches no node: a broken crimp, or a pin that is not home.${like}`;
		case 'wrong-node':
			return `Lead ${list(leads)} sits on another lead’s node.${like}`;
		case 'doubled':
			return `Leads ${list(leads)} sit on one node.${like}`;
		case 'two-faults':
			return `Two things at once: ${(parts ?? []).map((p) => leadWords(p.code, p.leads, false)).join(' ')}${like}`;
		case 'polarity':
			return leads.length
				? `Cell ${leads[1]}, between leads ${list(leads)}, stands the wrong way round.${like}`
				: 'The whole plug is turned round, or the probes or battery plus and minus are taken for each other.';
	}
}

import type { ShownVerdict } from '$lib/core/foundation/verdicts';

/** Where what is claimed of a supplier is written down: it asks for a look, not for a stop. */
const REPORT = { to: 'receive/report', text: 'The report to the supplier' };
const FROM_LOOK: Record<string, { to: string; text: string }> = {
	'capacity-short': REPORT,
	'outside-grade': REPORT,
	'delivery-claim': REPORT,
	'self-discharge-high': REPORT,
	'terminals-not-promised': REPORT,
	'bottom-high': { to: 'balance/steps', text: 'Go to its steps' },
	'empty-set': { to: 'balance/steps', text: 'Go to its steps' },
	'fast-false-trip': { to: 'balance/steps', text: 'Go to its steps' },
	'links-unproved': { to: 'balance/steps', text: 'Write down the readings' },
	'match-refused': { to: 'match', text: 'Exchange them' }
};
/** Where a stop is mended: the place within its bank, and what the button says. */
const REMEDIES: Record<string, { to: string; text: string }> = {
	'balancer-smoke': { to: 'balance/steps', text: 'Say when it is safe' },
	'links-still-on': { to: 'balance/steps', text: 'Write down the readings' },
	polarity: { to: 'receive', text: 'Record where plus is' },
	'join-polarity': { to: 'receive', text: 'Record where plus is' },
	'row-stopped': { to: 'receive', text: 'See what stops it' },
	'join-unknown': { to: 'receive', text: 'Read these cells' },
	'join-refused': { to: 'receive', text: 'Read it again' },
	'fuse-over-cable': { to: 'build/wiring', text: 'Go to fuse and cable' },
	'chain-broken': { to: 'plan', text: 'Go to the cell’s figures' },
	'leads-wrong': { to: 'build/leads', text: 'Go to the leads' },
	'leads-unclear': { to: 'build/leads', text: 'Go to the leads' },
	'leads-exchanged': { to: 'build/leads', text: 'Read the leads' },
	'bms-leads': { to: 'build/leads', text: 'Read the leads' },
	'joint-loose': { to: 'prove/joints', text: 'Go to the joints' },
	'inspection-stop': { to: 'receive/look', text: 'Say what became of it' },
	'prove-shut': { to: 'build/parts', text: 'Go to the temporary parts' },
	'match-too-uneven': { to: 'match', text: 'Match again' }
};

/** The address that leads to the remedy of what stops or asks for a look, and its words; null where there is none, or one stands there already. */
export function remedyOf(
	{ code, warmth }: Pick<ShownVerdict, 'code' | 'warmth'>,
	bankId: number,
	here: string
): { href: string; text: string } | null {
	const remedy = warmth === 'stop' ? REMEDIES[code] : warmth === 'look' ? FROM_LOOK[code] : undefined;
	if (!remedy) return null;
	const href = `/banks/${bankId}/${remedy.to}`;
	return here === href ? null : { href, text: remedy.text };
}

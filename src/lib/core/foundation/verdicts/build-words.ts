import type { Words } from './verdict';

interface LeadsFacts {
	/** The most probable explanation of what was read, the leads it is about, and how probable it is. */
	likeliest: string;
	leads: readonly number[];
	probability: number;
	text: string;
	/** Leads nobody has read, and how many readings no single fault explains. */
	unread: readonly number[];
	unexplained: number;
	/** The reading that decides: a lead, against battery `negative` or `positive`. */
	nextLead: number | null;
	nextAgainst: string | null;
}

export interface BuildFacts {
	/** The balance leads of a battery have not been read with the plug out. */
	'leads-unread': { leads: number };
	/** Every balance lead reads what its own node must. */
	'leads-right': { probability: number };
	/** A balance lead sits where it must not: the plug stays out. */
	'leads-wrong': LeadsFacts;
	/** The readings do not settle how the balance leads sit. */
	'leads-unclear': LeadsFacts;
	/** Joints without a torque written down, by position (0: battery negative). */
	'torques-open': { joints: readonly number[]; of: number };
	/** Every joint has its torque and date. */
	'torques-kept': { joints: number };
	/** A joint was tightened outside what is usual, N·m. */
	'torque-odd': {
		torqueNm: number;
		lowNm: number;
		highNm: number;
		/** The range is the cell maker’s. */
		byMaker: boolean;
	};
	/** Parts that must come out again are still in. */
	'temporary-in': { parts: readonly string[] };
}

const THROUGH_A_METER =
	'A meter of 10 MΩ reads through a bad crimp: resistance in a lead shows only when the balancer draws current, as a shift of its group.';

const lead = (k: number, against: string | null) => `lead ${k} against battery ${against ?? 'negative'}`;

function nextWords({ nextLead, nextAgainst }: LeadsFacts): string {
	return nextLead === null ? 'Read every lead again, one by one.' : `Plug out: read ${lead(nextLead, nextAgainst)}.`;
}

/** Numbers as a person says them: `1, 2 and 5`. */
export const listWords = (items: readonly (number | string)[]): string =>
	items.length < 2 ? String(items[0] ?? '') : `${items.slice(0, -1).join(', ')} and ${items[items.length - 1]}`;

/** A probability: never 100 % sure. */
const percent = (share: number) =>
	share > 0.999 ? 'more than 99.9 %' : `${(share * 100).toFixed(share > 0.995 ? 1 : 0)} %`;

export const BUILD_WORDS: Words<BuildFacts> = {
	'leads-unread': ({ facts: { leads } }) => ({
		title: 'The balance leads are not read yet',
		finding: `${leads} leads; none may go into the BMS unread. Two swapped leads can destroy the BMS when you plug it in.`,
		doubt: null,
		rule: 'Lead k against battery negative reads the sum of groups 1 to k.',
		next: 'Leave the plug out. Black probe on battery negative, red on each pin in turn, and type what it reads.'
	}),
	'leads-right': ({ facts: { probability } }) => ({
		title: 'Every balance lead is on its own node',
		finding: `All leads read, and each reads the sum of the groups below it (sure: ${percent(probability)}).`,
		doubt: `An open lead 0 reads 0 V as a sound one does: read it once against battery positive. ${THROUGH_A_METER}`,
		rule: 'Readings weighed against every single fault: exchanged, reversed, open, wrong node, doubled, polarity.',
		next: null
	}),
	'leads-wrong': ({ facts }) => ({
		title: 'Leave the plug out: a balance lead is wrong',
		finding: `${facts.text} Sure by what was read: ${percent(facts.probability)}.`,
		doubt: facts.unread.length ? `Not read: lead ${listWords(facts.unread)}.` : THROUGH_A_METER,
		rule: 'Readings weighed against every single fault, and against two at once; the plug goes in when “right” is 99 % sure and every lead is read.',
		next: 'Correct it at the plug or at the bar, then read all leads again.'
	}),
	'leads-unclear': ({ facts }) => ({
		title:
			facts.likeliest === 'right' && facts.unexplained === 0
				? 'The balance leads look right so far'
				: 'Cannot tell how the balance leads sit',
		finding: `Most likely: ${facts.text} (${percent(facts.probability)})${
			facts.unexplained
				? ` But ${facts.unexplained} of the readings fit${facts.unexplained === 1 ? 's' : ''} nothing: more than one thing may be wrong.`
				: ''
		}`,
		doubt: facts.unread.length
			? `Not read: lead ${listWords(facts.unread)}.`
			: 'The readings fit more than one explanation.',
		rule: 'The plug goes in when “right” is 99 % sure and every lead is read.',
		next: nextWords(facts)
	}),
	'torques-open': ({ facts: { joints, of } }) => ({
		title: `${joints.length} of ${of} joints have no torque written down`,
		finding:
			joints.length === of ? 'No joint has been ticked.' : `Open: joint ${listWords(joints)} (0 is battery negative).`,
		doubt: null,
		rule: 'Each joint is cleaned, tightened with a torque wrench, and written down with its date.',
		next: 'Tighten joint by joint to the cell maker’s torque and tick each as you go.'
	}),
	'torques-kept': ({ facts: { joints } }) => ({
		title: 'Every joint has its torque',
		finding: `${joints} joints are written down.`,
		doubt: 'A torque says how tight the screw is, not that the faces touch: Prove reads each joint under load.',
		rule: 'Each joint with its value and date.',
		next: null
	}),
	'torque-odd': ({ facts: { torqueNm, lowNm, highNm, byMaker } }) => ({
		title: byMaker
			? `${torqueNm.toFixed(1)} N·m is not the maker’s torque`
			: `${torqueNm.toFixed(1)} N·m is unusual here`,
		finding: `${byMaker ? 'By the cell maker' : 'Usual for M6 in aluminium'}: ${lowNm.toFixed(1)} to ${highNm.toFixed(1)} N·m. ${torqueNm > highNm ? 'More can strip the thread or tear a welded stud.' : 'Less may come loose and burns under load.'}`,
		doubt: byMaker ? null : 'The cell maker’s torque comes first: other screws and studs have other figures.',
		rule: byMaker
			? 'The cell type’s torque, within 10 % for the wrench.'
			: `M6 in aluminium ${lowNm} to ${highNm} N·m (default).`,
		next: 'Check it against the cell maker’s sheet.'
	}),
	'temporary-in': ({ facts: { parts } }) => ({
		title: parts.length === 1 ? 'A temporary part is still in' : `${parts.length} temporary parts are still in`,
		finding: parts.join(', ') + '.',
		doubt: null,
		rule: 'Prove stays shut until every temporary part is out.',
		next: 'Take it out and tick it off in Build.'
	})
};

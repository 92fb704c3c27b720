import { PASS_FROM } from './bounds';
import { shareWords, listWords, verdict } from '../../foundation/verdicts';

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

const THROUGH_A_METER =
	'A meter of 10 MΩ reads through a bad crimp: resistance in a lead shows only when the balancer draws current, as a shift of its group.';

const lead = (k: number, against: string | null) => `lead ${k} against battery ${against ?? 'negative'}`;

function nextWords({ nextLead, nextAgainst }: LeadsFacts): string {
	return nextLead === null ? 'Read every lead again, one by one.' : `Plug out: read ${lead(nextLead, nextAgainst)}.`;
}

/** A probability: never 100 % sure. */
const percent = (share: number) =>
	share > 0.999 ? 'more than 99.9 %' : `${(share * 100).toFixed(share > 0.995 ? 1 : 0)} %`;

export const BUILT_VERDICTS = {
	'leads-unread': verdict<{ leads: number }>()({
		means: 'The balance leads of a battery have not been read with the plug out.',
		urgencies: ['open'],
		words: ({ facts: { leads } }) => ({
			title: 'The balance leads are not read yet',
			finding: `${leads} leads; none may go into the BMS unread. Two swapped leads can destroy the BMS when you plug it in.`,
			doubt: null,
			rule: 'Lead k against battery negative reads the sum of groups 1 to k.',
			next: 'Leave the plug out. Black probe on battery negative, red on each pin in turn, and type what it reads.'
		})
	}),
	'leads-right': verdict<{ probability: number }>()({
		means: 'Every balance lead reads what its own node must.',
		urgencies: ['calm'],
		calm: 'ok',
		words: ({ facts: { probability } }) => ({
			title: 'Every balance lead is on its own node',
			finding: `All leads read, and each reads the sum of the groups below it (sure: ${percent(probability)}).`,
			doubt: `An open lead 0 reads 0 V as a sound one does: read it once against battery positive. ${THROUGH_A_METER}`,
			rule: 'Readings weighed against every single fault: exchanged, reversed, open, wrong node, doubled, polarity.',
			next: null
		})
	}),
	'leads-wrong': verdict<LeadsFacts>()({
		means: 'A balance lead sits where it must not: the plug stays out.',
		urgencies: ['stop'],
		remedy: { to: 'build/leads', text: 'Go to the leads' },
		words: ({ facts }) => ({
			title: 'Leave the plug out: a balance lead is wrong',
			finding: `${facts.text} Sure by what was read: ${percent(facts.probability)}.`,
			doubt: facts.unread.length ? `Not read: lead ${listWords(facts.unread)}.` : THROUGH_A_METER,
			rule: `Readings weighed against every single fault, and against two at once; the plug goes in when “right” is ${shareWords(PASS_FROM)} sure and every lead is read.`,
			next: 'Correct it at the plug or at the bar, then read all leads again.'
		})
	}),
	'leads-unclear': verdict<LeadsFacts>()({
		means: 'The readings do not settle how the balance leads sit.',
		urgencies: ['open', 'stop'],
		remedy: { to: 'build/leads', text: 'Go to the leads' },
		words: ({ facts }) => ({
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
			rule: `The plug goes in when “right” is ${shareWords(PASS_FROM)} sure and every lead is read.`,
			next: nextWords(facts)
		})
	}),
	'torques-open': verdict<{ joints: readonly number[]; of: number }>()({
		means: 'Joints without a torque written down, by position (0: battery negative).',
		urgencies: ['open'],
		words: ({ facts: { joints, of } }) => ({
			title: `${joints.length} of ${of} joints have no torque written down`,
			finding:
				joints.length === of
					? 'No joint has been ticked.'
					: `Open: joint ${listWords(joints)} (0 is battery negative).`,
			doubt: null,
			rule: 'Each joint is cleaned, tightened with a torque wrench, and written down with its date.',
			next: 'Tighten joint by joint to the cell maker’s torque and tick each as you go.'
		})
	}),
	'torques-kept': verdict<{ joints: number }>()({
		means: 'Every joint has its torque and date.',
		urgencies: ['calm'],
		calm: 'ok',
		words: ({ facts: { joints } }) => ({
			title: 'Every joint has its torque',
			finding: `${joints} joints are written down.`,
			doubt: 'A torque says how tight the screw is, not that the faces touch: Prove reads each joint under load.',
			rule: 'Each joint with its value and date.',
			next: null
		})
	}),
	'torque-odd': verdict<{
		torqueNm: number;
		lowNm: number;
		highNm: number;
		/** The range is the cell maker’s. */
		byMaker: boolean;
	}>()({
		means: 'A joint was tightened outside what is usual, N·m.',
		urgencies: ['look'],
		words: ({ facts: { torqueNm, lowNm, highNm, byMaker } }) => ({
			title: byMaker
				? `${torqueNm.toFixed(1)} N·m is not the maker’s torque`
				: `${torqueNm.toFixed(1)} N·m is unusual here`,
			finding: `${byMaker ? 'By the cell maker' : 'Usual for M6 in aluminium'}: ${lowNm.toFixed(1)} to ${highNm.toFixed(1)} N·m. ${torqueNm > highNm ? 'More can strip the thread or tear a welded stud.' : 'Less may come loose and burns under load.'}`,
			doubt: byMaker ? null : 'The cell maker’s torque comes first: other screws and studs have other figures.',
			rule: byMaker
				? 'The cell type’s torque, within 10 % for the wrench.'
				: `M6 in aluminium ${lowNm} to ${highNm} N·m (default).`,
			next: 'Check it against the cell maker’s sheet.'
		})
	}),
	'temporary-in': verdict<{ parts: readonly string[] }>()({
		means: 'Parts that must come out again are still in.',
		urgencies: ['look'],
		words: ({ facts: { parts } }) => ({
			title: parts.length === 1 ? 'A temporary part is still in' : `${parts.length} temporary parts are still in`,
			finding: parts.join(', ') + '.',
			doubt: null,
			rule: 'Prove stays shut until every temporary part is out.',
			next: 'Take it out and tick it off in Build.'
		})
	})
};

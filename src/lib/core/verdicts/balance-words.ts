import type { Measured, Said, Words } from './verdict';

export type ChargePhase = 'not-started' | 'constant-current' | 'lead-limited' | 'taper' | 'held';

/** The phases of a parallel charge in words. */
export const PHASE_WORDS: Record<ChargePhase, string> = {
	'not-started': 'not started',
	'constant-current': 'at full current',
	'lead-limited': 'held back by its leads',
	taper: 'in the taper',
	held: 'at the tail'
};

/** What still keeps a charge from being done. */
export type Unmet =
	| { wanted: 'first-reading' }
	| { wanted: 'supply-at-set'; setV: number }
	| { wanted: 'meter-at-cells' }
	| { wanted: 'cells-at-set'; setV: number; cellV: number }
	| { wanted: 'tail-held'; tailA: number; minutes: number };

/** What is missing, in words. */
export function unmetWords(unmet: Unmet): string {
	switch (unmet.wanted) {
		case 'first-reading':
			return 'No reading yet';
		case 'supply-at-set':
			return `Supply at ${unmet.setV.toFixed(2)} V`;
		case 'meter-at-cells':
			return 'Meter reading at the cells';
		case 'cells-at-set':
			return `Cells at ${unmet.setV.toFixed(2)} V by your meter, not ${unmet.cellV.toFixed(3)} V`;
		case 'tail-held':
			return `Current below ${unmet.tailA.toFixed(1)} A for ${unmet.minutes} minutes`;
	}
}

interface JoinFacts {
	peakA: Measured;
	limitA: number;
	/** Of the cell furthest from the others. */
	differenceV: number;
	worst: string;
	cRate: number;
}

interface SpreadFacts {
	spreadV: number;
	groups: number;
}

interface ApartFacts {
	spreadV: number;
	apartAh: Measured;
	balancedShare: number;
}

export interface BalanceFacts {
	/** Cells without a rest voltage since they were last charged or discharged; members are those cells. */
	'join-unknown': { unread: number; of: number; cRate: number };
	/** One cell too far from the others to be joined. */
	'join-refused': JoinFacts;
	/** The joining current stays within the limit. */
	'join-checked': JoinFacts;
	/** The done rule of a parallel charge holds. */
	'balance-done': { holdMinutes: number };
	/** A parallel charge goes on: what is still missing. */
	'balance-unmet': { phase: ChargePhase; unmet: readonly Unmet[] };
	/** A parallel charge was ended before it was done: what was still missing. */
	'balance-ended': { unmet: readonly Unmet[] };
	/** The current is low although the cells are below the set voltage. */
	'lead-drop': { leadOhm: number | null };
	/** A balance was planned and its supply is not on. */
	'balance-waiting': { ticked: number };
	/** Group voltages under current. */
	'balance-loaded': SpreadFacts & { currentA: number };
	/** Group voltages all on the plateau. */
	'balance-plateau': SpreadFacts;
	/** Group voltages of which some are on the plateau. */
	'balance-partly': SpreadFacts & { onPlateau: number };
	/** Together at the top. */
	'balanced-top': ApartFacts;
	/** Apart at the top. */
	'apart-top': ApartFacts;
	/** Together at the bottom. */
	'balanced-bottom': ApartFacts;
	/** Apart at the bottom. */
	'apart-bottom': ApartFacts;
}

const joinRule = (cRate: number) =>
	`Peak current ΔV ÷ (both resistances + links) against ${cRate} C of the smallest cell.`;
const joinFigures = ({ facts }: Said<JoinFacts>) => ({
	finding: `At most about ${facts.peakA.value.toFixed(0)} A for a moment (${facts.worst}, ${Math.round(facts.differenceV * 1000)} mV from the others); limit ${facts.limitA.toFixed(0)} A.`,
	doubt: 'Resistances from the AC reading × 1.4, links 0.2 mΩ: good to about a third.',
	rule: joinRule(facts.cRate)
});

const cannotTell = (finding: string, rule: string, next: string) => ({
	title: 'These readings cannot tell',
	finding: `${finding}.`,
	doubt: 'Any answer from here would be a guess.',
	rule,
	next
});
const mv = ({ spreadV }: { spreadV: number }) => `${Math.round(spreadV * 1000)} mV`;

const answer =
	(end: 'top' | 'bottom', balanced: boolean) =>
	({ facts }: Said<ApartFacts>) => ({
		title: balanced ? `Balanced at the ${end}` : `Apart by ${facts.apartAh.value.toFixed(1)} Ah at the ${end}`,
		finding: `${mv(facts)} between highest and lowest, ${facts.apartAh.value.toFixed(2)} Ah on this part of the curve.`,
		doubt: `± ${facts.apartAh.sd.toFixed(2)} Ah from the meter.${end === 'bottom' ? ' It says nothing about the top.' : ' At the bottom the groups will part again by their difference in capacity.'}`,
		rule: `Balanced when the groups are within ${facts.balancedShare * 100} % of capacity (default).`,
		next: balanced ? null : 'Balance again, or let the BMS work near full and read again in a week.'
	});

export const BALANCE_WORDS: Words<BalanceFacts> = {
	'join-unknown': ({ facts: { unread, of, cRate }, members }) => ({
		title: 'Do not join these cells yet',
		finding: `${unread} of ${of} have no rest voltage since they were last tested.`,
		doubt: null,
		rule: joinRule(cRate),
		next: `Read ${members[0]?.label ?? 'them'} with your meter.`
	}),
	'join-refused': (said) => ({
		title: `${said.facts.worst} must not join the others yet`,
		...joinFigures(said),
		next: `Charge ${said.facts.worst} on its own until it is within ${Math.floor((said.facts.limitA / said.facts.peakA.value) * said.facts.differenceV * 1000)} mV of the others.`
	}),
	'join-checked': (said) => ({
		title: 'Joining current stays within the limit',
		...joinFigures(said),
		next: null
	}),
	'balance-done': ({ facts: { holdMinutes } }) => ({
		title: 'Full and balanced: end it now',
		finding: `Supply at the set voltage, tail held for ${holdMinutes} minutes, meter agrees.`,
		doubt: null,
		rule: 'Do not leave cells held at the limit.',
		next: 'Switch the supply off, take its leads off, and end the balance here.'
	}),
	'balance-unmet': ({ facts: { phase, unmet } }) => ({
		title: `Not done: ${PHASE_WORDS[phase]}`,
		finding: `${unmet.map(unmetWords).join('. ')}.`,
		doubt: null,
		rule: 'Done: set voltage, tail below 0.02 C of one cell for 30 minutes, meter at the cells agrees.',
		next: 'Read supply and meter again when you pass by.'
	}),
	'balance-ended': ({ facts: { unmet } }) => ({
		title: 'Ended, not proved balanced',
		finding: unmet.length
			? `What was missing when it was ended: ${unmet.map(unmetWords).join('. ')}.`
			: 'No reading kept here proves it.',
		doubt: 'It may be balanced all the same: nothing recorded here tells.',
		rule: 'Done: set voltage, tail below 0.02 C of one cell for 30 minutes, meter at the cells agrees.',
		next: 'Plan another balance and read it to its end.'
	}),
	'lead-drop': ({ facts: { leadOhm } }) => ({
		title: 'Low current is the leads, not a full battery',
		finding: `The cells are below the set voltage while the current is low${leadOhm === null ? '' : `: the leads have ${(leadOhm * 1000).toFixed(0)} mΩ`}.`,
		doubt: leadOhm === null ? 'Read the supply’s volts as well to know by how much.' : null,
		rule: 'R = (supply V − cell V) ÷ A.',
		next: 'Use shorter, thicker leads with ring terminals.'
	}),
	'balance-waiting': ({ facts: { ticked } }) => ({
		title: 'A balance is planned, its supply is not on',
		finding: `${ticked} ${ticked === 1 ? 'thing is' : 'things are'} ticked off before the supply goes on.`,
		doubt: null,
		rule: 'The supply is set and checked before it is connected.',
		next: 'Go through the list, then switch the supply on.'
	}),
	'balance-loaded': ({ facts }) =>
		cannotTell(
			`${mv(facts)} apart at ${facts.currentA.toFixed(0)} A`,
			'Under current, joints and resistance look like charge.',
			'Wait until the current is below the tail, then read again.'
		),
	'balance-plateau': ({ facts }) =>
		cannotTell(
			`${mv(facts)} apart, every group on the plateau`,
			'There, groups a third apart in charge read alike within a few millivolts.',
			'Charge until the first group passes 3.45 V, let the current fall to the tail, and read all groups then.'
		),
	'balance-partly': ({ facts }) =>
		cannotTell(
			`${mv(facts)} apart; ${facts.onPlateau} of ${facts.groups} groups still on the plateau`,
			'They are certainly apart if this is the end of a charge, but by how much cannot be told.',
			'Go on charging at a few amperes; watch the highest group, and read again when all are above 3.40 V.'
		),
	'balanced-top': answer('top', true),
	'apart-top': answer('top', false),
	'balanced-bottom': answer('bottom', true),
	'apart-bottom': answer('bottom', false)
};

import { HOLD_S, TAIL_C_RATE, unmetWords, type ChargePhase, type Unmet } from '../../foundation/parallel-charge';
import { shareWords, verdict, rangeWords, type Said } from '../../foundation/verdicts';
import { KNEE_V, type Chemistry } from '../../foundation/chemistry';
import type { Interval } from '../../foundation/statistics';

const UNMET_TITLES: Record<ChargePhase, string> = {
	'not-started': 'The charge has not started',
	off: 'The supply is off',
	'constant-current': 'Still charging at full current',
	'lead-limited': 'Still charging, held back by its leads',
	taper: 'Still charging, in the taper',
	held: 'At the tail current, not yet done'
};

interface ApartFacts {
	/** Of one cell. */
	spreadV: number;
	groups: number;
	/** Between the fullest and the emptiest group. */
	apartAh: Interval;
	/** Apart by no more than this share of a group counts as balanced. */
	balancedShare: number;
	cellsPerReading: number;
	chemistry: Chemistry;
}

const percents = (low: number, high: number) => {
	const [from, to] = [Math.round(low * 100), Math.round(high * 100)];
	return from === to ? `about ${to} %` : `${from} to ${to} %`;
};

/** A row that may hold this much may have been full. */
const FULL_SHARE = 0.99;

const mv = ({ spreadV }: { spreadV: number }) => `${Math.round(spreadV * 1000)} mV`;

const share = ({ balancedShare }: ApartFacts) => `${shareWords(balancedShare)}`;

/** What cannot be told, with the interval that can. */
const cannotTell = (facts: ApartFacts, finding: string, rule: string, next: string) => ({
	title: 'These readings cannot tell',
	finding: `${finding}.`,
	doubt: `From these readings the groups may be apart by ${rangeWords(facts.apartAh, 'Ah')} (95 %).`,
	rule,
	next
});

const readHigher = ({ chemistry }: ApartFacts) =>
	`Charge until the first group passes ${(KNEE_V[chemistry] + 0.05).toFixed(2)} V, let the current fall to the tail, and read all groups then.`;

const answer =
	(end: 'top' | 'bottom', balanced: boolean) =>
	({ facts }: Said<ApartFacts>) => ({
		title: balanced ? `Balanced at the ${end}` : `Apart by at least ${facts.apartAh.low95.toFixed(1)} Ah at the ${end}`,
		finding: `${mv(facts)} between highest and lowest: ${rangeWords(facts.apartAh, 'Ah')} apart, likeliest near ${facts.apartAh.likely.toFixed(1)} Ah.`,
		doubt: `95 %, from meter, joints, hysteresis and the curve itself${balanced ? '' : ': the low end is certain, the high end is where the plateau hides charge'}.${end === 'bottom' ? ' It says nothing about the top.' : ' At the bottom the groups will part again by their difference in capacity.'}`,
		rule: `Balanced when all of that lies within ${share(facts)} of a group’s capacity (default).`,
		next: balanced
			? null
			: end === 'top'
				? 'Balance again, or let the BMS work near full and read again in a week.'
				: 'Bring the groups together at the end they are to stand together at.'
	});

const DONE_RULE = `Done: set voltage, tail below ${TAIL_C_RATE} C of one cell for ${HOLD_S / 60} minutes, meter at the cells agrees.`;

export const BALANCED_VERDICTS = {
	'balance-done': verdict<{ holdMinutes: number; flatA: number | null }>()({
		means: 'The done rule of a parallel charge holds.',
		urgencies: ['look'],
		words: ({ facts: { holdMinutes, flatA } }) => ({
			title: flatA === null ? 'Full and balanced: end it now' : 'It no longer falls: end it now',
			finding:
				flatA === null
					? `Supply at the set voltage, tail held for ${holdMinutes} minutes, meter agrees.`
					: `Supply at the set voltage, meter agrees, and the current has stood at ${flatA.toFixed(1)} A for two hours: what still flows is leakage.`,
			doubt: flatA === null ? null : 'One cell may self-discharge: read all of them after some weeks at rest.',
			rule: 'Tail held for half an hour, or flat for two hours. Do not leave cells held at the limit.',
			next: 'Switch the supply off, take its leads off, and end the balance here.'
		})
	}),
	'balance-unmet': verdict<{ phase: ChargePhase; unmet: readonly Unmet[] }>()({
		means: 'A parallel charge goes on: what is still missing.',
		urgencies: ['calm'],
		calm: 'note',
		words: ({ facts: { phase, unmet } }) => ({
			title: UNMET_TITLES[phase],
			finding: `Still to reach: ${unmet.map(unmetWords).join('; ')}.`,
			doubt: null,
			rule: DONE_RULE,
			next: 'Read supply and meter again when you pass by.'
		})
	}),
	'balance-ended': verdict<{ unmet: readonly Unmet[]; chargeLow: number | null; chargeHigh: number | null }>()({
		means: 'A parallel charge was ended before it was done: what was still missing.',
		urgencies: ['look'],
		follows: ['chargeLow', 'chargeHigh'],
		words: ({ facts: { unmet, chargeLow, chargeHigh } }) => ({
			title:
				chargeLow === null || chargeHigh === null
					? 'Ended, not proved balanced'
					: `Ended at ${percents(chargeLow, chargeHigh)}, not proved balanced`,
			finding: unmet.length
				? `Not reached when it was ended: ${unmet.map(unmetWords).join('; ')}.`
				: 'No reading kept here proves it.',
			doubt:
				chargeHigh !== null && chargeHigh < FULL_SHARE
					? 'By what went in it was not full yet, so nothing has balanced it.'
					: 'It may be balanced all the same: nothing recorded here tells.',
			rule: DONE_RULE,
			next: 'Go on with it where it was left, and read it to its end.'
		})
	}),
	'lead-drop': verdict<{ leadOhm: number | null; costH: number | null }>()({
		means: 'The current is low although the cells are below the set voltage.',
		urgencies: ['look'],
		words: ({ facts: { leadOhm, costH } }) => ({
			title: 'Low current is the leads, not a full battery',
			finding: `The cells are below the set voltage while the current is low${leadOhm === null ? '' : `: the leads have ${(leadOhm * 1000).toFixed(0)} mΩ`}.${costH === null || costH < 1 ? '' : ` Leads of a quarter of that would save about ${Math.round(costH)} h.`}`,
			doubt: leadOhm === null ? 'Read the supply’s volts as well to know by how much.' : null,
			rule: 'R = (supply V − cell V) ÷ A.',
			next: 'Use shorter, thicker leads with ring terminals.'
		})
	}),
	'balance-misses': verdict<{ cells: number; of: number }>()({
		means: 'Cells that sit in the bank were not in the row that was balanced.',
		urgencies: ['look'],
		words: ({ facts: { cells, of }, members }) => ({
			title: cells === 1 ? `${members[0]!.label} was not in the row` : `${cells} cells were not in the row`,
			finding: `${cells} of ${of} placed cells were not charged with the others: where they stand against them nobody knows.`,
			doubt: null,
			rule: 'Only cells that stood in the row to its end are balanced.',
			next: 'Balance all placed cells together, or bring these to the others first.'
		})
	}),
	'balance-waiting': verdict<{ ticked: number }>()({
		means: 'A balance was planned and its supply is not on.',
		urgencies: ['open'],
		words: ({ facts: { ticked } }) => ({
			title: 'A balance is planned, its supply is not on',
			finding: `${ticked} ${ticked === 1 ? 'thing is' : 'things are'} ticked off before the supply goes on.`,
			doubt: null,
			rule: 'The supply is set and checked before it is connected.',
			next: 'Go through the list, then switch the supply on.'
		})
	}),
	'balance-loaded': verdict<ApartFacts & { currentA: number }>()({
		means: 'Group voltages under current.',
		urgencies: ['open'],
		words: ({ facts }) =>
			cannotTell(
				facts,
				`${mv(facts)} apart at ${facts.currentA.toFixed(0)} A`,
				'Under current, joints and resistance look like charge.',
				'Wait until the current is below the tail, then read again.'
			)
	}),
	'balance-plateau': verdict<ApartFacts>()({
		means: 'Group voltages all on the plateau.',
		urgencies: ['open'],
		words: ({ facts }) =>
			cannotTell(
				facts,
				`${mv(facts)} apart, every ${facts.cellsPerReading > 1 ? 'unit' : 'group'} on the plateau`,
				'There, groups a third apart in charge read alike within a few millivolts.',
				readHigher(facts)
			)
	}),
	'balance-partly': verdict<ApartFacts & { onPlateau: number }>()({
		means: 'Group voltages of which some are on the plateau.',
		urgencies: ['open'],
		words: ({ facts }) =>
			cannotTell(
				facts,
				`${mv(facts)} apart; ${facts.onPlateau} of ${facts.groups} groups still on the plateau`,
				'How much charge a group on the plateau lacks does not show there.',
				`Go on charging at a few amperes; watch the highest group, and read again when all are above ${KNEE_V[facts.chemistry].toFixed(2)} V.`
			)
	}),
	'balance-unsure': verdict<ApartFacts>()({
		means: 'At an end of the curve, and yet too near the limit to be sure; or whole units, whose cells are not seen.',
		urgencies: ['open'],
		words: ({ facts }) =>
			cannotTell(
				facts,
				`${mv(facts)} apart`,
				facts.cellsPerReading > 1
					? 'A reading over several cells does not show one of them.'
					: `Too near ${share(facts)} of a group’s capacity to be sure either way.`,
				facts.cellsPerReading > 1
					? 'Read every cell, or trust each unit’s own BMS for what is inside.'
					: 'Read again an hour of charge later, or with a finer meter.'
			)
	}),
	'balance-units': verdict<{
		spreadV: number;
		units: number;
		cellsPerReading: number;
		apartAh: Interval | null;
		limitAh: number;
	}>()({
		means: 'Voltages of whole units: what is inside does not show; Ah counted between units, where somebody counted.',
		urgencies: ['open', 'look'],
		words: ({ facts: { spreadV, units, cellsPerReading, apartAh, limitAh } }) => ({
			title: apartAh && apartAh.low95 > limitAh ? 'The units are apart' : 'Voltages of whole units cannot tell',
			finding: `${Math.round(spreadV * 1000)} mV between ${units} units of ${cellsPerReading} cells.${apartAh ? ` Counted between them: ${rangeWords(apartAh, 'Ah')}.` : ''}`,
			doubt:
				'One full cell among others on the plateau reads like all of them a little higher: no cell inside is bounded by this.',
			rule: 'A voltage over several cells is judged only together with readings of the cells inside it.',
			next: 'Read every cell; or count the Ah between the units as each reaches the knee.'
		})
	}),
	'parted-at-bottom': verdict<ApartFacts>()({
		means: 'At the bottom of a battery that was balanced at the top: its groups part there by their capacities.',
		urgencies: ['calm'],
		calm: 'note',
		words: ({ facts }) => ({
			title: 'Parted at the bottom, as it should be',
			finding: `${mv(facts)} between highest and lowest: ${rangeWords(facts.apartAh, 'Ah')} apart.`,
			doubt: 'It says nothing about the top, where this battery was balanced.',
			rule: 'A battery balanced at the top stands together there; at the bottom its groups part by their capacities.',
			next: 'To see whether it is balanced, read the groups at the end of a full charge.'
		})
	}),
	'balanced-top': verdict<ApartFacts>()({
		means: 'Together at the top.',
		urgencies: ['calm'],
		calm: 'ok',
		words: answer('top', true)
	}),
	'apart-top': verdict<ApartFacts>()({
		means: 'Apart at the top.',
		urgencies: ['look'],
		words: answer('top', false)
	}),
	'balanced-bottom': verdict<ApartFacts>()({
		means: 'Together at the bottom.',
		urgencies: ['calm'],
		calm: 'ok',
		words: answer('bottom', true)
	}),
	'apart-bottom': verdict<ApartFacts>()({
		means: 'Apart at the bottom.',
		urgencies: ['look'],
		words: answer('bottom', false)
	})
};

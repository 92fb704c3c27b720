import { COULOMBIC } from './bounds';
import { verdict, listWords, type Measured } from '../../foundation/verdicts';
import type { Interval } from '../../foundation/statistics';

const mOhm = ({ low95, high95 }: Interval) => `${Math.max(0, low95).toFixed(2)} to ${high95.toFixed(2)} mΩ`;

const ah = ({ value, sd }: Measured) => `${value.toFixed(1)} ± ${sd.toFixed(1)} Ah`;

const signedPercent = (share: number) => `${share > 0 ? '+' : '−'}${Math.abs(share * 100).toFixed(1)} %`;

const signedMv = (volts: number) => `${volts > 0 ? '+' : '−'}${Math.abs(volts * 1000).toFixed(0)} mV`;

const tooMuch = (volts: number) => `${Math.abs(volts * 1000).toFixed(0)} mV too ${volts > 0 ? 'high' : 'low'}`;

/** A channel that reads high lets its cell go too low, and one that reads low lets it go too high. */
const limitsFor = (errorV: number) =>
	`${errorV > 0 ? 'raise the low-voltage cut-off' : 'lower the high-voltage cut-off'} by ${Math.abs(errorV * 1000).toFixed(0)} mV`;

const badly = (wrong: readonly string[]) => (wrong.length ? ` Came out badly: ${listWords(wrong)}.` : '');

const JOINT_RULE =
	'R = (V loaded − V at rest) ÷ I for each group, less the median of the others; what is left is its joint.';

const OUTSIDE = 'Main lugs, fuse, BMS and disconnect lie outside the sense points: read millivolts across each.';

export const PROOF_VERDICTS = {
	'prove-open': verdict<{ unchecked: readonly string[]; wrong: readonly string[]; checked: number }>()({
		means: 'What the gate still wants checked.',
		urgencies: ['open'],
		words: ({ facts: { unchecked, wrong, checked } }) => ({
			title: `${unchecked.length} of ${unchecked.length + checked} checks are open`,
			finding: `Not checked: ${listWords(unchecked)}.${badly(wrong)}`,
			doubt: null,
			rule: 'A bank is handed over when each check has been made, not when nothing has gone wrong.',
			next: 'Go down the list; each check says what it needs.'
		})
	}),
	'prove-checked': verdict<{ checked: number; wrong: readonly string[] }>()({
		means: 'Everything on the gate has been checked; some of it may have come out badly.',
		urgencies: ['calm', 'look'],
		calm: 'ok',
		words: ({ facts: { checked, wrong } }) => ({
			title: wrong.length
				? `${wrong.length} ${wrong.length === 1 ? 'check' : 'checks'} came out badly`
				: 'Every check on the list has been made',
			finding: `${checked} checks.${badly(wrong)}`,
			doubt:
				'Checked is not safe for ever: trips, covers, labels and the code that holds where you live are yours to see to.',
			rule: 'A bank is handed over when each check has been made.',
			next: wrong.length ? 'Mend what its verdict names, and check it again.' : null
		})
	}),
	'prove-shut': verdict<{ parts: readonly string[] }>()({
		means: 'Temporary parts are in: nothing is proved yet.',
		urgencies: ['stop'],
		remedy: { to: 'build/parts', text: 'Go to the temporary parts' },
		words: ({ facts: { parts } }) => ({
			title: 'Prove is shut: temporary parts are in',
			finding: `${parts.join(', ')}.`,
			doubt: null,
			rule: 'No load and no charger before the last temporary part is out.',
			next: 'Take them out and tick them off in Build.'
		})
	}),
	'joint-loose': verdict<{
		mOhm: Interval;
		heatW: number;
		currentA: number;
		ratedHeatW: number | null;
		ratedA: number | null;
		group: number;
	}>()({
		means: 'A joint has more resistance than its like, for sure; heat at the present and at the rated current.',
		urgencies: ['look', 'stop'],
		remedy: { to: 'prove/joints', text: 'Go to the joints' },
		words: ({ subject, facts }) => ({
			title: `A joint of ${subject.label.toLowerCase()} has too much resistance`,
			finding: `${mOhm(facts.mOhm)} more than its like: ${facts.heatW.toFixed(1)} W of heat at ${facts.currentA.toFixed(0)} A${facts.ratedHeatW === null ? '' : `, ${facts.ratedHeatW.toFixed(0)} W at the ${facts.ratedA!.toFixed(0)} A of the BMS`}.`,
			doubt: 'The cell itself may have it: a joint changes when it is cleaned and tightened, a cell does not.',
			rule: JOINT_RULE,
			next: `Load off. Clean and tighten joints ${facts.group - 1} and ${facts.group} to the maker’s torque, and read again.`
		})
	}),
	'joints-hidden': verdict<{
		lowestV: number;
		highestV: number;
		fromV: number;
		toV: number;
		apartV: number;
		suspects: number[];
	}>()({
		means: 'Groups at unlike charge, or near an end of it, sag by their charge: joints do not show.',
		urgencies: ['open', 'look'],
		words: ({ facts: { lowestV, highestV, fromV, toV, apartV, suspects } }) => ({
			title: 'Cannot judge the joints at this charge',
			finding: `The groups stood at ${lowestV.toFixed(3)} to ${highestV.toFixed(3)} V at rest. Joints show between ${fromV.toFixed(2)} and ${toV.toFixed(2)} V, no more than ${(1000 * apartV).toFixed(0)} mV apart.`,
			doubt: 'Nearer an end, or at unlike charge, a group sags by its charge, not by its joint.',
			rule: JOINT_RULE,
			next: `${suspects.length ? `Load off, and check the joints of group ${suspects.join(', ')} first: they sag most, by their charge or by a joint. Then bring` : 'Bring'} the battery to the middle of its charge, let it rest for an hour, and read again.`
		})
	}),
	'joints-unclear': verdict<{ seesMohm: number; currentA: number; wantedA: number }>()({
		means: 'The current was too small to show a bad joint.',
		urgencies: ['open'],
		words: ({ facts: { seesMohm, currentA, wantedA } }) => ({
			title: 'Cannot tell whether every joint is sound',
			finding: `At ${currentA.toFixed(0)} A this shows only what has more than ${seesMohm.toFixed(2)} mΩ too much.`,
			doubt: null,
			rule: JOINT_RULE,
			next: `Read again under about ${wantedA.toFixed(0)} A, or with a finer meter; the same seconds after switching on for every group.`
		})
	}),
	'joints-even': verdict<{ worst: number; mOhm: Interval; seesMohm: number; currentA: number }>()({
		means: 'No joint has more than its like beyond what the reading can see.',
		urgencies: ['calm'],
		calm: 'ok',
		words: ({ facts: { worst, mOhm: most, seesMohm, currentA } }) => ({
			title: 'No joint stands out',
			finding: `Most at group ${worst}: ${most.likely.toFixed(2)} mΩ over its like (${mOhm(most)}), read at ${currentA.toFixed(0)} A.`,
			doubt: `What has less than ${seesMohm.toFixed(2)} mΩ too much does not show. ${OUTSIDE}`,
			rule: JOINT_RULE,
			next: null
		})
	}),
	'bms-misreads': verdict<{ errorV: Measured; bmsV: number; meterV: number }>()({
		means: 'The BMS reads a group otherwise than the voltmeter, V (BMS less meter).',
		urgencies: ['look'],
		words: ({ subject, facts: { errorV, bmsV, meterV } }) => ({
			title: `The BMS reads ${subject.label.toLowerCase()} ${tooMuch(errorV.value)}`,
			finding: `BMS ${bmsV.toFixed(3)} V, voltmeter ${meterV.toFixed(3)} V: ${tooMuch(errorV.value)}, ± ${(1.96 * errorV.sd * 1000).toFixed(0)} mV.`,
			doubt: 'The two must be read within a minute, at rest; a voltmeter is wrong too: read a second group with it.',
			rule: 'BMS less voltmeter, beyond what both may err (95 %).',
			next: `Read again at rest. If it stays, check that lead’s crimp and calibrate the BMS. Until then ${limitsFor(errorV.value)}.`
		})
	}),
	'bms-leads': verdict<{ groups: readonly number[]; bmsV: readonly number[] }>()({
		means: 'The BMS sees groups at voltages they cannot have: its leads, not its reading.',
		urgencies: ['stop'],
		remedy: { to: 'build/leads', text: 'Read the leads' },
		words: ({ facts: { groups, bmsV } }) => ({
			title: `The BMS does not see group ${listWords(groups)}`,
			finding: `It reads ${bmsV.map((v) => v.toFixed(2)).join(', ')} V where the voltmeter reads a cell: balance leads sit wrong.`,
			doubt: null,
			rule: 'A reading off by half a cell and more is the wiring, not the instrument.',
			next: 'Pull the plug, read every lead in Build, and put them right.'
		})
	}),
	'bms-agrees': verdict<{ groups: number; worstV: number; sdV: number }>()({
		means: 'The BMS reads every group as the voltmeter does.',
		urgencies: ['calm'],
		calm: 'ok',
		words: ({ facts: { groups, worstV, sdV } }) => ({
			title: 'The BMS reads as the voltmeter does',
			finding: `${groups} groups; the furthest is off by ${signedMv(worstV)}.`,
			doubt: `Two instruments, ± ${(1.96 * sdV * 1000).toFixed(0)} mV between them (95 %).`,
			rule: 'BMS less voltmeter, group by group, at rest.',
			next: null
		})
	}),
	'counters-disagree': verdict<{ chargedAh: number; dischargedAh: number; gain: Measured }>()({
		means:
			'Ampere-hours that went out over those that went in do not fit; share by which the load’s counter is off if the other is right.',
		urgencies: ['look'],
		words: ({ facts: { chargedAh, dischargedAh, gain } }) => ({
			title: 'The counters of charge and discharge disagree',
			finding: `${chargedAh.toFixed(1)} Ah went in, ${dischargedAh.toFixed(1)} Ah came out: the load’s counter reads ${signedPercent(gain.value)} ± ${(gain.sd * 100).toFixed(1)} % of what the charger’s says.`,
			doubt:
				'Which of the two is wrong this alone does not say: a shunt in the same wire, or hours × amps, is the third witness.',
			rule: `Between the same two ends of charge, out ÷ in = ${COULOMBIC} for a sound cell.`,
			next: 'Set a third counter beside them before any capacity is believed.'
		})
	}),
	'counters-agree': verdict<{ chargedAh: number; dischargedAh: number; gain: Measured }>()({
		means: 'Ampere-hours in and out fit each other.',
		urgencies: ['calm'],
		calm: 'ok',
		words: ({ facts: { chargedAh, dischargedAh, gain } }) => ({
			title: 'Charge and discharge counters agree',
			finding: `${chargedAh.toFixed(1)} Ah in, ${dischargedAh.toFixed(1)} Ah out (${signedPercent(gain.value)} ± ${(gain.sd * 100).toFixed(1)} %).`,
			doubt: 'They may err alike.',
			rule: `Between the same two ends of charge, out ÷ in = ${COULOMBIC} for a sound cell.`,
			next: null
		})
	}),
	'capacity-as-matched': verdict<{ testedAh: Measured; forecastAh: Measured }>()({
		means: 'The battery gave what matching foretold.',
		urgencies: ['calm'],
		calm: 'ok',
		words: ({ facts: { testedAh, forecastAh } }) => ({
			title: 'The battery gives what matching foretold',
			finding: `${ah(testedAh)}; the smallest group was ${ah(forecastAh)}.`,
			doubt: null,
			rule: 'Without transfer a battery gives its smallest group.',
			next: 'Write it into BMS and shunt.'
		})
	}),
	'capacity-below-match': verdict<{ testedAh: Measured; forecastAh: Measured }>()({
		means: 'The battery gave less than its smallest group has.',
		urgencies: ['look'],
		words: ({ facts: { testedAh, forecastAh } }) => ({
			title: 'The battery gives less than its smallest group has',
			finding: `${ah(testedAh)} against ${ah(forecastAh)} foretold.`,
			doubt: 'Not full at the start, ended early by one group, a warm joint under load, or a counter that reads low.',
			rule: 'Without transfer a battery gives its smallest group; less means imbalance or an early end.',
			next: 'See which group ended it, balance, and test again.'
		})
	}),
	'capacity-above-match': verdict<{ testedAh: Measured; forecastAh: Measured }>()({
		means: 'The battery gave more than its groups can: a meter is wrong.',
		urgencies: ['look'],
		words: ({ facts: { testedAh, forecastAh } }) => ({
			title: 'More came out than the groups hold',
			finding: `${ah(testedAh)} against ${ah(forecastAh)} foretold: no battery gives more than its groups.`,
			doubt: 'One of the counters is wrong: the one of this test, or the one the cells were tested with.',
			rule: 'At most the mean of the groups, whatever is transferred.',
			next: 'Set a third counter beside them before any capacity is believed.'
		})
	})
};

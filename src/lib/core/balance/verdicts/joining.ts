import { verdict, type Measured, type Said } from '../../foundation/verdicts';
import type { Interval } from '../../foundation/statistics';

interface PeakFacts {
	peakA: Measured;
	/** Between what that lies, 95 %. */
	withinA: Interval;
	limitA: number;
	/** Of the cell furthest from the others, and whether it rests above them. */
	differenceV: number;
	above: boolean;
	worst: string;
	cRate: number;
	/** Of each item’s link with its joints; null: as links usually are. */
	linkOhm: number | null;
	/** Through one item on average over the first hour, A; null: not worked out. */
	firstHourA: number | null;
}

const joinRule = (cRate: number) =>
	`Peak current ΔV ÷ (both resistances + links) against ${cRate} C of the smallest cell.`;

const joinFigures = ({ facts }: Said<PeakFacts>) => ({
	finding: `${facts.withinA.low95.toFixed(0)} to ${facts.withinA.high95.toFixed(0)} A for a moment (${facts.worst}, ${Math.round(facts.differenceV * 1000)} mV from the others); limit ${facts.limitA.toFixed(0)} A.${facts.firstHourA === null ? '' : ` It falls within minutes: ${facts.firstHourA.toFixed(1)} A on average over the first hour.`}`,
	doubt:
		facts.linkOhm === null
			? '95 %: DC resistance from the AC reading × 1.4, links of 0.1 to 0.4 mΩ, and the meter.'
			: `95 %: resistance as given or as such cells have, links of ${(facts.linkOhm * 1000).toFixed(2)} mΩ, and the meter.`,
	rule: joinRule(facts.cRate)
});

export const JOINING_VERDICTS = {
	'join-unknown': verdict<{ unread: number; of: number; cRate: number }>()({
		means: 'Cells without a rest voltage since they were last charged or discharged; members are those cells.',
		urgencies: ['stop'],
		remedy: { to: 'receive', text: 'Read these cells' },
		words: ({ facts: { unread, of, cRate }, members }) => ({
			title: 'Do not join these cells yet',
			finding: `${unread} of ${of} have no rest voltage since they were last tested, charged or at work.`,
			doubt: null,
			rule: joinRule(cRate),
			next: `Read ${members[0]?.label ?? 'them'} with your meter.`
		})
	}),
	'row-stopped': verdict<{ why: readonly string[] }>()({
		means: 'Cells of a row that must not be used; members are those cells.',
		urgencies: ['stop'],
		remedy: { to: 'receive', text: 'See what stops it' },
		words: ({ facts: { why }, members }) => ({
			title: `${members.map((m) => m.label).join(', ')} must not be charged with the others`,
			finding: `${why.join('. ')}.`,
			doubt: null,
			rule: 'A cell that something stops is joined to no other.',
			next: `Switch the supply off, and take ${members.length === 1 ? 'it' : 'them'} out of the row; or say in Receive what became of it.`
		})
	}),
	'join-polarity': verdict<{ cells: number }>()({
		means: 'Cells that read negative and are not recorded as turned; members are those cells.',
		urgencies: ['stop'],
		remedy: { to: 'receive', text: 'Record where plus is' },
		words: ({ members }) => ({
			title: `${members.map((m) => m.label).join(', ')}: joined by the print this is a short circuit`,
			finding: 'Read with the red probe on the printed plus it shows less than 0 V.',
			doubt: 'Exchanged probes would do the same to every cell you read with them.',
			rule: 'Nothing is joined until the plus of every cell is known by the meter.',
			next: 'Read it again. If it stays, record in Receive that its plus is on the other side, and mark the cell.'
		})
	}),
	'join-unlike': verdict<{ cellsInSeries: readonly number[] }>()({
		means: 'Batteries of unlike numbers of cells in series.',
		urgencies: ['stop'],
		remedy: { to: 'balance/charge', text: 'Choose the row again' },
		words: ({ facts: { cellsInSeries } }) => ({
			title: 'These are not of one voltage',
			finding: `They have ${cellsInSeries.join(' and ')} cells in series.`,
			doubt: null,
			rule: 'Only what has the same number of cells in series is joined in parallel.',
			next: 'Do not join them.'
		})
	}),
	'join-refused': verdict<PeakFacts>()({
		means: 'One cell too far from the others to be joined.',
		urgencies: ['stop'],
		remedy: { to: 'receive', text: 'Read it again' },
		words: (said) => ({
			title: `${said.facts.worst} must not join the others yet`,
			...joinFigures(said),
			next: `${said.facts.above ? `Discharge ${said.facts.worst}, or charge the others,` : `Charge ${said.facts.worst} on its own`} until it is within ${Math.floor((said.facts.limitA / said.facts.withinA.high95) * said.facts.differenceV * 1000)} mV of the others.`
		})
	}),
	'join-checked': verdict<PeakFacts>()({
		means: 'The joining current stays within the limit.',
		urgencies: ['calm'],
		calm: 'ok',
		words: (said) => ({
			title: 'Joining current stays within the limit',
			...joinFigures(said),
			next: null
		})
	}),
	'joined-apart': verdict<{ differenceV: Measured; rowV: number; of: number }>()({
		means: 'A cell reads apart from its row although they are joined in parallel.',
		urgencies: ['look'],
		words: ({ subject, facts: { differenceV, rowV, of } }) => ({
			title: `${subject.label} reads apart from its row`,
			finding: `${differenceV.value > 0 ? '+' : '−'}${Math.abs(differenceV.value * 1000).toFixed(0)} mV against the ${of} read together, at ${rowV.toFixed(3)} V.`,
			doubt: 'Joined cells stand at one voltage: what differs is a bar that does not carry, or a cell left out.',
			rule: 'A reading taken while joined says nothing of one cell; it shows the joints.',
			next: 'Supply off. Check both bars of this cell, tighten them, and read the row again.'
		})
	})
};

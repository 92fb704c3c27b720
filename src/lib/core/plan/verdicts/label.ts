import { LABEL_AGREES } from './bounds';
import { shareWords, verdict } from '../../foundation/verdicts';
import type { Chemistry } from '../../foundation/chemistry';

interface CellVolts {
	series: number;
	/** Nominal and full volts of one cell by the label; null where it says none. */
	perCellV: number | null;
	fullCellV: number | null;
}

const cellWords = ({ perCellV, fullCellV }: CellVolts) =>
	[
		perCellV === null ? null : `${perCellV.toFixed(2)} V nominal`,
		fullCellV === null ? null : `${fullCellV.toFixed(2)} V full`
	]
		.filter(Boolean)
		.join(' and ');

const RULE = `Wh = Ah × V; volts ÷ cells in series are those of the chemistry, within ${shareWords(LABEL_AGREES)}.`;

export const LABEL_VERDICTS = {
	'label-agrees': verdict<{ perCellV: number | null; series: number | null; chemistry: Chemistry | null }>()({
		means: 'Nothing on a label contradicts anything else.',
		urgencies: ['calm'],
		calm: 'ok',
		words: ({ facts: { perCellV, series, chemistry } }) => ({
			title: 'The label agrees with itself',
			finding:
				perCellV !== null && series !== null
					? `${series} ${series === 1 ? 'cell' : 'cells in series'} of ${perCellV.toFixed(2)} V${chemistry ? `, as ${chemistry} has` : ''}.`
					: 'Its figures go together.',
			doubt: 'A label proves nothing: what it holds is seen in the first discharge.',
			rule: RULE,
			next: null
		})
	}),
	'label-alone': verdict<Record<never, never>>()({
		means: 'Too few figures on a label to compare.',
		urgencies: ['open'],
		words: () => ({
			title: 'One figure alone cannot be checked',
			finding: 'There is nothing on it to compare it with.',
			doubt: null,
			rule: RULE,
			next: 'Add what else the label says: Ah, Wh, volts, cells in series.'
		})
	}),
	'label-energy': verdict<{
		ratedAh: number;
		ratedWh: number;
		nominalV: number;
		impliedV: number;
		impliedAh: number;
	}>()({
		means: 'Watt-hours, ampere-hours and volts of a label do not go together.',
		urgencies: ['look'],
		words: ({ facts: { ratedAh, ratedWh, nominalV, impliedV, impliedAh } }) => ({
			title: 'Wh, Ah and V of the label do not go together',
			finding: `${ratedWh} Wh ÷ ${ratedAh} Ah are ${impliedV.toFixed(2)} V, the label says ${nominalV} V; at that voltage it would be ${impliedAh.toFixed(0)} Ah.`,
			doubt: 'Which of the three is wrong the label does not tell.',
			rule: RULE,
			next: 'Ask the seller which figure is measured, and reckon with the smallest.'
		})
	}),
	'label-undivided': verdict<{ impliedV: number }>()({
		means: 'Watt-hours over ampere-hours are no whole number of cells of any chemistry.',
		urgencies: ['look'],
		words: ({ facts: { impliedV } }) => ({
			title: 'Wh ÷ Ah is no whole number of cells',
			finding: `${impliedV.toFixed(2)} V fits no number of LFP, NMC or LTO cells in series.`,
			doubt: null,
			rule: RULE,
			next: 'Ask for the number of cells in series, and for the sheet of the cell.'
		})
	}),
	'label-amps': verdict<{ claimedA: number; ratedAh: number | null }>()({
		means: 'Amperes where ampere-hours are meant.',
		urgencies: ['open', 'look'],
		words: ({ facts: { claimedA, ratedAh } }) => ({
			title: `“${claimedA} A” probably means ampere-hours`,
			finding:
				ratedAh === null
					? 'Amperes say how fast, ampere-hours how much; no ampere-hours are given.'
					: `It is the figure of its ${ratedAh.toFixed(0)} Ah.`,
			doubt: 'A battery that gives its ampere-hours as amperes in one hour would have the same figure.',
			rule: 'Ampere-hours are what it holds, amperes what flows.',
			next: 'Ask for the continuous current of the BMS, in amperes.'
		})
	}),
	'label-kilowatts': verdict<{ claimedKw: number; kwh: number | null; hours: number | null }>()({
		means: 'Kilowatts where kilowatt-hours are meant; null: no energy is given.',
		urgencies: ['open', 'look'],
		words: ({ facts: { claimedKw, kwh, hours } }) => ({
			title: `“${claimedKw} kW” probably means kilowatt-hours`,
			finding:
				kwh === null || hours === null
					? 'Kilowatts say how fast, kilowatt-hours how much; no energy is given.'
					: `It is the figure of its ${kwh.toFixed(1)} kWh: as power it would empty the battery in ${hours < 1.5 ? 'about an hour' : `${hours.toFixed(1)} hours`}.`,
			doubt: 'A battery that gives all it holds within an hour would have the same figure.',
			rule: 'Kilowatt-hours are what it holds, kilowatts what it gives at once.',
			next: 'Ask for the continuous current of the BMS, in amperes, and for the energy in kWh.'
		})
	}),
	'label-ampere-hours': verdict<{ ratedWh: number; volts: number; ampereHours: number }>()({
		means: 'What its watt-hours are in ampere-hours, which it does not say.',
		urgencies: ['calm'],
		calm: 'note',
		words: ({ facts: { ratedWh, volts, ampereHours } }) => ({
			title: `${ratedWh} Wh are ${Number(ampereHours.toPrecision(3))} Ah`,
			finding: `At ${Number(volts.toPrecision(3))} V, what its cells work at.`,
			doubt: null,
			rule: 'Ah = Wh ÷ V, by the nominal voltage and not that of the charger.',
			next: null
		})
	}),
	'label-peak': verdict<{
		nominalV: number;
		series: number;
		realV: number;
		chemistry: Chemistry;
		or: Chemistry | null;
	}>()({
		means: 'Sold by the voltage of its charger.',
		urgencies: ['open', 'look'],
		words: ({ facts: { nominalV, series, realV, chemistry, or } }) => ({
			title: or
				? `${nominalV} V: ${chemistry} at its charger, or ${or}?`
				: `${nominalV} V is the voltage of its charger`,
			finding: `${series} ${chemistry} cells work at ${realV.toFixed(1)} V; energy reckoned with ${nominalV} V is ${Math.round((nominalV / realV - 1) * 100)} % too much.${or ? ` As nominal volts they are those of ${series} ${or} cells.` : ''}`,
			doubt: or ? 'The label alone cannot tell the two apart.' : null,
			rule: 'Nominal volts are cells × nominal, not cells × charge limit.',
			next: or
				? `Ask for the cell’s sheet, or read one cell at rest and full, before anything is charged: ${chemistry} and ${or} have unlike limits.`
				: `Calculate with ${realV.toFixed(1)} V.`
		})
	}),
	'label-chemistry': verdict<CellVolts & { named: Chemistry; likely: Chemistry }>()({
		means: 'Its volts are those of another chemistry than the one named.',
		urgencies: ['look'],
		words: ({ facts }) => ({
			title: `Is it ${facts.likely} and not ${facts.named}?`,
			finding: `${cellWords(facts)} a cell, over ${facts.series}, are those of ${facts.likely}.`,
			doubt: 'A wrong number of cells in series would look the same.',
			rule: RULE,
			next: `Find out before anything is charged: ${facts.likely} cells have limits of their own, and charged by those of ${facts.named} they may burn.`
		})
	}),
	'label-volts': verdict<CellVolts & { chemistry: Chemistry | null }>()({
		means: 'Its volts are of no chemistry that is known here, or not of the one named.',
		urgencies: ['look'],
		words: ({ facts }) => ({
			title: facts.chemistry
				? `These are not the volts of ${facts.series} ${facts.chemistry} cells`
				: 'No cell has these volts',
			finding: `${cellWords(facts)} a cell, over ${facts.series}.`,
			doubt: 'A wrong number of cells in series would look the same.',
			rule: RULE,
			next: 'Count the cells, or measure one.'
		})
	})
};

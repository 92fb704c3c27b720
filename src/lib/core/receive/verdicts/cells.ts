import { voltsWords, verdict, type Measured, type Said } from '../../foundation/verdicts';
import type { Chemistry } from '../../foundation/chemistry';

/** How a cell stands apart from the others: by spread, or by the floor alone where too few are read. */
interface Apart {
	/** Robust z; null where fewer cells were read than a spread needs. */
	robustZ: number | null;
	zLimit: number;
	/** Cells a spread needs. */
	fewest: number;
}

interface ChargeFacts {
	cells: number;
	wide: number;
	chargeLow: number;
	chargeHigh: number;
	hysteresisV: number;
	/** Cells whose own first charge was counted to its end. */
	counted: number;
}

const percent = (fraction: number) => Math.round(fraction * 100);

const millivolts = (sdV: number) => (1000 * sdV).toFixed(1);

const ruleOf = ({ robustZ, zLimit, fewest }: Apart, floor: string) =>
	robustZ === null
		? `Fewer than ${fewest} cells read, so only the ${floor} floor is used.`
		: `Robust z ${robustZ > 999 ? 'beyond measure' : robustZ.toFixed(1)} (limit ${zLimit}) and past the ${floor} floor.`;

const charge =
	(known: boolean) =>
	({ facts }: Said<ChargeFacts>) => ({
		title: known ? 'Charge on arrival is known' : 'Charge on arrival: cannot tell closely',
		finding: `${facts.counted === 0 ? 'The rest voltages fit' : facts.counted === facts.cells ? 'Their rest voltages and their own first charges fit' : `The rest voltages, and the first charges of ${facts.counted}, fit`} ${percent(facts.chargeLow)} to ${percent(facts.chargeHigh)} %${known ? '' : `; ${facts.wide} of ${facts.cells} sit on the plateau`}.`,
		doubt: `Bounds include meter doubt, ± ${(facts.hysteresisV * 1000).toFixed(0)} mV hysteresis and the rest time.`,
		rule: 'Inverse of the rest-voltage curve as an interval, never a point.',
		next: known ? null : 'Nothing to do: the balance charge will show it.'
	});

export const CELL_VERDICTS = {
	'not-read': verdict<{ total: number; unread: number; withoutVoltage: number; withoutResistance: number }>()({
		means: 'Cells of a delivery without a voltage or a resistance; members are those cells.',
		urgencies: ['open'],
		words: ({ facts, members }) => ({
			title: facts.total === 0 ? 'No cells yet' : `${facts.unread} of ${facts.total} cells not fully read`,
			finding:
				facts.total === 0
					? 'Unpack a delivery first.'
					: `${facts.withoutVoltage} without a rest voltage, ${facts.withoutResistance} without a resistance.`,
			doubt: null,
			rule: 'Every cell is read before any are joined in parallel.',
			next:
				facts.total === 0
					? 'Add a delivery with its number of cells, or pick cells from your stock.'
					: `Read ${members[0]?.label ?? 'them'} next.`
		})
	}),
	polarity: verdict<{ restVoltageV: Measured; recorded: boolean }>()({
		means: 'A cell that reads negative with the red probe on the printed plus.',
		urgencies: ['calm', 'stop'],
		calm: 'note',
		mark: 'reversed?',
		remedy: { to: 'receive', text: 'Record where plus is' },
		words: ({ facts, subject }) => ({
			title: facts.recorded
				? `${subject.label} stands the other way round, as recorded`
				: `${subject.label} reads negative: its plus is not where it is printed`,
			finding: `${voltsWords(facts.restVoltageV)} with the red probe on the printed plus.`,
			doubt: 'Exchanged probes would do the same to every cell you read with them.',
			rule: 'Polarity goes by the meter, not by the print: built in by its print such a cell is a short circuit.',
			next: facts.recorded
				? 'Mark the true plus on the cell itself; every tray draws it turned.'
				: 'Check the probes, read it again, mark the true plus on the cell and record it here before anything is joined.'
		})
	}),
	'deep-discharged': verdict<{
		restVoltageV: Measured;
		limitV: number;
		/** Highest voltage it may be brought back to, where its maker allows that. */
		recoveryV: number;
		chemistry: Chemistry;
		/** `low`: may be saved; `ruined`: not for a bank; `dead`: never charged. */
		level: 'low' | 'ruined' | 'dead';
		/** It has been charged, discharged or put to work since it came. */
		touched: boolean;
	}>()({
		means: 'A cell that rests under the discharge limit of its chemistry.',
		urgencies: ['stop'],
		mark: 'too low',
		remedy: { to: 'receive', text: 'Go to its reading' },
		words: ({ facts: { restVoltageV, limitV, recoveryV, chemistry, level, touched }, subject }) => ({
			title: {
				low: `${subject.label} ${touched ? 'rests' : 'arrived'} below ${limitV.toFixed(2)} V`,
				ruined: `${subject.label} ${touched ? 'rests' : 'arrived'} at ${voltsWords(restVoltageV)}: not for a bank`,
				dead: `${subject.label} ${touched ? 'rests' : 'arrived'} at ${voltsWords(restVoltageV)}: never charge it`
			}[level],
			finding: `It rests at ${voltsWords(restVoltageV)}, under the discharge limit of a ${chemistry} cell.`,
			doubt: `Meter doubt ± ${millivolts(restVoltageV.sd)} mV cannot explain it.`,
			rule: 'Rest voltage below the discharge limit: copper may have dissolved; a strong charge can make it dangerous.',
			next: {
				low: `Quarantine it${touched ? ', and find out what took it so far down' : ' and tell the supplier'}. If its maker allows recovery, charge it at 0.05 C to at most ${recoveryV.toFixed(2)} V, stay with it, then let it rest 14 days alone.`,
				ruined: touched
					? 'Quarantine it, and find out what took it so far down. Do not build it in: it goes to recycling.'
					: 'Quarantine it and tell the supplier. Do not build it in: it goes back or to recycling.',
				dead: 'Do not charge it, whatever a charger offers: it may be shorted inside. Quarantine it on concrete or tiles; it goes back or to recycling.'
			}[level]
		})
	}),
	'chemistry-doubted': verdict<{ named: Chemistry; or: Chemistry; middleV: number; cells: number }>()({
		means: 'All cells rest where those of another chemistry do, and none of the one that was named does.',
		urgencies: ['stop'],
		mark: (facts) => `${facts.or}?`,
		remedy: { to: 'receive', text: 'Read these cells again' },
		words: ({ facts: { named, or, middleV, cells } }) => ({
			title: `Are these ${or} cells, and not ${named}?`,
			finding: `All ${cells} rest near ${middleV.toFixed(2)} V: no ${named} cell should, ${or} cells do.`,
			doubt: `Volts cannot tell ${or} cells from ${named} cells that were all charged or emptied too far.`,
			rule: 'All of a delivery outside the limits of the chemistry that was named, alike, and within those of another.',
			next: 'Charge and join nothing yet. Enter the code of one cell (it names the chemistry), look at the label, ask the seller; then correct the chemistry of the bank, or read them again.'
		})
	}),
	overcharged: verdict<{ restVoltageV: Measured; limitV: number; chemistry: Chemistry }>()({
		means: 'A cell that rests above a full one.',
		urgencies: ['stop'],
		mark: 'too high',
		remedy: { to: 'receive', text: 'Go to its reading' },
		words: ({ facts: { restVoltageV, limitV, chemistry }, subject }) => ({
			title: `${subject.label} rests above ${limitV.toFixed(2)} V`,
			finding: `It rests at ${voltsWords(restVoltageV)}, more than a full ${chemistry} cell does.`,
			doubt: `Meter doubt ± ${millivolts(restVoltageV.sd)} mV. A cell just off its charger falls below within the hour.`,
			rule: 'Rest voltage above the charge limit: an overcharged cell can swell, vent or burn.',
			next: 'Do not charge it. Quarantine it on concrete or tiles, away from the others, read it again in an hour, and ask its maker if it stays.'
		})
	}),
	'voltage-outlier': verdict<
		Apart & {
			restVoltageV: Measured;
			differenceV: Measured;
			/** Charge its voltage fits, fractions. */
			chargeLow: number;
			chargeHigh: number;
			/** It has been tested or charged since it was read so. */
			touched: boolean;
		}
	>()({
		means: 'A cell whose rest voltage stands apart from its delivery’s.',
		urgencies: ['open', 'look'],
		follows: ['robustZ', 'chargeLow', 'chargeHigh'],
		mark: ({ differenceV: { value } }) => `${Math.round(Math.abs(value) * 1000)} mV ${value < 0 ? 'low' : 'high'}`,
		words: ({ facts, subject }) => ({
			title: `${subject.label} ${facts.touched ? 'came resting' : 'rests'} ${Math.round(Math.abs(facts.differenceV.value) * 1000)} mV ${facts.differenceV.value < 0 ? 'below' : 'above'} the rest`,
			finding: `${voltsWords(facts.restVoltageV)} fits a charge of ${percent(facts.chargeLow)} to ${percent(facts.chargeHigh)} %; the middle of the others is ${(facts.restVoltageV.value - facts.differenceV.value).toFixed(3)} V.`,
			doubt: `Two readings of this meter differ by up to ${millivolts(1.96 * facts.differenceV.sd)} mV by themselves; this is more. Leakage or a different charge at the factory: one reading cannot tell.`,
			rule: ruleOf(facts, '8 mV'),
			next: facts.touched
				? `It has been charged since: see whether ${subject.label} falls apart from the others as they rest after their next charge.`
				: `Read ${subject.label} again tomorrow, same meter, and compare.`
		})
	}),
	'resistance-outlier': verdict<Apart & { resistanceMohm: Measured; medianMohm: number; relativeDifference: number }>()(
		{
			means: 'A cell whose AC resistance stands apart from its delivery’s.',
			urgencies: ['look'],
			follows: ['robustZ', 'medianMohm', 'relativeDifference'],
			mark: ({ relativeDifference }) =>
				`${Math.round(Math.abs(relativeDifference) * 100)} % ${relativeDifference > 0 ? 'more' : 'less'} Ω`,
			words: ({ facts, subject }) => ({
				title: `${subject.label} reads ${percent(Math.abs(facts.relativeDifference))} % ${facts.relativeDifference > 0 ? 'more' : 'less'} resistance`,
				finding: `${facts.resistanceMohm.value.toFixed(3)} mΩ against ${facts.medianMohm.toFixed(3)} mΩ in the middle.`,
				doubt: `Meter doubt ± ${facts.resistanceMohm.sd.toFixed(3)} mΩ. Probe placement, a two-wire reading or a colder cell come before the cell itself.`,
				rule: ruleOf(facts, '8 %'),
				next: `Clean the terminals and read ${subject.label} again with four wires, probes where they were on the others.`
			})
		}
	),
	'resistance-agrees': verdict<{ cells: number; medianMohm: Measured; ratedMohm: number | null; zLimit: number }>()({
		means: 'No cell of a delivery stands apart in resistance.',
		urgencies: ['calm'],
		calm: 'ok',
		follows: ['medianMohm'],
		words: ({ facts }) => ({
			title: `Resistance agrees on ${facts.cells} cells`,
			finding: `Middle ${facts.medianMohm.value.toFixed(3)} mΩ${facts.ratedMohm === null ? '' : `; the maker says ${facts.ratedMohm.toFixed(3)} mΩ`}.`,
			doubt: `± ${facts.medianMohm.sd.toFixed(3)} mΩ a reading. Comparable only at like temperature and charge.`,
			rule: `No cell past robust z ${facts.zLimit} and the 8 % floor.`,
			next: null
		})
	}),
	'charge-unknown': verdict<ChargeFacts>()({
		means: 'Charge on arrival as bounds, some of them wide.',
		urgencies: ['calm'],
		calm: 'note',
		follows: ['chargeLow', 'chargeHigh'],
		words: charge(false)
	}),
	'charge-known': verdict<ChargeFacts>()({
		means: 'Charge on arrival as bounds, all of them close.',
		urgencies: ['calm'],
		calm: 'note',
		follows: ['chargeLow', 'chargeHigh'],
		words: charge(true)
	})
};

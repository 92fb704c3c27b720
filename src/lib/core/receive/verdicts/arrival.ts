import { OVER_PROMISE, UNDER_SHEET } from './bounds';
import { shareWords, verdict, type Measured } from '../../foundation/verdicts';

interface DeliveryClaimFacts {
	good: number;
	toReturn: number;
	/** Of those: must not be used at all. */
	stopped: number;
	/** Of those: damaged, older or other than promised. */
	defects: number;
	cannotTell: number;
	untested: number;
	shortAh: number;
	worth: number | null;
	currency: string;
	claimUntil: string | null;
}

const percent = (fraction: number) => (100 * fraction).toFixed(1);

function claimSentence({ good, toReturn, cannotTell, untested, stopped, worth, currency }: DeliveryClaimFacts): string {
	const parts = [
		...(good ? [`${good} good`] : []),
		...(toReturn ? [`${toReturn} to return`] : []),
		...(cannotTell ? [`${cannotTell} cannot be told`] : []),
		...(untested ? [`${untested} not tested`] : [])
	];
	return `${parts.join(', ')}${worth ? `; worth ${worth.toFixed(0)} ${currency}${stopped ? '' : ' in missing charge'}` : ''}`;
}

export const ARRIVAL_VERDICTS = {
	'nearly-empty': verdict<{
		restVoltageV: Measured;
		chargeLow: number;
		chargeHigh: number;
		/** Until it falls below the limit by itself, at least and at most, days. */
		daysLeft: number;
		daysAtMost: number;
		limitV: number;
		/** Below this a cell has no reserve against standing. */
		reserveV: number;
	}>()({
		means: 'A cell nearly empty on arrival.',
		urgencies: ['open'],
		follows: ['chargeLow', 'chargeHigh'],
		mark: 'nearly empty',
		words: ({ facts, subject }) => ({
			title: `${subject.label} is nearly empty`,
			finding: `${facts.restVoltageV.value.toFixed(3)} V at rest: between ${percent(facts.chargeLow)} and ${percent(facts.chargeHigh)} % of its charge.`,
			doubt: `By itself alone it falls below ${facts.limitV.toFixed(2)} V in ${Math.floor(facts.daysLeft)} to ${Math.ceil(facts.daysAtMost)} days, at a self-discharge of 1 to 6 % per month (default).`,
			rule: `Between the discharge limit and ${facts.reserveV.toFixed(2)} V there is no reserve against standing.`,
			next: `Charge it within ${Math.max(1, Math.floor(facts.daysLeft / 2))} days, slowly, and watch that it takes the charge.`
		})
	}),
	'arrival-cumulative': verdict<{ differencesV: readonly number[] }>()({
		means: 'Voltages that rise from cell to cell: read along a string; judged by their differences.',
		urgencies: ['look'],
		words: ({ facts: { differencesV } }) => ({
			title: 'These rise from cell to cell',
			finding: `Each looks as if read from the end of a string; the cells are then ${differencesV.map((v) => v.toFixed(3)).join(', ')} V, and are judged so.`,
			doubt: 'Each difference holds the doubt of two readings.',
			rule: 'A cell’s voltage is the difference of two neighbouring readings along a string.',
			next: 'Read each cell by itself, both probes on its own terminals, before any are joined.'
		})
	}),
	'resistance-over-promise': verdict<{ resistanceMohm: Measured; promisedMohm: number }>()({
		means: 'A cell with more AC resistance than was promised, beyond its meter’s doubt.',
		urgencies: ['look'],
		words: ({ subject, facts: { resistanceMohm, promisedMohm } }) => ({
			title: `${subject.label} has more resistance than promised`,
			finding: `${resistanceMohm.value.toFixed(3)} mΩ against ${promisedMohm.toFixed(3)} mΩ promised.`,
			doubt: `Meter ± ${(1.96 * resistanceMohm.sd).toFixed(3)} mΩ (95 %). A colder cell or a two-wire reading shows more, too.`,
			rule: `Above the promise by more than the meter’s uncertainty and ${shareWords(OVER_PROMISE)} (default), at 1 kHz and four wires.`,
			next: 'Read it again with four wires at about 25 °C; then it goes into the report.'
		})
	}),
	'thickness-outlier': verdict<{ thicknessMm: Measured; medianMm: number; differenceMm: number }>()({
		means: 'A cell thicker or thinner than the others.',
		urgencies: ['look'],
		mark: ({ differenceMm }) => `${Math.abs(differenceMm).toFixed(1)} mm ${differenceMm > 0 ? 'thicker' : 'thinner'}`,
		words: ({ facts: { thicknessMm, medianMm, differenceMm }, subject }) => ({
			title: `${subject.label} is ${differenceMm > 0 ? 'thicker' : 'thinner'} than the others`,
			finding: `${thicknessMm.value.toFixed(2)} ± ${thicknessMm.sd.toFixed(2)} mm; the middle one has ${medianMm.toFixed(2)} mm.`,
			doubt: 'A case breathes with charge, about half a millimetre; a sleeve may be doubled.',
			rule: 'More than 0.5 mm from the middle one, and far out of how they scatter.',
			next: 'Measure it at foot, middle and top (What is seen), and look for a bulge.'
		})
	}),
	'mass-outlier': verdict<{ massKg: Measured; medianKg: number; relativeDifference: number }>()({
		means: 'A cell whose mass stands apart.',
		urgencies: ['look'],
		follows: ['relativeDifference'],
		mark: ({ relativeDifference }) => (relativeDifference < 0 ? 'lighter' : 'heavier'),
		words: ({ facts: { massKg, medianKg, relativeDifference }, subject }) => ({
			title: `${subject.label} is ${percent(Math.abs(relativeDifference))} % ${relativeDifference < 0 ? 'lighter' : 'heavier'} than the others`,
			finding: `${massKg.value.toFixed(3)} kg against ${medianKg.toFixed(3)} kg in the middle.`,
			doubt: `Scale ± ${(1000 * massKg.sd).toFixed(0)} g.`,
			rule: 'Robust z past 3.5 and past 0.5 % (few cells: the floor alone).',
			next: 'Weigh it again; a lighter cell may be another type, or have lost electrolyte.'
		})
	}),
	'mass-under-sheet': verdict<{ medianKg: number; sheetKg: number; relativeDifference: number; cells: number }>()({
		means: 'Cells lighter than their sheet says.',
		urgencies: ['open'],
		follows: ['relativeDifference'],
		words: ({ facts: { medianKg, sheetKg, relativeDifference, cells } }) => ({
			title: `The cells are ${percent(Math.abs(relativeDifference))} % lighter than their sheet`,
			finding: `${medianKg.toFixed(3)} kg in the middle of ${cells}; the sheet says ${sheetKg.toFixed(3)} kg.`,
			doubt: 'Sheets round, and state it with a tolerance; a scale may be off.',
			rule: `Lighter than ${shareWords(UNDER_SHEET)} under the sheet (default).`,
			next: 'Weigh something known; then test the capacity before you trust the rating.'
		})
	}),
	'read-unlike-warm': verdict<{ coldestC: number; warmestC: number }>()({
		means: 'Cells read while they were not equally warm.',
		urgencies: ['open'],
		words: ({ facts: { coldestC, warmestC } }) => ({
			title: 'Cells read at unlike temperatures',
			finding: `${coldestC.toFixed(0)} to ${warmestC.toFixed(0)} °C: resistance falls by some 3 % a K.`,
			doubt: 'Brought to like temperature by the usual law; half of that is its doubt.',
			rule: 'Resistance is compared at like temperature.',
			next: 'Let them stand together for a day, and read the resistance again.'
		})
	}),
	'used-cells': verdict<{ cells: number; untested: number }>()({
		means: 'Cells sold as used, and what must be proved first.',
		urgencies: ['calm', 'open'],
		calm: 'note',
		words: ({ facts: { cells, untested } }) => ({
			title: untested ? `${untested} used cells without a capacity` : 'Used cells, tested',
			finding: `${cells} were sold as used.`,
			doubt: null,
			rule: 'Of a used cell nothing is taken on trust: a self-discharge test of 14 days, capacity before anything else, resistance against new, no swelling.',
			next: untested ? 'Test their capacity before they are matched.' : null
		})
	}),
	'delivery-claim': verdict<DeliveryClaimFacts>()({
		means: 'A delivery in one sentence: good, to return, cannot tell, not tested; what is missing and its worth.',
		urgencies: ['calm'],
		calm: 'note',
		remedy: { to: 'receive/report', text: 'The report to the supplier' },
		words: ({ facts }) => ({
			title: claimSentence(facts),
			finding: [
				facts.stopped ? `${facts.stopped} must not be used.` : null,
				facts.defects ? `${facts.defects} damaged, or not as promised.` : null,
				facts.shortAh > 0
					? `At least ${facts.shortAh.toFixed(1)} Ah below the promise in all${facts.worth === null ? '' : `, worth ${facts.worth.toFixed(2)} ${facts.currency} at the price paid${facts.stopped ? ', with the cells that must not be used' : ''}`}.`
					: null,
				facts.toReturn ? null : 'Nothing is claimed.'
			]
				.filter(Boolean)
				.join(' '),
			doubt: 'Only what is sure at 95 % is claimed; what cannot be told is not.',
			rule: `Each cell against its clause, by all its runs.${facts.claimUntil ? ` Told to the supplier by ${facts.claimUntil} (their terms and the law come first).` : ''}`,
			next:
				facts.toReturn > 0
					? 'Print the report, or send it as it is.'
					: facts.cannotTell + facts.untested > 0
						? 'What is open can still be settled by a test.'
						: null
		})
	})
};

import type { Measured, Words } from './verdict';

export interface ArrivalFacts {
	/** A cell nearly empty on arrival. */
	'nearly-empty': {
		restVoltageV: Measured;
		chargeLow: number;
		chargeHigh: number;
		/** Until it falls below the limit by itself, at least and at most, days. */
		daysLeft: number;
		daysAtMost: number;
		limitV: number;
		/** Below this a cell has no reserve against standing. */
		reserveV: number;
	};
	/** Voltages that rise from cell to cell: read along a string; judged by their differences. */
	'arrival-cumulative': { differencesV: readonly number[] };
	/** A cell that must not be used: leak, smell, swelling, vent; `resolved`: what was done with it, `lifted`: so that it may be used. */
	'inspection-stop': {
		reasons: readonly ('leak' | 'smell' | 'heat' | 'swelling' | 'vent')[];
		resolved: string | null;
		lifted: boolean;
		/** It sits in a battery that is in use. */
		atWork: boolean;
		outMm: number | null;
		mostMm: number | null;
		nominalMm: number | null;
	};
	/** Damage to look at. */
	'inspection-look': { seen: readonly ('dent' | 'terminals' | 'thread' | 'sleeve')[]; renewed: boolean };
	/** Things somebody was not sure of. */
	'inspection-unsure': { unsure: readonly string[] };
	/** Cells of a delivery nobody has looked at, while others were. */
	'not-inspected': { unseen: number; total: number };
	/** All were looked at and are sound. */
	'inspected-sound': { cells: number };
	/** Cells that are not made alike. */
	'cells-unlike': {
		what: 'batch' | 'terminalKind' | 'sleeveKind' | 'ventKind';
		kinds: readonly { kind: string; cells: number }[];
		/** Groups in which they already meet. */
		mixedGroups: number;
	};
	/** Terminals other than the delivery was promised with. */
	'terminals-not-promised': { promised: string; found: readonly string[] };
	/** A cell with more AC resistance than was promised, beyond its meter’s doubt. */
	'resistance-over-promise': { resistanceMohm: Measured; promisedMohm: number };
	/** A cell thicker or thinner than the others. */
	'thickness-outlier': { thicknessMm: Measured; medianMm: number; differenceMm: number };
	/** A cell whose mass stands apart. */
	'mass-outlier': { massKg: Measured; medianKg: number; relativeDifference: number };
	/** Cells lighter than their sheet says. */
	'mass-under-sheet': { medianKg: number; sheetKg: number; relativeDifference: number; cells: number };
	/** Cells read while they were not equally warm. */
	'read-unlike-warm': { coldestC: number; warmestC: number };
	/** Cells sold as used, and what must be proved first. */
	'used-cells': { cells: number; untested: number };
	/** A delivery in one sentence: good, to return, cannot tell, not tested; what is missing and its worth. */
	'delivery-claim': {
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
	};
}

const REASONS = {
	leak: 'it leaks',
	smell: 'it smells',
	heat: 'it is hotter than the others',
	swelling: 'it has swollen',
	vent: 'its vent is open or pressed out'
};
const SEEN = {
	dent: 'a dent',
	terminals: 'terminals that are not square or clean',
	thread: 'a thread or stud that is not sound',
	sleeve: 'a torn sleeve'
};
const UNLIKE = { batch: 'batches', terminalKind: 'terminals', sleeveKind: 'sleeves', ventKind: 'vents' };
const WHY_UNLIKE = {
	batch: 'batches differ in capacity, resistance and age, and age apart from each other',
	terminalKind: 'bars, screws and torques of one do not fit the other',
	sleeveKind: 'a renewed sleeve hides what was under it, and its print may be another cell’s',
	ventKind: 'other cases are often other cells'
};
const list = (words: readonly string[]) =>
	words.length > 1 ? `${words.slice(0, -1).join(', ')} and ${words.at(-1)}` : (words[0] ?? '');
const percent = (fraction: number) => (100 * fraction).toFixed(1);
const count = (n: number, one: string, many: string) => `${n} ${n === 1 ? one : many}`;

export const ARRIVAL_WORDS: Words<ArrivalFacts> = {
	'nearly-empty': ({ facts, subject }) => ({
		title: `${subject.label} is nearly empty`,
		finding: `${facts.restVoltageV.value.toFixed(3)} V at rest: between ${percent(facts.chargeLow)} and ${percent(facts.chargeHigh)} % of its charge.`,
		doubt: `By itself alone it falls below ${facts.limitV.toFixed(2)} V in ${Math.floor(facts.daysLeft)} to ${Math.ceil(facts.daysAtMost)} days, at a self-discharge of 1 to 6 % per month (default).`,
		rule: `Between the discharge limit and ${facts.reserveV.toFixed(2)} V there is no reserve against standing.`,
		next: `Charge it within ${Math.max(1, Math.floor(facts.daysLeft / 2))} days, slowly, and watch that it takes the charge.`
	}),
	'arrival-cumulative': ({ facts: { differencesV } }) => ({
		title: 'These rise from cell to cell',
		finding: `Each looks as if read from the end of a string; the cells are then ${differencesV.map((v) => v.toFixed(3)).join(', ')} V, and are judged so.`,
		doubt: 'Each difference holds the doubt of two readings.',
		rule: 'A cell’s voltage is the difference of two neighbouring readings along a string.',
		next: 'Read each cell by itself, both probes on its own terminals, before any are joined.'
	}),
	'inspection-stop': ({ facts: { reasons, resolved, lifted, atWork, outMm, mostMm, nominalMm }, subject }) => ({
		title: lifted
			? `${subject.label} may be used again, as recorded`
			: `${subject.label} must not be used: ${list(reasons.map((r) => REASONS[r]))}`,
		finding: [
			reasons.includes('swelling') && mostMm !== null
				? `${mostMm.toFixed(1)} mm thick${outMm ? `, ${outMm.toFixed(1)} mm over its edges` : ''}${nominalMm === null ? '' : `; ${nominalMm.toFixed(1)} mm by its sheet`}.`
				: null,
			'Seen on inspection.',
			resolved ? `Recorded: ${resolved}.` : null
		]
			.filter(Boolean)
			.join(' '),
		doubt: null,
		rule: 'Leak, smell, heat that no current explains, an open vent, or a case more than 3 mm over its edges or 5 % over its sheet (default; the maker’s limit first).',
		next: lifted
			? null
			: atWork
				? 'Switch loads and chargers off, open the main switch and keep away while it is hot or smells. Do not charge the bank. Once it is cold: gloves and glasses, take the battery apart, quarantine the cell outdoors on concrete or tiles.'
				: resolved
					? 'It stays a stop: a leak or an open vent is not mended. Remove the cell from this bank; its record stays.'
					: 'Do not charge, connect or clamp it. Quarantine it outdoors on concrete or tiles, away from anything that burns; gloves and glasses; do not breathe what comes out. Tell the supplier.'
	}),
	'inspection-look': ({ facts: { seen, renewed }, subject }) => ({
		title: `${subject.label}: ${list([...seen.map((s) => SEEN[s]), ...(renewed ? ['a renewed sleeve'] : [])])}`,
		finding: renewed ? 'A renewed sleeve hides the case, and its print may be another cell’s.' : 'Seen on inspection.',
		doubt: null,
		rule: 'What is seen is judged by whoever holds the cell; a photo keeps it.',
		next: 'Take a photo, look again in good light, and ask the supplier before it is built in.'
	}),
	'inspection-unsure': ({ facts: { unsure }, subject }) => ({
		title: `${subject.label}: not sure of ${list(unsure)}`,
		finding: 'Marked as not sure on inspection.',
		doubt: null,
		rule: 'Not sure is an answer, and stays open.',
		next: 'Take a photo, look again in daylight, or lay it beside a cell that is good.'
	}),
	'not-inspected': ({ facts: { unseen, total }, members }) => ({
		title: `${unseen} of ${total} cells not looked at`,
		finding: 'The others were.',
		doubt: null,
		rule: 'Every cell is looked at before any are joined.',
		next: `Look at ${members[0]?.label ?? 'them'} next, or say that the rest are all good.`
	}),
	'inspected-sound': ({ facts: { cells } }) => ({
		title: 'Looked at, and sound',
		finding: `${count(cells, 'cell', 'cells')}: no leak, smell, swelling, dent or bad terminal was seen.`,
		doubt: 'What cannot be seen from outside is not said.',
		rule: 'By eye, hand and nose.',
		next: null
	}),
	'cells-unlike': ({ facts: { what, kinds, mixedGroups } }) => ({
		title: what === 'batch' ? 'The cells are of different batches' : `The cells have different ${UNLIKE[what]}`,
		finding: `${list(kinds.map((k) => `${k.cells} ${what === 'batch' ? 'of' : 'with'} ${k.kind}`))}.${
			mixedGroups
				? ` In ${mixedGroups === 1 ? 'one group' : `${mixedGroups} groups`} already they stand side by side.`
				: ''
		}`,
		doubt: null,
		rule: `Not in one group, and not in one series without a reason: ${WHY_UNLIKE[what]}.`,
		next:
			what === 'batch'
				? 'Match them with the batch wish “together”, or keep the few for another battery.'
				: 'Ask the supplier; keep the few together, or out of this battery.'
	}),
	'terminals-not-promised': ({ facts: { promised, found } }) => ({
		title: 'The terminals are not the promised ones',
		finding: `Promised: ${promised}. Came: ${list(found)}.`,
		doubt: null,
		rule: 'As seen on inspection, against the promise of the delivery.',
		next: 'Tell the supplier before anything is screwed on: bars, screws and torques follow the terminals.'
	}),
	'resistance-over-promise': ({ subject, facts: { resistanceMohm, promisedMohm } }) => ({
		title: `${subject.label} has more resistance than promised`,
		finding: `${resistanceMohm.value.toFixed(3)} mΩ against ${promisedMohm.toFixed(3)} mΩ promised.`,
		doubt: `Meter ± ${(1.96 * resistanceMohm.sd).toFixed(3)} mΩ (95 %). A colder cell or a two-wire reading shows more, too.`,
		rule: 'Above the promise by more than the meter’s uncertainty and 10 % (default), at 1 kHz and four wires.',
		next: 'Read it again with four wires at about 25 °C; then it goes into the report.'
	}),
	'mass-outlier': ({ facts: { massKg, medianKg, relativeDifference }, subject }) => ({
		title: `${subject.label} is ${percent(Math.abs(relativeDifference))} % ${relativeDifference < 0 ? 'lighter' : 'heavier'} than the others`,
		finding: `${massKg.value.toFixed(3)} kg against ${medianKg.toFixed(3)} kg in the middle.`,
		doubt: `Scale ± ${(1000 * massKg.sd).toFixed(0)} g.`,
		rule: 'Robust z past 3.5 and past 0.5 % (few cells: the floor alone).',
		next: 'Weigh it again; a lighter cell may be another type, or have lost electrolyte.'
	}),
	'thickness-outlier': ({ facts: { thicknessMm, medianMm, differenceMm }, subject }) => ({
		title: `${subject.label} is ${differenceMm > 0 ? 'thicker' : 'thinner'} than the others`,
		finding: `${thicknessMm.value.toFixed(2)} ± ${thicknessMm.sd.toFixed(2)} mm; the middle one has ${medianMm.toFixed(2)} mm.`,
		doubt: 'A case breathes with charge, about half a millimetre; a sleeve may be doubled.',
		rule: 'More than 0.5 mm from the middle one, and far out of how they scatter.',
		next: 'Measure it at foot, middle and top (What is seen), and look for a bulge.'
	}),
	'mass-under-sheet': ({ facts: { medianKg, sheetKg, relativeDifference, cells } }) => ({
		title: `The cells are ${percent(Math.abs(relativeDifference))} % lighter than their sheet`,
		finding: `${medianKg.toFixed(3)} kg in the middle of ${cells}; the sheet says ${sheetKg.toFixed(3)} kg.`,
		doubt: 'Sheets round, and state it with a tolerance; a scale may be off.',
		rule: 'Lighter than 3 % under the sheet (default).',
		next: 'Weigh something known; then test the capacity before you trust the rating.'
	}),
	'read-unlike-warm': ({ facts: { coldestC, warmestC } }) => ({
		title: 'Cells read at unlike temperatures',
		finding: `${coldestC.toFixed(0)} to ${warmestC.toFixed(0)} °C: resistance falls by some 3 % a K.`,
		doubt: 'Brought to like temperature by the usual law; half of that is its doubt.',
		rule: 'Resistance is compared at like temperature.',
		next: 'Let them stand together for a day, and read the resistance again.'
	}),
	'used-cells': ({ facts: { cells, untested } }) => ({
		title: untested ? `${untested} used cells without a capacity` : 'Used cells, tested',
		finding: `${cells} were sold as used.`,
		doubt: null,
		rule: 'Of a used cell nothing is taken on trust: a self-discharge test of 14 days, capacity before anything else, resistance against new, no swelling.',
		next: untested ? 'Test their capacity before they are matched.' : null
	}),
	'delivery-claim': ({ facts }) => ({
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
};

function claimSentence({
	good,
	toReturn,
	cannotTell,
	untested,
	stopped,
	worth,
	currency
}: ArrivalFacts['delivery-claim']): string {
	const parts = [
		...(good ? [`${good} good`] : []),
		...(toReturn ? [`${toReturn} to return`] : []),
		...(cannotTell ? [`${cannotTell} cannot be told`] : []),
		...(untested ? [`${untested} not tested`] : [])
	];
	return `${parts.join(', ')}${worth ? `; worth ${worth.toFixed(0)} ${currency}${stopped ? '' : ' in missing charge'}` : ''}`;
}

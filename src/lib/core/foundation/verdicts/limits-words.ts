import type { Measured, Subject, Words } from './verdict';

/** Two values of which the first must stay below the second. */
export interface BrokenLink {
	lowName: string;
	low: number;
	highName: string;
	high: number;
}
/** A trip that its release does not undo. */
export interface BadRelease {
	name: string;
	trip: number;
	release: number;
	unit: string;
}

/** From the load's cut-off to empty cells. */
interface StandbyFacts {
	days: number;
	chargeLeftAh: number;
	standbyA: number;
	/** Days wanted where somebody comes by, and where nobody does. */
	visitedDays: number;
	unvisitedDays: number;
}

export interface LimitsFacts {
	/** Every link of the chain of limits and every release is in order. */
	'chain-holds': { links: number };
	/** Links of the chain out of order, or trips without a proper release. */
	'chain-broken': { links: readonly BrokenLink[]; releases: readonly BadRelease[] };
	/** A main fuse rated above what its cable carries. */
	'fuse-over-cable': { fuseA: number; cableA: number };
	/** The BMS is made for more cells in series, or for fewer. */
	'bms-cells': { series: number; leastCells: number | null; mostCells: number | null; tooFew: boolean };
	/** The BMS may let through more than the cable carries. */
	'bms-over-cable': { bmsA: number; cableA: number };
	/** The main fuse has no room above what the BMS lets through; `margin`: how many times it is to be. */
	'fuse-under-bms': { bmsA: number; fuseA: number; margin: number };
	/** What may run from the battery together draws more than a part of its wiring carries, or leaves it no room. */
	'wiring-under-load': {
		parts: readonly { part: 'BMS' | 'main fuse' | 'cable'; ratedA: number; wantedA: number }[];
		peakW: number;
		leastV: number;
		loadA: number;
		margin: number;
	};
	/** Main fuse, cable or BMS are not known, and so cannot be compared. */
	'wiring-unknown': { blank: readonly string[] };
	/** Main fuse, cable and BMS fit each other. */
	'wiring-holds': { fuseA: number; cableA: number; bmsA: number };
	/** A capacity test in service found less than the limits reckon with. */
	'capacity-since': { usedAh: number; testedAh: Measured; testedOn: string };
	/** What still flows after the load’s cut-off empties the cells before somebody comes by. */
	'standby-short': StandbyFacts;
	/** The charge left at the cut-off lasts for a visit, or for a season. */
	'standby-lasts': StandbyFacts;
	/** The cell type’s figures leave no window to work in. */
	'limits-no-room': { cause: string; reason: string };
	/** Cells are placed and no strategy is chosen. */
	'limits-waiting': { groups: number };
}

function brokenTitle({ links, releases }: LimitsFacts['chain-broken']): string {
	const [link] = links;
	const [release] = releases;
	if (links.length + releases.length > 1) return `${links.length + releases.length} limits are out of order`;
	return link ? `${link.lowName} must stay below ${link.highName}` : `${release?.name} never releases properly`;
}

/** Which battery it is of, where the verdict is of one. */
const of = (subject: Subject) => (subject.kind === 'battery' ? `: ${subject.label}` : '');

export const LIMITS_WORDS: Words<LimitsFacts> = {
	'chain-holds': ({ facts: { links } }) => ({
		title: 'The set-points are in order',
		finding: `${links} links of voltage and temperature and every release checked; fuse, cable and BMS are judged apart.`,
		doubt:
			'Checked on paper: a trip is proved only by making it happen. Two things must be able to stop a charge: should the BMS’s switch fail closed, only the charger’s own limits hold the cells.',
		rule: 'Charger below BMS, BMS below cell, load cut-off above BMS, releases inside limits.',
		next: null
	}),
	'chain-broken': ({ facts }) => ({
		title: brokenTitle(facts),
		finding: [
			...facts.links.map((l) => `${l.lowName} ${l.low} is not below ${l.highName} ${l.high}.`),
			...facts.releases.map((r) => `${r.name}: trip ${r.trip}, release ${r.release} ${r.unit}.`)
		].join(' '),
		doubt: null,
		rule: 'The chain must act in order.',
		next: 'Correct the maker’s figures or choose another strategy.'
	}),
	'fuse-over-cable': ({ facts: { fuseA, cableA }, subject }) => ({
		title: `The fuse does not protect the cable${of(subject)}`,
		finding: `Fuse rating ${fuseA} A, cable rating ${cableA} A: the cable can burn before the fuse blows.`,
		doubt:
			'What a cable carries depends on its insulation, bundling and heat: take the figure of its maker for where it lies.',
		rule: 'Main fuse ≤ what the cable carries, and ≥ 1.25 × the continuous current. Local codes come first.',
		next: 'Fit a smaller fuse or a thicker cable before anything is joined.'
	}),
	'bms-cells': ({ facts: { series, leastCells, mostCells, tooFew }, subject }) => ({
		title: `The BMS does not fit ${series} cells in series${of(subject)}`,
		finding: `By its sheet it is made for ${[leastCells, mostCells].every((n) => n !== null) ? `${leastCells} to ${mostCells}` : leastCells !== null ? `at least ${leastCells}` : `at most ${mostCells}`} cells.`,
		doubt: null,
		rule: tooFew
			? 'A BMS feeds itself from its cells: from too few it does not start, and protects nothing.'
			: 'Above its number of cells its inputs see more volts than they bear.',
		next: 'Do not connect it. Take one that is made for this number of cells.'
	}),
	'bms-over-cable': ({ facts: { bmsA, cableA }, subject }) => ({
		title: `The BMS lets through more than the cable carries${of(subject)}`,
		finding: `The BMS is rated ${bmsA} A, the cable carries ${cableA} A.`,
		doubt:
			'With the over-current trip of the sheet below set in the BMS the cable is guarded; without it, only by the fuse.',
		rule: 'Cable ≥ continuous current of the BMS.',
		next: 'Fit a thicker cable, or set the BMS’s over-current trip as the sheet says and prove it.'
	}),
	'fuse-under-bms': ({ facts: { bmsA, fuseA, margin }, subject }) => ({
		title: `The fuse has no room above the BMS${of(subject)}`,
		finding: `The BMS lets ${bmsA} A through, the fuse is rated ${fuseA} A; ${margin} × would be ${(bmsA * margin).toFixed(0)} A.`,
		doubt: 'A fuse that is loaded to its rating ages and opens without a fault.',
		rule: `Main fuse ≥ ${margin} × continuous current, and ≤ what the cable carries.`,
		next: 'Fit a larger fuse if the cable carries it, or set the BMS’s over-current trip lower.'
	}),
	'wiring-under-load': ({ facts: { parts, peakW, leastV, loadA, margin }, subject }) => ({
		title: `The loads of your plan ${parts.some((p) => p.ratedA < loadA) ? 'draw more than the wiring carries' : 'leave the wiring no room'}${of(subject)}`,
		finding: `${peakW.toFixed(0)} W together are ${loadA.toFixed(0)} A at ${leastV.toFixed(1)} V. ${parts
			.map((p) => `The ${p.part} is rated ${p.ratedA} A, wanted is ${p.wantedA.toFixed(0)} A.`)
			.join(' ')}`,
		doubt:
			'By the loads of the plan that may run in the same hour, the inverter’s loss included. Batteries side by side do not share evenly.',
		rule: `BMS and main fuse ≥ ${margin} × what runs together at the lowest voltage; cable ≥ that.`,
		next: 'Fit a larger part, run less at once, or share it between batteries.'
	}),
	'wiring-unknown': ({ facts: { blank }, subject }) => ({
		title: `Cannot tell whether fuse, cable and BMS fit${of(subject)}`,
		finding: `Not known: ${blank.join(', ')}.`,
		doubt: null,
		rule: 'Main fuse ≤ cable, ≥ 1.25 × BMS; cable ≥ BMS. What is blank cannot be compared.',
		next: 'Write down what is fitted, by its own label.'
	}),
	'wiring-holds': ({ facts: { fuseA, cableA, bmsA }, subject }) => ({
		title: `Fuse, cable and BMS fit each other${of(subject)}`,
		finding: `BMS ${bmsA} A, fuse ${fuseA} A, cable ${cableA} A.`,
		doubt: 'What a cable carries depends on its insulation, bundling and heat; what a fuse breaks is on its sheet.',
		rule: 'Main fuse ≤ cable, ≥ 1.25 × BMS; cable ≥ BMS. Local codes come first.',
		next: null
	}),
	'capacity-since': ({ facts: { usedAh, testedAh, testedOn } }) => ({
		title: 'The battery has less than the limits reckon with',
		finding: `The limits use ${usedAh.toFixed(1)} Ah; the test of ${testedOn.slice(0, 10)} found ${testedAh.value.toFixed(1)} ± ${testedAh.sd.toFixed(1)} Ah.`,
		doubt: 'If other conditions explain the difference, test again under the same as before.',
		rule: 'Capacity in BMS and shunt = the smallest measured group, as it is now.',
		next: 'Write the tested capacity into BMS and shunt.'
	}),
	'standby-short': ({ facts: { days, chargeLeftAh, standbyA, visitedDays } }) => ({
		title: `${days.toFixed(0)} days from the cut-off to empty cells`,
		finding: `At the load’s cut-off ${chargeLeftAh.toFixed(0)} Ah are left; ${(standbyA * 1000).toFixed(0)} mA and self-discharge go on.`,
		doubt: 'Reckoned from the rest curve; a cut-off under load leaves more, cells that differ leave less.',
		rule: `Charge left at the cut-off ≥ standby × ${visitedDays} days (default).`,
		next: 'Raise the load’s cut-off, fit a disconnect that takes the standby off, or come by sooner.'
	}),
	'standby-lasts': ({ facts: { days, chargeLeftAh, standbyA, unvisitedDays } }) => ({
		title: `${days.toFixed(0)} days from the cut-off to empty cells`,
		finding: `At the load’s cut-off ${chargeLeftAh.toFixed(0)} Ah are left; ${(standbyA * 1000).toFixed(0)} mA and self-discharge go on.`,
		doubt: 'Reckoned from the rest curve; a cut-off under load leaves more, cells that differ leave less.',
		rule: `Where nobody comes by, ${unvisitedDays} days are wanted (default).`,
		next: days < unvisitedDays ? 'Switch everything off at the disconnect before leaving it alone for longer.' : null
	}),
	'limits-no-room': ({ facts: { reason } }) => ({
		title: 'These figures leave no room',
		finding: reason,
		doubt: null,
		rule: 'Limits come from cell type, measured cells, wiring and strategy.',
		next: 'Correct the cell type in Plan.'
	}),
	'limits-waiting': ({ facts: { groups } }) => ({
		title: 'No limits are chosen yet',
		finding: `${groups} groups have their cells; what BMS and chargers are set to is not decided.`,
		doubt: null,
		rule: 'Nothing is charged in series before its limits are set.',
		next: 'Choose a strategy and set BMS and chargers by its sheet.'
	})
};

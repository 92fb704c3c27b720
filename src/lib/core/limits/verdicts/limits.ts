import { FUSE_MARGIN } from './bounds';
import { verdict, type Measured, type Subject } from '../../foundation/verdicts';

interface ChainBrokenFacts {
	links: readonly BrokenLink[];
	releases: readonly BadRelease[];
}

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

function brokenTitle({ links, releases }: ChainBrokenFacts): string {
	const [link] = links;
	const [release] = releases;
	if (links.length + releases.length > 1) return `${links.length + releases.length} limits are out of order`;
	return link ? `${link.lowName} must stay below ${link.highName}` : `${release?.name} never releases properly`;
}

/** Which battery it is of, where the verdict is of one. */
const of = (subject: Subject) => (subject.kind === 'battery' ? `: ${subject.label}` : '');

export const LIMIT_VERDICTS = {
	'chain-holds': verdict<{ links: number }>()({
		means: 'Every link of the chain of limits and every release is in order.',
		urgencies: ['calm'],
		calm: 'ok',
		words: ({ facts: { links } }) => ({
			title: 'The set-points are in order',
			finding: `${links} links of voltage and temperature and every release checked; fuse, cable and BMS are judged apart.`,
			doubt:
				'Checked on paper: a trip is proved only by making it happen. Two things must be able to stop a charge: should the BMS’s switch fail closed, only the charger’s own limits hold the cells.',
			rule: 'Charger below BMS, BMS below cell, load cut-off above BMS, releases inside limits.',
			next: null
		})
	}),
	'chain-broken': verdict<ChainBrokenFacts>()({
		means: 'Links of the chain out of order, or trips without a proper release.',
		urgencies: ['stop'],
		remedy: { to: 'plan', text: 'Go to the cell’s figures' },
		words: ({ facts }) => ({
			title: brokenTitle(facts),
			finding: [
				...facts.links.map((l) => `${l.lowName} ${l.low} is not below ${l.highName} ${l.high}.`),
				...facts.releases.map((r) => `${r.name}: trip ${r.trip}, release ${r.release} ${r.unit}.`)
			].join(' '),
			doubt: null,
			rule: 'The chain must act in order.',
			next: 'Correct the maker’s figures or choose another strategy.'
		})
	}),
	'fuse-over-cable': verdict<{ fuseA: number; cableA: number }>()({
		means: 'A main fuse rated above what its cable carries.',
		urgencies: ['stop'],
		remedy: { to: 'build/wiring', text: 'Go to fuse and cable' },
		words: ({ facts: { fuseA, cableA }, subject }) => ({
			title: `The fuse does not protect the cable${of(subject)}`,
			finding: `Fuse rating ${fuseA} A, cable rating ${cableA} A: the cable can burn before the fuse blows.`,
			doubt:
				'What a cable carries depends on its insulation, bundling and heat: take the figure of its maker for where it lies.',
			rule: `Main fuse ≤ what the cable carries, and ≥ ${FUSE_MARGIN} × the continuous current. Local codes come first.`,
			next: 'Fit a smaller fuse or a thicker cable before anything is joined.'
		})
	}),
	'bms-cells': verdict<{ series: number; leastCells: number | null; mostCells: number | null; tooFew: boolean }>()({
		means: 'The BMS is made for more cells in series, or for fewer.',
		urgencies: ['stop'],
		remedy: { to: 'build/wiring', text: 'Go to the BMS' },
		words: ({ facts: { series, leastCells, mostCells, tooFew }, subject }) => ({
			title: `The BMS does not fit ${series} cells in series${of(subject)}`,
			finding: `By its sheet it is made for ${[leastCells, mostCells].every((n) => n !== null) ? `${leastCells} to ${mostCells}` : leastCells !== null ? `at least ${leastCells}` : `at most ${mostCells}`} cells.`,
			doubt: null,
			rule: tooFew
				? 'A BMS feeds itself from its cells: from too few it does not start, and protects nothing.'
				: 'Above its number of cells its inputs see more volts than they bear.',
			next: 'Do not connect it. Take one that is made for this number of cells.'
		})
	}),
	'bms-over-cable': verdict<{ bmsA: number; cableA: number }>()({
		means: 'The BMS may let through more than the cable carries.',
		urgencies: ['look'],
		words: ({ facts: { bmsA, cableA }, subject }) => ({
			title: `The BMS lets through more than the cable carries${of(subject)}`,
			finding: `The BMS is rated ${bmsA} A, the cable carries ${cableA} A.`,
			doubt:
				'With the over-current trip of the sheet below set in the BMS the cable is guarded; without it, only by the fuse.',
			rule: 'Cable ≥ continuous current of the BMS.',
			next: 'Fit a thicker cable, or set the BMS’s over-current trip as the sheet says and prove it.'
		})
	}),
	'fuse-under-bms': verdict<{ bmsA: number; fuseA: number; margin: number }>()({
		means: 'The main fuse has no room above what the BMS lets through; `margin`: how many times it is to be.',
		urgencies: ['look'],
		words: ({ facts: { bmsA, fuseA, margin }, subject }) => ({
			title: `The fuse has no room above the BMS${of(subject)}`,
			finding: `The BMS lets ${bmsA} A through, the fuse is rated ${fuseA} A; ${margin} × would be ${(bmsA * margin).toFixed(0)} A.`,
			doubt: 'A fuse that is loaded to its rating ages and opens without a fault.',
			rule: `Main fuse ≥ ${margin} × continuous current, and ≤ what the cable carries.`,
			next: 'Fit a larger fuse if the cable carries it, or set the BMS’s over-current trip lower.'
		})
	}),
	'wiring-under-load': verdict<{
		parts: readonly { part: 'BMS' | 'main fuse' | 'cable'; ratedA: number; wantedA: number }[];
		peakW: number;
		leastV: number;
		loadA: number;
		margin: number;
	}>()({
		means: 'What may run from the battery together draws more than a part of its wiring carries, or leaves it no room.',
		urgencies: ['open', 'look'],
		words: ({ facts: { parts, peakW, leastV, loadA, margin }, subject }) => ({
			title: `The loads of your plan ${parts.some((p) => p.ratedA < loadA) ? 'draw more than the wiring carries' : 'leave the wiring no room'}${of(subject)}`,
			finding: `${peakW.toFixed(0)} W together are ${loadA.toFixed(0)} A at ${leastV.toFixed(1)} V. ${parts
				.map((p) => `The ${p.part} is rated ${p.ratedA} A, wanted is ${p.wantedA.toFixed(0)} A.`)
				.join(' ')}`,
			doubt:
				'By the loads of the plan that may run in the same hour, the inverter’s loss included. Batteries side by side do not share evenly.',
			rule: `BMS and main fuse ≥ ${margin} × what runs together at the lowest voltage; cable ≥ that.`,
			next: 'Fit a larger part, run less at once, or share it between batteries.'
		})
	}),
	'wiring-unknown': verdict<{ blank: readonly string[] }>()({
		means: 'Main fuse, cable or BMS are not known, and so cannot be compared.',
		urgencies: ['open'],
		words: ({ facts: { blank }, subject }) => ({
			title: `Cannot tell whether fuse, cable and BMS fit${of(subject)}`,
			finding: `Not known: ${blank.join(', ')}.`,
			doubt: null,
			rule: `Main fuse ≤ cable, ≥ ${FUSE_MARGIN} × BMS; cable ≥ BMS. What is blank cannot be compared.`,
			next: 'Write down what is fitted, by its own label.'
		})
	}),
	'wiring-holds': verdict<{ fuseA: number; cableA: number; bmsA: number }>()({
		means: 'Main fuse, cable and BMS fit each other.',
		urgencies: ['calm'],
		calm: 'ok',
		words: ({ facts: { fuseA, cableA, bmsA }, subject }) => ({
			title: `Fuse, cable and BMS fit each other${of(subject)}`,
			finding: `BMS ${bmsA} A, fuse ${fuseA} A, cable ${cableA} A.`,
			doubt: 'What a cable carries depends on its insulation, bundling and heat; what a fuse breaks is on its sheet.',
			rule: `Main fuse ≤ cable, ≥ ${FUSE_MARGIN} × BMS; cable ≥ BMS. Local codes come first.`,
			next: null
		})
	}),
	'capacity-since': verdict<{ usedAh: number; testedAh: Measured; testedOn: string }>()({
		means: 'A capacity test in service found less than the limits reckon with.',
		urgencies: ['open'],
		words: ({ facts: { usedAh, testedAh, testedOn } }) => ({
			title: 'The battery has less than the limits reckon with',
			finding: `The limits use ${usedAh.toFixed(1)} Ah; the test of ${testedOn.slice(0, 10)} found ${testedAh.value.toFixed(1)} ± ${testedAh.sd.toFixed(1)} Ah.`,
			doubt: 'If other conditions explain the difference, test again under the same as before.',
			rule: 'Capacity in BMS and shunt = the smallest measured group, as it is now.',
			next: 'Write the tested capacity into BMS and shunt.'
		})
	}),
	'standby-short': verdict<StandbyFacts>()({
		means: 'What still flows after the load’s cut-off empties the cells before somebody comes by.',
		urgencies: ['look'],
		words: ({ facts: { days, chargeLeftAh, standbyA, visitedDays } }) => ({
			title: `${days.toFixed(0)} days from the cut-off to empty cells`,
			finding: `At the load’s cut-off ${chargeLeftAh.toFixed(0)} Ah are left; ${(standbyA * 1000).toFixed(0)} mA and self-discharge go on.`,
			doubt: 'Reckoned from the rest curve; a cut-off under load leaves more, cells that differ leave less.',
			rule: `Charge left at the cut-off ≥ standby × ${visitedDays} days (default).`,
			next: 'Raise the load’s cut-off, fit a disconnect that takes the standby off, or come by sooner.'
		})
	}),
	'standby-lasts': verdict<StandbyFacts>()({
		means: 'The charge left at the cut-off lasts for a visit, or for a season.',
		urgencies: ['calm'],
		calm: 'ok',
		words: ({ facts: { days, chargeLeftAh, standbyA, unvisitedDays } }) => ({
			title: `${days.toFixed(0)} days from the cut-off to empty cells`,
			finding: `At the load’s cut-off ${chargeLeftAh.toFixed(0)} Ah are left; ${(standbyA * 1000).toFixed(0)} mA and self-discharge go on.`,
			doubt: 'Reckoned from the rest curve; a cut-off under load leaves more, cells that differ leave less.',
			rule: `Where nobody comes by, ${unvisitedDays} days are wanted (default).`,
			next: days < unvisitedDays ? 'Switch everything off at the disconnect before leaving it alone for longer.' : null
		})
	}),
	'limits-no-room': verdict<{ cause: string; reason: string }>()({
		means: 'The cell type’s figures leave no window to work in.',
		urgencies: ['look'],
		words: ({ facts: { reason } }) => ({
			title: 'These figures leave no room',
			finding: reason,
			doubt: null,
			rule: 'Limits come from cell type, measured cells, wiring and strategy.',
			next: 'Correct the cell type in Plan.'
		})
	}),
	'limits-waiting': verdict<{ groups: number }>()({
		means: 'Cells are placed and no strategy is chosen.',
		urgencies: ['open'],
		words: ({ facts: { groups } }) => ({
			title: 'No limits are chosen yet',
			finding: `${groups} groups have their cells; what BMS and chargers are set to is not decided.`,
			doubt: null,
			rule: 'Nothing is charged in series before its limits are set.',
			next: 'Choose a strategy and set BMS and chargers by its sheet.'
		})
	})
};

import type { Words } from './verdict';

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

export interface LimitsFacts {
	/** Every link of the chain of limits and every release is in order. */
	'chain-holds': { links: number };
	/** Links of the chain out of order, or trips without a proper release. */
	'chain-broken': { links: readonly BrokenLink[]; releases: readonly BadRelease[] };
	/** A main fuse rated above what its cable carries. */
	'fuse-over-cable': { fuseA: number; cableA: number };
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

export const LIMITS_WORDS: Words<LimitsFacts> = {
	'chain-holds': ({ facts: { links } }) => ({
		title: 'The chain of limits holds',
		finding: `${links} links and every release checked.`,
		doubt: 'Checked on paper: a trip is proved only by making it happen.',
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
	'fuse-over-cable': ({ facts: { fuseA, cableA } }) => ({
		title: 'The fuse does not guard its cable',
		finding: `The fuse holds ${fuseA} A, the cable carries ${cableA} A: it burns before the fuse opens.`,
		doubt:
			'What a cable carries depends on its insulation, bundling and heat: take the figure of its maker for where it lies.',
		rule: 'Main fuse ≤ what the cable carries, and ≥ 1.25 × the continuous current. Local codes come first.',
		next: 'Fit a smaller fuse or a thicker cable before anything is joined.'
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

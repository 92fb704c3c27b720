/** What can have happened to the balance leads of a battery. */
export const LEAD_CODES = [
	'right',
	'exchanged',
	'block-reversed',
	'open',
	'wrong-node',
	'doubled',
	'polarity',
	'two-faults'
] as const;
export type LeadCode = (typeof LEAD_CODES)[number];

/** One way the leads may sit. Leads and nodes count from 0 (battery negative) to S. */
export interface LeadWiring {
	code: LeadCode;
	/** The leads it is about; empty for `right` and for a whole plug. */
	leads: readonly number[];
	/** Node that each lead sits on; −1: on none. */
	nodeOf: readonly number[];
	/** A whole plug: read from battery positive (nodes count down from there), or with the probes exchanged. */
	fromTop: boolean;
	sign: 1 | -1;
	/** A cell, from 1, that stands the wrong way round. */
	turnedCell: number | null;
	/** The two single ones it is made of; null: it is one. */
	parts: readonly [LeadWiring, LeadWiring] | null;
	/** How often it is so among harnesses as they are first plugged in (default). */
	prior: number;
}

/** Of a hundred harnesses crimped at home (default): so many have each fault somewhere. The rest are right. */
const SHARE = {
	neighbours: 0.04,
	distant: 0.015,
	block: 0.01,
	open: 0.02,
	doubled: 0.015,
	wrongNode: 0.01,
	polarity: 0.01,
	turnedCell: 0.003
};

const RIGHT = 1 - Object.values(SHARE).reduce((sum, share) => sum + share, 0);

const inOrder = (series: number) => Array.from({ length: series + 1 }, (_, k) => k);

interface Differs {
	nodeOf?: readonly number[];
	fromTop?: boolean;
	sign?: 1 | -1;
	turnedCell?: number;
}

function wiring(series: number, code: LeadCode, leads: readonly number[], differs: Differs): LeadWiring {
	return {
		code,
		leads,
		nodeOf: differs.nodeOf ?? inOrder(series),
		fromTop: differs.fromTop ?? false,
		sign: differs.sign ?? 1,
		turnedCell: differs.turnedCell ?? null,
		parts: null,
		prior: 0
	};
}

function exchanged(series: number, [a, b]: readonly [number, number]): LeadWiring {
	const nodeOf = inOrder(series);
	[nodeOf[a], nodeOf[b]] = [b, a];
	return wiring(series, 'exchanged', [a, b], { nodeOf });
}

function blockReversed(series: number, [from, to]: readonly [number, number]): LeadWiring {
	const nodeOf = inOrder(series).map((k) => (k >= from && k <= to ? from + to - k : k));
	const leads = inOrder(series).slice(from, to + 1);
	return wiring(series, 'block-reversed', leads, { nodeOf });
}

/** Pairs of leads `least` to S apart. */
const pairs = (series: number, least: number, most = series): [number, number][] =>
	inOrder(series).flatMap((a) =>
		inOrder(series)
			.filter((b) => b - a >= least && b - a <= most)
			.map((b): [number, number] => [a, b])
	);

const moved = (series: number, lead: number, node: number) => inOrder(series).map((k) => (k === lead ? node : k));

/** Two leads on one node: one of them alone, or one node passed over and all leads from there shifted. */
function doubled(series: number): LeadWiring[] {
	const alone = pairs(series, 1, 1).flatMap(([a, b]) => [
		wiring(series, 'doubled', [a, b], { nodeOf: moved(series, b, a) }),
		wiring(series, 'doubled', [a, b], { nodeOf: moved(series, a, b) })
	]);
	const shifted = pairs(series, 1, 1).flatMap(([a, b]) =>
		[
			...(b < series ? [inOrder(series).map((k) => (k >= b ? k - 1 : k))] : []),
			...(a > 0 ? [inOrder(series).map((k) => (k <= a ? k + 1 : k))] : [])
		].map((nodeOf) => wiring(series, 'doubled', [a, b], { nodeOf }))
	);
	return [...alone, ...shifted];
}

/** The plug turned round, the probes exchanged, or battery plus taken for minus. */
const polarity = (series: number): LeadWiring[] =>
	[
		{ nodeOf: inOrder(series).reverse() },
		{ sign: -1 as const },
		{ fromTop: true, sign: -1 as const, nodeOf: inOrder(series).reverse() },
		{ fromTop: true, sign: -1 as const }
	].map((differs) => wiring(series, 'polarity', [], differs));

const withPrior = (share: number, wirings: readonly LeadWiring[]): LeadWiring[] =>
	wirings.map((w) => ({ ...w, prior: share / wirings.length }));

/**
 * Every way one thing can be wrong with the S + 1 leads of a battery, and the right one, each with its prior (shares by
 * kind: default). What cannot be told apart is one: two leads that are a whole plug count as the plug turned round.
 * @param series cells in series, from 1
 */
export function leadWirings(series: number): LeadWiring[] {
	const leads = inOrder(series);
	const wholePlug = ([a, b]: readonly [number, number]) => a === 0 && b === series;
	return [
		...withPrior(RIGHT, [wiring(series, 'right', [], {})]),
		...withPrior(
			SHARE.neighbours,
			pairs(series, 1, 1)
				.filter((p) => !wholePlug(p))
				.map((p) => exchanged(series, p))
		),
		...withPrior(
			SHARE.distant,
			pairs(series, 2).map((p) => exchanged(series, p))
		),
		// Three leads reversed are the outer two exchanged.
		...withPrior(
			SHARE.block,
			pairs(series, 3)
				.filter((p) => !wholePlug(p))
				.map((p) => blockReversed(series, p))
		),
		...withPrior(
			SHARE.open,
			leads.map((k) => wiring(series, 'open', [k], { nodeOf: moved(series, k, -1) }))
		),
		...withPrior(SHARE.doubled, doubled(series)),
		...withPrior(
			SHARE.wrongNode,
			leads.flatMap((lead) =>
				leads
					.filter((node) => Math.abs(node - lead) >= 2)
					.map((node) => wiring(series, 'wrong-node', [lead], { nodeOf: moved(series, lead, node) }))
			)
		),
		...withPrior(SHARE.polarity, polarity(series)),
		...withPrior(
			SHARE.turnedCell,
			leads.slice(1).map((cell) => wiring(series, 'polarity', [cell - 1, cell], { turnedCell: cell }))
		)
	];
}

/** What can be wrong beside something else: it concerns its own leads alone. */
const OWN_LEADS: readonly LeadCode[] = ['exchanged', 'block-reversed', 'open', 'wrong-node', 'doubled'];
const concernsItsOwn = ({ code, leads, nodeOf }: LeadWiring): boolean =>
	OWN_LEADS.includes(code) && nodeOf.every((node, lead) => node === lead || leads.includes(lead));

/** Two things wrong at once, each with leads of its own; as rare as both together. @param single those that are likely by themselves */
export function pairWirings(single: readonly LeadWiring[]): LeadWiring[] {
	const own = single.filter(concernsItsOwn);
	return own.flatMap((a, i) =>
		own.slice(i + 1).flatMap((b) => {
			if (b.leads.some((lead) => a.leads.includes(lead))) return [];
			const nodeOf = a.nodeOf.map((node, lead) => (b.leads.includes(lead) ? b.nodeOf[lead]! : node));
			const leads = [...a.leads, ...b.leads].sort((x, y) => x - y);
			return [{ ...a, code: 'two-faults' as const, leads, nodeOf, parts: [a, b] as const, prior: a.prior * b.prior }];
		})
	);
}

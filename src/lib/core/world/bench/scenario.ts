import { CHEMISTRIES, type Chemistry } from '../../foundation/chemistry';
import { CoreError, requireFinite, requireNotNegative, requirePositive } from '../../foundation/errors';
import { WIRINGS, completeBalancer, completeBms, type Balancer, type BmsLimits, type Wiring } from '../simulation';

export const SCENARIO_FORMAT = 'kind-ember-scenario';
export const SCENARIO_VERSION = 1;
export const TIME_FACTORS = { least: 1, most: 10_000 };

/** A cell of the crate with what nobody at the bench can see. */
export interface ScenarioCell {
	label: string;
	capacityAh: number;
	resistanceFactor: number;
	soc: number;
	selfDischargePerMonth: number;
	/** Plus and minus are printed the wrong way round. */
	printedReversed: boolean;
	/** Resistance its bar adds once it is built in, Ω; a good joint is `barOhm` of the scenario. */
	looseBarOhm: number;
}

/** A world as data: what is in the crate, on the bench, and wrong. See docs/scenarios.md. */
export interface Scenario {
	format: typeof SCENARIO_FORMAT;
	formatVersion: typeof SCENARIO_VERSION;
	name: string;
	story: string;
	seed: number;
	chemistry: Chemistry;
	ratedAh: number;
	series: number;
	parallel: number;
	ambientC: number;
	/** Seconds of the world in one second of ours, 1 … 10 000. */
	timeFactor: number;
	barOhm: number;
	/** How the cells stand when the scenario begins: indices into `cells`, group by group; no groups while they are loose. */
	wiring: { kind: Wiring; groups: number[][] };
	cells: ScenarioCell[];
	supply: {
		maxV: number;
		maxA: number;
		leadOhm: number;
		/** What its display adds to the true voltage; it holds its set voltage by that display, V. */
		displayErrorV: number;
	};
	load: {
		maxA: number;
		maxW: number;
		leadOhm: number;
		/** Its reading of current is the true one times 1 + this; it holds its set current by that reading. */
		currentGain: number;
	};
	bms: {
		limits: Partial<BmsLimits>;
		balancer: Partial<Balancer> | null;
		/** What it adds to the true voltage of each group, V; group 1 first. */
		readErrorV: number[];
		/** Two balance leads that changed places, and one that is open; lead k belongs on the plus of group k. */
		swappedLeads: [number, number] | null;
		openLead: number | null;
	};
	/** What mistakes are counted at, in the user's own money. */
	prices: { perKwh: number; cell: number; bms: number };
}

const refuse = (path: string, message: string): never => {
	throw new CoreError('scenario', path, message);
};

function text(value: unknown, path: string, longest: number): string {
	if (typeof value !== 'string' || value.length === 0 || value.length > longest)
		refuse(path, `${path} requires a text of 1 to ${longest} characters`);
	return value as string;
}

function whole(value: unknown, path: string, least: number, most: number): number {
	if (!Number.isInteger(value) || (value as number) < least || (value as number) > most)
		refuse(path, `${path} requires a whole number from ${least} to ${most}, got ${String(value)}`);
	return value as number;
}

const part = (value: unknown, path: string): Record<string, never> => {
	if (typeof value !== 'object' || value === null || Array.isArray(value)) refuse(path, `${path} requires an object`);
	return value as Record<string, never>;
};

function completeScenarioCell(value: unknown, path: string, ratedAh: number): ScenarioCell {
	const cell = part(value, path);
	return {
		label: text(cell.label, `${path}.label`, 24),
		capacityAh: requirePositive(cell.capacityAh ?? ratedAh, `${path}.capacityAh`),
		resistanceFactor: requirePositive(cell.resistanceFactor ?? 1, `${path}.resistanceFactor`),
		soc: fraction(cell.soc ?? 0.5, `${path}.soc`),
		selfDischargePerMonth: requireNotNegative(cell.selfDischargePerMonth ?? 0.02, `${path}.selfDischargePerMonth`),
		printedReversed: (cell.printedReversed as unknown) === true,
		looseBarOhm: requireNotNegative(cell.looseBarOhm ?? 0, `${path}.looseBarOhm`)
	};
}

function fraction(value: number, path: string): number {
	if (!(requireFinite(value, path) >= -0.05 && value <= 1.05))
		refuse(path, `${path} requires a fraction from -0.05 to 1.05`);
	return value;
}

function completeWiring(value: unknown, cells: number): Scenario['wiring'] {
	const wiring = part(value, 'wiring') as { kind?: Wiring; groups?: unknown };
	const kind = wiring.kind ?? 'loose';
	if (!WIRINGS.includes(kind)) refuse('wiring.kind', `wiring.kind requires one of ${WIRINGS.join(', ')}`);
	if (kind === 'loose') return { kind, groups: [] };
	const groups = (Array.isArray(wiring.groups) ? wiring.groups : []).map((group, g) =>
		(Array.isArray(group)
			? group
			: refuse(`wiring.groups.${g}`, 'A group requires a list of cell numbers, from 0')
		).map((cell, k) => whole(cell, `wiring.groups.${g}.${k}`, 0, cells - 1))
	);
	const all = groups.flat();
	if (all.length < 2 || groups.some((g) => g.length === 0) || new Set(all).size !== all.length)
		refuse('wiring.groups', 'wiring.groups requires two cells or more, none twice, and no empty group');
	return { kind, groups };
}

/**
 * A scenario from plain data, defaults filled in.
 * @throws CoreError `scenario` with the path of what cannot be
 */
export function completeScenario(plain: unknown): Scenario {
	const s = part(plain, 'scenario') as Record<string, unknown>;
	if (s.format !== SCENARIO_FORMAT || s.formatVersion !== SCENARIO_VERSION)
		refuse('format', `format requires "${SCENARIO_FORMAT}", formatVersion ${SCENARIO_VERSION}`);
	if (!CHEMISTRIES.includes(s.chemistry as Chemistry))
		refuse('chemistry', `chemistry requires one of ${CHEMISTRIES.join(', ')}`);
	const chemistry = s.chemistry as Chemistry;
	const series = whole(s.series, 'series', 1, 32);
	const parallel = whole(s.parallel, 'parallel', 1, 16);
	const ratedAh = requirePositive(s.ratedAh as number, 'ratedAh');
	const given = Array.isArray(s.cells) ? s.cells : [];
	if (given.length < series * parallel || given.length > 512)
		refuse(
			'cells',
			`cells requires at least ${series * parallel} for ${series}S${parallel}P and at most 512, got ${given.length}`
		);
	const [supply, load, bms, prices] = ['supply', 'load', 'bms', 'prices'].map((name) => part(s[name] ?? {}, name));
	const timeFactor = requirePositive((s.timeFactor as number) ?? 1000, 'timeFactor');
	if (timeFactor < TIME_FACTORS.least || timeFactor > TIME_FACTORS.most)
		refuse('timeFactor', `timeFactor requires ${TIME_FACTORS.least} to ${TIME_FACTORS.most}`);
	const lead = (value: unknown, path: string) => whole(value, path, 1, series);
	const swapped = bms!.swappedLeads as unknown as [number, number] | null | undefined;
	const balancer = part(bms!.balancer ?? {}, 'bms.balancer') as Partial<Balancer>;
	completeBms((bms!.limits as Partial<BmsLimits> | undefined) ?? {}, chemistry, 'bms.limits');
	completeBalancer(balancer, chemistry, 'bms.balancer');
	const errors = (bms!.readErrorV as unknown as number[] | undefined) ?? [];
	return {
		format: SCENARIO_FORMAT,
		formatVersion: SCENARIO_VERSION,
		name: text(s.name, 'name', 80),
		story: text(s.story, 'story', 1000),
		seed: whole(s.seed, 'seed', 0, 2 ** 32 - 1),
		chemistry,
		ratedAh,
		series,
		parallel,
		ambientC: requireFinite((s.ambientC as number) ?? 21, 'ambientC'),
		timeFactor,
		barOhm: requireNotNegative((s.barOhm as number) ?? 0.00005, 'barOhm'),
		wiring: completeWiring(s.wiring ?? {}, given.length),
		cells: given.map((cell, i) => completeScenarioCell(cell, `cells.${i}`, ratedAh)),
		supply: {
			maxV: requirePositive(supply!.maxV ?? 60, 'supply.maxV'),
			maxA: requirePositive(supply!.maxA ?? 60, 'supply.maxA'),
			leadOhm: requireNotNegative(supply!.leadOhm ?? 0.004, 'supply.leadOhm'),
			displayErrorV: requireFinite(supply!.displayErrorV ?? 0, 'supply.displayErrorV')
		},
		load: {
			maxA: requirePositive(load!.maxA ?? 150, 'load.maxA'),
			maxW: requirePositive(load!.maxW ?? 3000, 'load.maxW'),
			leadOhm: requireNotNegative(load!.leadOhm ?? 0.002, 'load.leadOhm'),
			currentGain: requireFinite(load!.currentGain ?? 0, 'load.currentGain')
		},
		bms: {
			limits: (bms!.limits as Partial<BmsLimits> | undefined) ?? {},
			balancer: bms!.balancer === null ? null : balancer,
			readErrorV: Array.from({ length: series }, (_, g) => requireFinite(errors[g] ?? 0, `bms.readErrorV.${g}`)),
			swappedLeads: swapped ? [lead(swapped[0], 'bms.swappedLeads.0'), lead(swapped[1], 'bms.swappedLeads.1')] : null,
			openLead: bms!.openLead === undefined || bms!.openLead === null ? null : lead(bms!.openLead, 'bms.openLead')
		},
		prices: {
			perKwh: requirePositive(prices!.perKwh ?? 150, 'prices.perKwh'),
			cell: requirePositive(prices!.cell ?? 90, 'prices.cell'),
			bms: requirePositive(prices!.bms ?? 120, 'prices.bms')
		}
	};
}

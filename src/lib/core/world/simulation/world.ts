import {
	CLOSED_BOX_W_PER_K,
	FREE_AIR_W_PER_K,
	USUAL_NATURE,
	completeCell,
	createCells,
	type CellNature,
	type CellSpec,
	type Cells
} from '../cell-model';
import { CHEMISTRIES, type Chemistry } from '../../foundation/chemistry';
import { CoreError, requireFinite, requireNotNegative } from '../../foundation/errors';
import { seededRandom } from '../../foundation/statistics';
import { completeBalancer, type Balancer } from './balancer';
import { wireBattery } from './battery';
import { completeBms, createBms, type BmsLimits } from './bms';
import { guardBattery, type GuardedBattery } from './guarded';

export type WorldCell = Partial<Omit<CellSpec, 'chemistry'>> & {
	id: string | number;
	soc?: number;
	/** Where in its loop it rests: 1 as after a charge, −1 as after a discharge; missing: in the middle. */
	branch?: number;
};
export const WIRINGS = ['loose', 'parallel', 'series'] as const;
export type Wiring = (typeof WIRINGS)[number];

/** What a simulation starts from. What is left out takes the model's defaults; SoC is then 0.5. */
export interface SimulatedWorld {
	chemistry: Chemistry;
	ambientC?: number;
	seed?: number;
	cells: WorldCell[];
	/** Loose: cells joined to nothing. Parallel: all groups in one row. Series: groups of parallel cells in series. */
	wiring: { kind: Wiring; groups?: (string | number)[][]; linkOhm?: number };
	bms?: Partial<BmsLimits>;
	balancer?: Partial<Balancer>;
	/** How its cells differ from the typical cell; cooling as the wiring has it: a battery stands in its box. */
	nature?: Partial<CellNature>;
}

const DEFAULT_SOC = 0.5;

/** Refuses an input. @throws CoreError always */
export const refuse = (code: string, path: string, message: string): never => {
	throw new CoreError(code, path, message);
};

/** A world made ready to run. */
export interface Prepared {
	cells: Cells;
	ids: string[];
	/** Null when the cells are loose and more than one. */
	guarded: GuardedBattery | null;
	/** Cells that are wired to nothing. */
	loose: number[];
}

/** Builds the cells and their wiring. @throws CoreError naming the field */
export function prepareWorld(world: SimulatedWorld): Prepared {
	if (!CHEMISTRIES.includes(world.chemistry))
		refuse('chemistry', 'world.chemistry', `chemistry requires one of ${CHEMISTRIES.join(', ')}`);
	const ambientC = requireFinite(world.ambientC ?? 25, 'world.ambientC');
	const ids = world.cells.map((c) => String(c.id));
	if (ids.length === 0) refuse('no-cells', 'world.cells', 'world.cells requires one cell or more');
	const place = new Map(ids.map((id, i) => [id, i]));
	if (place.size !== ids.length) refuse('same-id', 'world.cells', 'Every cell requires an id of its own');
	const cells = createCells(
		world.cells.map(({ id: _, soc, branch, ...spec }, i) => ({
			parameters: completeCell({ temperatureC: ambientC, ...spec, chemistry: world.chemistry }, `world.cells.${i}`),
			soc: soc ?? DEFAULT_SOC,
			...(branch === undefined ? {} : { branch: requireFinite(branch, `world.cells.${i}.branch`) })
		})),
		ambientC,
		{
			...USUAL_NATURE,
			coolingWPerK: world.wiring.kind === 'series' ? CLOSED_BOX_W_PER_K : FREE_AIR_W_PER_K,
			...world.nature
		}
	);
	const { kind, linkOhm = 0 } = world.wiring;
	requireNotNegative(linkOhm, 'world.wiring.linkOhm');
	const named = groupsOf(world, ids, place);
	const wired = new Set(named.flat());
	const loose = ids.map((_, i) => i).filter((i) => !wired.has(i));
	const guarded = named.length
		? guardBattery(
				wireBattery(cells, named, linkOhm),
				world.bms ? createBms(completeBms(world.bms, world.chemistry, 'world.bms')) : null,
				world.balancer ? completeBalancer(world.balancer, world.chemistry, 'world.balancer') : null,
				seededRandom(requireFinite(world.seed ?? 1, 'world.seed'))
			)
		: null;
	if (kind === 'parallel' && world.balancer)
		refuse('balancer', 'world.balancer', 'A balancer works between groups in series; cells in one row need none.');
	return { cells, ids, guarded, loose };
}

function groupsOf(world: SimulatedWorld, ids: string[], place: Map<string, number>): number[][] {
	const { kind } = world.wiring;
	if (kind === 'loose') return ids.length === 1 ? [[0]] : [];
	const given = world.wiring.groups ?? (kind === 'parallel' ? [ids] : ids.map((id) => [id]));
	const seen = new Set<string>();
	const groups = given.map((group, g) =>
		(Array.isArray(group)
			? group
			: refuse('groups', `world.wiring.groups.${g}`, 'A group requires a list of cell ids')
		).map((name, k) => {
			const id = String(name);
			const path = `world.wiring.groups.${g}.${k}`;
			if (seen.has(id)) refuse('twice', path, `Cell "${id}" stands in the wiring twice`);
			seen.add(id);
			return place.get(id) ?? refuse('unknown-cell', path, `There is no cell "${id}" in world.cells`);
		})
	);
	return kind === 'parallel' ? [groups.flat()] : groups;
}

import { completeCell, createCells, refreshCells, stepCell, stepDecay } from '../cell-model';
import { CoreError } from '../../foundation/errors';
import { seededRandom } from '../../foundation/statistics';
import {
	completeBalancer,
	completeBms,
	createBms,
	guardBattery,
	readGuarded,
	stepGuarded,
	wireBattery,
	type Drive,
	type Flow,
	type GuardedBattery,
	type Wiring
} from '../simulation';
import { BENCH_ACCURACY, BENCH_QUANTITIES, drawCalibration, type BenchQuantity, type Calibration } from './instrument';
import type { Bench, Joined, Place, Tool } from './bench-state';
import { exchangedLeads, leadErrorsV, leadNodesOf } from './leads';
import type { Scenario } from './scenario';

/** Opens the crate: cells as the scenario has them, nothing clipped, everything off. */
export function openBench(scenario: Scenario): Bench {
	const random = seededRandom(scenario.seed);
	const cells = createCells(
		scenario.cells.map((c) => ({
			parameters: completeCell({
				chemistry: scenario.chemistry,
				capacityAh: scenario.ratedAh,
				capacityFactor: c.capacityAh / scenario.ratedAh,
				resistanceFactor: c.resistanceFactor,
				selfDischargePerMonth: c.selfDischargePerMonth,
				temperatureC: scenario.ambientC
			}),
			soc: c.soc
		})),
		scenario.ambientC
	);
	const bench: Bench = {
		scenario,
		cells,
		wiring: 'loose',
		joined: null,
		plugged: false,
		leadNodes: leadNodesOf(scenario.series, scenario.bms),
		tightened: [],
		clips: { supply: null, load: null, voltmeter: null, ohmmeter: null },
		supply: { voltageV: 0, currentA: 0, on: false },
		load: { mode: 'current', currentA: 0, powerW: 0, resistanceOhm: 1000, cutoffV: 0, on: false, cutOff: false },
		timeS: 0,
		shuntAh: 0,
		calibration: Object.fromEntries(
			BENCH_QUANTITIES.map((name) => [name, drawCalibration(BENCH_ACCURACY[name], random)])
		) as Record<BenchQuantity, Calibration>,
		random,
		incidents: []
	};
	const { kind, groups } = scenario.wiring;
	const turned = groups.flat().filter((i) => scenario.cells[i]!.printedReversed);
	if (kind !== 'loose') wireBench(bench, kind, groups, turned);
	return bench;
}

export const refuse = (code: string, path: string, message: string): never => {
	throw new CoreError(code, path, message);
};

/** A joining whose first current is above this C-rate is hard on cells and bars. */
const HARD_JOIN_C = 0.5;

/**
 * Wires the cells. Supply and load must be off. Cells go in as they are printed, unless they are in `turned`: one that stands the
 * wrong way round sparks, is written down as an incident, and nothing is joined.
 * @param groups cell indices a group; for a parallel row all groups make one row
 * @param plugged whether the balance leads of a battery in series go into its BMS: without it nothing guards it
 */
export function wireBench(
	bench: Bench,
	kind: Wiring,
	groups: readonly (readonly number[])[],
	turned: readonly number[],
	plugged = true
): void {
	if (bench.supply.on || bench.load.on)
		refuse('live', 'wiring', 'Switch the supply and the load off before the wiring is touched.');
	const all = groups.flat();
	if (all.some((i) => !Number.isInteger(i) || i < 0 || i >= bench.cells.count) || new Set(all).size !== all.length)
		refuse('cells', 'groups', 'groups requires each cell of the bench at most once');
	if (kind !== 'loose' && (all.length < 2 || groups.some((g) => g.length === 0)))
		refuse('cells', 'groups', 'A row or a battery requires two cells or more and no empty group');
	const wrong = all.filter((i) => bench.scenario.cells[i]!.printedReversed !== turned.includes(i));
	if (kind !== 'loose' && wrong.length) {
		bench.incidents.push({ timeS: bench.timeS, kind: 'reversed', cells: wrong, amperes: null });
		refuse(
			'reversed',
			'groups',
			`A spark: ${wrong.map((i) => bench.scenario.cells[i]!.label).join(', ')} stands the wrong way round. Nothing is joined. Measure the polarity of every cell.`
		);
	}
	bench.cells.currentA.fill(0);
	bench.wiring = kind;
	bench.plugged = kind === 'series' && plugged;
	for (const tool of ['supply', 'load', 'voltmeter'] as const)
		if (bench.clips[tool] !== 'supply') bench.clips[tool] = null;
	bench.joined = kind === 'loose' ? null : join(bench, kind, kind === 'parallel' ? [all] : groups.map((g) => [...g]));
	if (bench.joined) setReadErrors(bench, bench.joined.guarded);
	if (kind === 'parallel') noteHardJoin(bench);
}

/** What a bar that was never tightened adds in a battery in series, Ω. */
const looseOhm = ({ scenario, tightened }: Bench, kind: Wiring, cell: number): number =>
	kind === 'series' && !tightened.includes(cell) ? scenario.cells[cell]!.looseBarOhm : 0;

/** The cells joined as they are now, with what their bars add. */
export function join(bench: Bench, kind: Wiring, groups: number[][]): Joined {
	const { scenario, cells } = bench;
	const ohms = groups.flat().map((i) => scenario.barOhm + looseOhm(bench, kind, i));
	const hasBms = bench.plugged;
	const guarded = guardBattery(
		wireBattery(cells, groups, ohms),
		hasBms ? createBms(completeBms(scenario.bms.limits, scenario.chemistry)) : null,
		hasBms && scenario.bms.balancer ? completeBalancer(scenario.bms.balancer, scenario.chemistry) : null,
		bench.random
	);
	readGuarded(guarded, []);
	return { guarded, groups };
}

function noteHardJoin(bench: Bench): void {
	const { members } = bench.joined!.guarded.battery;
	const worst = Math.max(...Array.from(members, (i) => Math.abs(bench.cells.currentA[i]!)));
	if (worst > HARD_JOIN_C * bench.scenario.ratedAh)
		bench.incidents.push({ timeS: bench.timeS, kind: 'hard-join', cells: [...members], amperes: worst });
}

/** Exchanges two balance leads in their plug. @throws CoreError `plugged` while the plug is in, `lead` */
export function exchangeLeads(bench: Bench, leads: readonly [number, number]): void {
	if (bench.plugged)
		refuse('plugged', 'exchangeLeads', 'Pull the plug of the balance leads before its pins are touched.');
	bench.leadNodes = exchangedLeads(bench.leadNodes, leads);
}

/** Whether a cell belongs to the row or battery. */
export const isBuiltIn = (bench: Bench, cell: number): boolean =>
	bench.joined?.groups.some((g) => g.includes(cell)) ?? false;

/** Moves clips or probes. @throws CoreError when they cannot go there */
export function clipTool(bench: Bench, tool: Tool, place: Place): void {
	const drives = tool === 'supply' || tool === 'load';
	if (drives && bench[tool].on) refuse('live', tool, `Switch the ${tool} off before its clips are moved.`);
	if (place === 'pack' && !bench.joined) refuse('place', tool, 'There is no row or battery: the cells are loose.');
	if (place === 'supply' && tool !== 'voltmeter')
		refuse('place', tool, 'Only the voltmeter goes on the supply’s terminals.');
	if (place && typeof place === 'object' && 'cell' in place) {
		if (!(place.cell >= 0 && place.cell < bench.cells.count)) refuse('place', tool, `There is no cell ${place.cell}.`);
		if (drives && isBuiltIn(bench, place.cell))
			refuse('place', tool, 'That cell is built in: clip on to the row or battery.');
	}
	if (place && typeof place === 'object' && 'lead' in place) {
		const leads = bench.wiring === 'series' ? bench.joined!.groups.length : 0;
		if (tool !== 'voltmeter' || leads === 0 || !(place.lead >= 0 && place.lead <= leads))
			refuse('place', tool, `There is no balance lead ${place.lead} here for the ${tool}.`);
	}
	if (tool === 'ohmmeter' && (place === 'pack' || place === 'supply'))
		refuse('place', tool, 'The milliohm meter goes on a cell.');
	bench.clips[tool] = place;
}

const sameCell = (place: Place, cell: number) =>
	typeof place === 'object' && place !== null && 'cell' in place && place.cell === cell;

/** What supply and load drive through a place, as they are set. The supply holds its voltage, the load its current, by its own reading. */
function drivesAt(bench: Bench, at: 'pack' | number): Drive[] {
	const here = (tool: 'supply' | 'load') =>
		at === 'pack' ? bench.clips[tool] === 'pack' : sameCell(bench.clips[tool], at);
	const { supply, load, scenario } = bench;
	const drives: Drive[] = [];
	if (supply.on && supply.currentA > 0 && here('supply')) {
		const voltageV = supply.voltageV - scenario.supply.displayErrorV;
		if (voltageV > 0)
			drives.push({ kind: 'charge', currentA: supply.currentA, voltageV, leadOhm: scenario.supply.leadOhm });
	}
	if (load.on && here('load')) {
		const leadOhm = scenario.load.leadOhm;
		const read = 1 + scenario.load.currentGain;
		if (load.mode === 'current' && load.currentA > 0)
			drives.push({ kind: 'discharge', currentA: load.currentA / read, leadOhm });
		if (load.mode === 'power' && load.powerW > 0)
			drives.push({ kind: 'discharge', powerW: load.powerW / read, leadOhm });
		if (load.mode === 'resistance') drives.push({ kind: 'discharge', resistanceOhm: load.resistanceOhm, leadOhm });
	}
	return drives;
}

/** One loose cell as a battery of its own, made when something is clipped to it. */
function looseBattery(bench: Bench, cell: number): GuardedBattery {
	return guardBattery(wireBattery(bench.cells, [[cell]], 0), null, null, bench.random);
}

/** What flows now through the row or battery, or through a loose cell. */
export function flowAt(bench: Bench, at: 'pack' | number): Flow {
	const guarded = at === 'pack' ? bench.joined!.guarded : looseBattery(bench, at);
	return readGuarded(guarded, drivesAt(bench, at));
}

/** Longest inner step while current flows, and at rest, s. */
const STEP_S = 5;
const REST_STEP_S = 60;

/** Lets the world go on for `durationS`. The load's own cut-off acts within it. */
export function advanceBench(bench: Bench, durationS: number): void {
	let left = durationS;
	while (left > 1e-9) {
		const stepS = Math.min(left, bench.supply.on || bench.load.on ? STEP_S : REST_STEP_S);
		stepBench(bench, stepS);
		left -= stepS;
	}
	refreshCells(bench.cells);
}

function clippedCell(bench: Bench): number[] {
	const cells = [bench.clips.supply, bench.clips.load].flatMap((p) =>
		p && typeof p === 'object' && 'cell' in p ? [p.cell] : []
	);
	return [...new Set(cells)].filter((i) => !isBuiltIn(bench, i));
}

let decay = stepDecay(1);

function stepBench(bench: Bench, stepS: number): void {
	if (decay.stepS !== stepS) decay = stepDecay(stepS);
	const sums = { ah: 0, wh: 0, heatWh: 0 };
	const moved = new Set<number>();
	if (bench.joined) {
		const { guarded, groups } = bench.joined;
		setReadErrors(bench, guarded);
		const drives = drivesAt(bench, 'pack');
		const flow = readGuarded(guarded, drives);
		stepGuarded(guarded, drives, flow, stepS, sums);
		bench.shuntAh += sums.ah;
		if (flow.loadA > 0) cutOffLoad(bench, readGuarded(guarded, drives).loadV);
		groups.flat().forEach((i) => moved.add(i));
	}
	for (const cell of clippedCell(bench)) {
		const guarded = looseBattery(bench, cell);
		const drives = drivesAt(bench, cell);
		const flow = readGuarded(guarded, drives);
		stepGuarded(guarded, drives, flow, stepS, sums);
		if (flow.loadA > 0) cutOffLoad(bench, readGuarded(guarded, drives).loadV);
		moved.add(cell);
	}
	for (let i = 0; i < bench.cells.count; i++)
		if (!moved.has(i)) {
			bench.cells.currentA[i] = 0;
			stepCell(bench.cells, i, decay);
		}
	bench.timeS += stepS;
}

/** What wrong balance leads make the BMS read. */
export function setReadErrors(bench: Bench, guarded: GuardedBattery): void {
	if (!bench.plugged) return;
	const errors = leadErrorsV(guarded.battery.groupV, bench.leadNodes);
	bench.scenario.bms.readErrorV.forEach((own, g) => (guarded.readErrorV[g] = (own ?? 0) + errors[g]!));
}

function cutOffLoad(bench: Bench, loadV: number): void {
	if (loadV > bench.load.cutoffV) return;
	bench.load.on = false;
	bench.load.cutOff = true;
}

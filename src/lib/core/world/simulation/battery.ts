import {
	expectedSwingV,
	midRiseOhm,
	midSourceVoltageV,
	sourceVoltageV,
	stepCell,
	stepDecay,
	type Cells,
	type StepDecay
} from '../cell-model';
import { CoreError } from '../../foundation/errors';
import { drawnCurrent, type Drive, type Flow } from './drive';

/**
 * Groups of parallel cells in series: a loose cell (one group of one), a parallel row (one group), a battery. Arrays run over the
 * members in group order, or over the groups.
 */
export interface Battery {
	cells: Cells;
	/** Index into `cells` of each member. */
	members: Int32Array;
	/** First member of each group, and the end. */
	groupStart: Int32Array;
	/** Joint and bar of each member, Ω. */
	linkOhm: Float64Array;
	/** Current a balancer adds to each group, A into it. */
	balanceA: Float64Array;
	/** At the last {@link readBattery}: each group's terminal voltage, V. */
	groupV: Float64Array;
	/** Groups' source voltage and resistance of the last solution. */
	groupSourceV: Float64Array;
	groupOhm: Float64Array;
	/** Members' source voltage and resistance of the last solution. */
	memberV: Float64Array;
	memberOhm: Float64Array;
	decay: StepDecay;
}

/** @param groups cell indices a group; @param linkOhm one a member in that order, or one for all */
export function wireBattery(
	cells: Cells,
	groups: readonly (readonly number[])[],
	linkOhm: number | readonly number[]
): Battery {
	const members = Int32Array.from(groups.flat());
	if (groups.length === 0 || groups.some((g) => g.length === 0))
		throw new CoreError('groups', 'wiring.groups', 'wiring.groups requires one or more cells in each group');
	const groupStart = new Int32Array(groups.length + 1);
	groups.forEach((g, k) => (groupStart[k + 1] = groupStart[k]! + g.length));
	return {
		cells,
		members,
		groupStart,
		linkOhm: typeof linkOhm === 'number' ? new Float64Array(members.length).fill(linkOhm) : Float64Array.from(linkOhm),
		balanceA: new Float64Array(groups.length),
		groupV: new Float64Array(groups.length),
		groupSourceV: new Float64Array(groups.length),
		groupOhm: new Float64Array(groups.length),
		memberV: new Float64Array(members.length),
		memberOhm: new Float64Array(members.length),
		decay: stepDecay(1)
	};
}

/** Every group as one source behind one resistance: `E = ΣEi/Ri ÷ Σ1/Ri`. @returns the string's, balancing current included */
function solveGroups(battery: Battery): { sourceV: number; ohm: number } {
	let sourceV = 0;
	let ohm = 0;
	for (let g = 0; g < battery.groupOhm.length; g++) {
		let conductance = 0;
		let shortCircuitA = 0;
		for (let k = battery.groupStart[g]; k! < battery.groupStart[g + 1]!; k!++) {
			const siemens = 1 / battery.memberOhm[k!]!;
			conductance += siemens;
			shortCircuitA += battery.memberV[k!]! * siemens;
		}
		battery.groupOhm[g] = 1 / conductance;
		battery.groupSourceV[g] = shortCircuitA / conductance;
		sourceV += battery.groupSourceV[g]! + battery.balanceA[g]! * battery.groupOhm[g]!;
		ohm += battery.groupOhm[g]!;
	}
	return { sourceV, ohm };
}

/** Shares a string current among the members: `Ii = (Vt − Ei)/Ri` at the group's common voltage. */
function shareCurrent(battery: Battery, stringA: number): void {
	const { cells, members, memberV, memberOhm, groupStart } = battery;
	for (let g = 0; g < battery.groupOhm.length; g++) {
		const groupV = battery.groupSourceV[g]! + (stringA + battery.balanceA[g]!) * battery.groupOhm[g]!;
		battery.groupV[g] = groupV;
		for (let k = groupStart[g]; k! < groupStart[g + 1]!; k!++)
			cells.currentA[members[k!]!] = (groupV - memberV[k!]!) / memberOhm[k!]!;
	}
}

/** What flows at this instant with these things connected; leaves the groups' voltages and cells' currents in the columns. */
export function readBattery(battery: Battery, drives: readonly Drive[]): Flow {
	const { cells, members } = battery;
	for (let k = 0; k < members.length; k++) {
		battery.memberV[k] = sourceVoltageV(cells, members[k]!);
		battery.memberOhm[k] = cells.r0Ohm[members[k]!]! + battery.linkOhm[k]!;
	}
	const { sourceV, ohm } = solveGroups(battery);
	const flow = drawnCurrent(drives, sourceV, ohm);
	shareCurrent(battery, flow.currentA);
	return flow;
}

/** What a step moved, at the battery's terminals and inside. */
export interface StepSums {
	ah: number;
	wh: number;
	/** Heat in cells and joints and what the balancer loses. */
	heatWh: number;
}

/**
 * Moves the battery on by a step. Currents are those in the middle of the step, solved with every cell's rise of voltage
 * under its own current (implicit midpoint rule), so that long steps on the steep ends stay stable and second-order.
 * Within the step each is constant and the group's currents sum to the string's.
 */
export function stepBattery(battery: Battery, drives: readonly Drive[], stepS: number, sums: StepSums): void {
	if (battery.decay.stepS !== stepS) battery.decay = stepDecay(stepS);
	const parts = partsOf(battery);
	if (parts > 1) battery.decay = stepDecay(stepS / parts);
	for (let n = 0; n < parts; n++) stepOnce(battery, drives, sums);
	if (parts > 1) battery.decay = stepDecay(stepS);
}

/** Where rest voltage moves fast, a step is taken in parts of about this swing, V; in no more parts than this. */
const SWING_V = 0.004;
const MAX_PARTS = 64;

function partsOf(battery: Battery): number {
	let most = 0;
	for (const i of battery.members) {
		const swing = expectedSwingV(battery.cells, i, battery.decay);
		if (swing > most) most = swing;
	}
	return Math.max(1, Math.min(MAX_PARTS, Math.ceil(most / SWING_V)));
}

function stepOnce(battery: Battery, drives: readonly Drive[], sums: StepSums): void {
	const { stepS } = battery.decay;
	const { cells, members, decay, groupStart } = battery;
	for (let k = 0; k < members.length; k++) {
		const i = members[k];
		battery.memberV[k] = midSourceVoltageV(cells, i!, decay);
		battery.memberOhm[k] = cells.r0Ohm[i!]! + battery.linkOhm[k]! + midRiseOhm(cells, i!, decay);
	}
	const { sourceV, ohm } = solveGroups(battery);
	const { currentA } = drawnCurrent(drives, sourceV, ohm);
	shareCurrent(battery, currentA);
	const hours = stepS / 3600;
	let stringV = 0;
	let heatJ = 0;
	for (let g = 0; g < battery.groupOhm.length; g++) {
		let groupV = 0;
		for (let k = groupStart[g]; k! < groupStart[g + 1]!; k!++) {
			const i = members[k!];
			const before = cells.heatJ[i!];
			const flowA = cells.currentA[i!];
			const linkV = flowA! * battery.linkOhm[k!]!;
			groupV += stepCell(cells, i!, decay) + linkV;
			heatJ += cells.heatJ[i!]! - before! + flowA! * linkV * stepS;
		}
		groupV /= groupStart[g + 1]! - groupStart[g]!;
		stringV += groupV;
		heatJ -= battery.balanceA[g]! * groupV * stepS;
	}
	sums.ah += currentA * hours;
	sums.wh += currentA * stringV * hours;
	sums.heatWh += heatJ / 3600;
}

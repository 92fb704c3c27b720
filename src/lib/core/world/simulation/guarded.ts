import { copyState, restoreState, type Cells, type CellsState } from '../cell-model';
import { normalDraw, type Random } from '../../foundation/statistics';
import { balanceGroups, type Balancer } from './balancer';
import { readBattery, stepBattery, type Battery, type StepSums } from './battery';
import { stepBms, type Bms } from './bms';
import type { Drive, Flow } from './drive';

/** A battery with what watches over it. */
export interface GuardedBattery {
	battery: Battery;
	bms: Bms | null;
	balancer: Balancer | null;
	/** Chance for the BMS's reading noise. */
	random: Random;
	/** Group voltages as the BMS and balancer read them, V. */
	readV: Float64Array;
	/** What the BMS adds to the true voltage of each group, V (0: reads true). */
	readErrorV: Float64Array;
}

export function guardBattery(
	battery: Battery,
	bms: Bms | null,
	balancer: Balancer | null,
	random: Random
): GuardedBattery {
	const groups = battery.groupOhm.length;
	return {
		battery,
		bms,
		balancer,
		random,
		readV: new Float64Array(groups),
		readErrorV: new Float64Array(groups)
	};
}

/** Of what is connected, that which the BMS lets through. */
function allowed(bms: Bms | null, drives: readonly Drive[]): readonly Drive[] {
	if (!bms || (!bms.chargeBlocked && !bms.dischargeBlocked)) return drives;
	return drives.filter((d) => (d.kind === 'charge' ? !bms.chargeBlocked : !bms.dischargeBlocked));
}

/** What flows at this instant, the BMS's switches as they stand. */
export const readGuarded = (guarded: GuardedBattery, drives: readonly Drive[]): Flow =>
	readBattery(guarded.battery, allowed(guarded.bms, drives));

/** Readings of the BMS at this instant; `flow` from {@link readGuarded}. */
function look(guarded: GuardedBattery, flow: Flow, stepS: number): void {
	const { battery, bms, readV } = guarded;
	const noiseV = bms?.limits.noiseV ?? 0;
	let highestV = -Infinity;
	let lowestV = Infinity;
	let packV = 0;
	for (let g = 0; g < readV.length; g++) {
		const trueV = battery.groupV[g]! + guarded.readErrorV[g]!;
		const read = noiseV > 0 ? normalDraw(guarded.random, trueV, noiseV) : trueV;
		readV[g] = read;
		packV += read;
		if (read > highestV) highestV = read;
		if (read < lowestV) lowestV = read;
	}
	if (guarded.balancer) balanceGroups(battery, guarded.balancer, readV, flow.currentA);
	if (!bms) return;
	const temperatureC = battery.cells.temperatureC;
	let coldestC = Infinity;
	let hottestC = -Infinity;
	for (const i of battery.members) {
		if (temperatureC[i]! < coldestC) coldestC = temperatureC[i]!;
		if (temperatureC[i]! > hottestC) hottestC = temperatureC[i]!;
	}
	stepBms(bms, { highestV, lowestV, packV, coldestC, hottestC, currentA: flow.currentA }, stepS);
}

/** Lets BMS and balancer look at `flow` (what flows now), then moves on by a step. */
export function stepGuarded(
	guarded: GuardedBattery,
	drives: readonly Drive[],
	flow: Flow,
	stepS: number,
	sums: StepSums
): void {
	if (guarded.bms || guarded.balancer) look(guarded, flow, stepS);
	stepBattery(guarded.battery, allowed(guarded.bms, drives), stepS, sums);
}

/** Everything a step changes, to step again from the same point. */
export interface SavedStep {
	fromS: number;
	cells: CellsState;
	sums: StepSums;
}

/** @param into from an earlier call, to be written over */
export function saveStep(cells: Cells, sums: StepSums, fromS: number, into?: SavedStep): SavedStep {
	if (!into) return { fromS, cells: copyState(cells), sums: { ...sums } };
	into.fromS = fromS;
	copyState(cells, into.cells);
	Object.assign(into.sums, sums);
	return into;
}

export function returnToStep(cells: Cells, sums: StepSums, saved: SavedStep): void {
	restoreState(cells, saved.cells);
	Object.assign(sums, saved.sums);
}

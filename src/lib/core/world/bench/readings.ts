import { acResistanceMohm } from '../cell-model';
import { activeTrips, type Trip } from '../simulation';
import { flowAt, isBuiltIn } from './bench';
import type { Bench, Place } from './bench-state';
import { isCrossed } from './polarity';
import { BENCH_ACCURACY, shownValue, type BenchQuantity } from './instrument';
import { voltageAt } from './voltage-at';

const shown = (bench: Bench, quantity: BenchQuantity, truth: number): number =>
	shownValue(BENCH_ACCURACY[quantity], bench.calibration[quantity], truth, bench.random);

const cellOf = (place: Place): number | null =>
	typeof place === 'object' && place !== null && 'cell' in place ? place.cell : null;

function flowOf(bench: Bench, tool: 'supply' | 'load') {
	const place = bench.clips[tool];
	if (place === 'pack' && bench.joined) return flowAt(bench, 'pack');
	const cell = cellOf(place);
	return cell === null || isBuiltIn(bench, cell) ? null : flowAt(bench, cell);
}

/** The supply's own display: volts at its terminals, amperes out. */
export function readSupply(bench: Bench): { voltageV: number; currentA: number } {
	const flow = flowOf(bench, 'supply');
	const trueV = voltageAt(bench, 'supply');
	return {
		voltageV: bench.supply.on ? shown(bench, 'supplyV', trueV + bench.scenario.supply.displayErrorV) : 0,
		currentA: shown(bench, 'supplyA', flow?.supplyA ?? 0)
	};
}

/** The load's own display: volts at its terminals, amperes it takes. */
export function readLoad(bench: Bench): { voltageV: number; currentA: number } {
	const flow = flowOf(bench, 'load');
	return {
		voltageV: shown(bench, 'loadV', (flow?.loadV ?? 0) * (isCrossed(bench, bench.clips.load) ? -1 : 1)),
		currentA: shown(bench, 'loadA', (flow?.loadA ?? 0) * (1 + bench.scenario.load.currentGain))
	};
}

export const readVoltmeter = (bench: Bench): number =>
	shown(bench, 'voltmeterV', voltageAt(bench, bench.clips.voltmeter));

/** Four-wire AC resistance of the cell under the probes, mΩ; null when the probes hang free. */
export function readOhmmeter(bench: Bench): number | null {
	const cell = cellOf(bench.clips.ohmmeter);
	if (cell === null) return null;
	return shown(bench, 'ohmmeterMohm', acResistanceMohm(bench.cells.parameters[cell]!, bench.cells.temperatureC[cell]!));
}

export interface BmsReading {
	groupV: number[];
	packV: number;
	currentA: number;
	temperatureC: [number, number];
	trips: Trip[];
	chargeBlocked: boolean;
	dischargeBlocked: boolean;
}

/** What the BMS reports; null while there is no battery in series, or its leads are not plugged in. */
export function readBms(bench: Bench): BmsReading | null {
	if (!bench.plugged || !bench.joined) return null;
	const { guarded } = bench.joined;
	const flow = flowAt(bench, 'pack');
	const groupV = Array.from(guarded.battery.groupV, (v, g) => shown(bench, 'bmsV', v + guarded.readErrorV[g]!));
	const temperatures = Array.from(guarded.battery.members, (i) => bench.cells.temperatureC[i]!);
	return {
		groupV,
		packV: groupV.reduce((sum, v) => sum + v, 0),
		currentA: shown(bench, 'shuntA', flow.currentA),
		temperatureC: [shown(bench, 'bmsC', Math.min(...temperatures)), shown(bench, 'bmsC', Math.max(...temperatures))],
		trips: guarded.bms ? activeTrips(guarded.bms) : [],
		chargeBlocked: guarded.bms?.chargeBlocked ?? false,
		dischargeBlocked: guarded.bms?.dischargeBlocked ?? false
	};
}

/** What the shunt in the battery's negative lead reports; zeros while nothing is joined. */
export function readShunt(bench: Bench): { voltageV: number; currentA: number; countedAh: number } {
	const flow = bench.joined ? flowAt(bench, 'pack') : null;
	return {
		voltageV: shown(bench, 'shuntV', flow?.voltageV ?? 0),
		currentA: shown(bench, 'shuntA', flow?.currentA ?? 0),
		countedAh: bench.shuntAh
	};
}

import { sourceVoltageV } from '../cell-model';
import { flowAt, isBuiltIn } from './bench';
import type { Bench, Place } from './bench-state';
import { leadErrorsV } from './leads';
import { isCrossed } from './polarity';

/** True voltage between a tool's probes or clips, V; 0 where they hang free. Negative where they are crossed. */
export function voltageAt(bench: Bench, place: Place): number {
	if (place === null) return 0;
	if (place === 'supply') return supplyTerminalsV(bench);
	if (place === 'pack') return bench.joined ? flowAt(bench, 'pack').voltageV : 0;
	if ('lead' in place) return leadVoltageV(bench, place.lead, place.positive ?? false);
	const i = place.cell;
	if (isBuiltIn(bench, i)) {
		flowAt(bench, 'pack');
		return sourceVoltageV(bench.cells, i) + bench.cells.currentA[i]! * bench.cells.r0Ohm[i]!;
	}
	const volts = flowAt(bench, i).voltageV;
	return isCrossed(bench, place) ? -volts : volts;
}

function supplyTerminalsV(bench: Bench): number {
	if (!bench.supply.on) return 0;
	const clip = bench.clips.supply;
	const set = bench.supply.voltageV - bench.scenario.supply.displayErrorV;
	if (clip === null || clip === 'supply') return Math.max(0, set);
	const flow = flowAt(bench, clip === 'pack' ? 'pack' : (clip as { cell: number }).cell);
	return flow.supplyA > 0 ? flow.supplyV : Math.max(set, flow.voltageV);
}

function leadVoltageV(bench: Bench, lead: number, positive: boolean): number {
	const { battery } = bench.joined!.guarded;
	flowAt(bench, 'pack');
	// With the plug out a lead on no node hangs in the air.
	if (!bench.plugged && bench.leadNodes[lead] === null) return 0;
	const errors = leadErrorsV(battery.groupV, bench.leadNodes);
	let volts = 0;
	for (let g = 0; g < lead; g++) volts += battery.groupV[g]! + errors[g]!;
	return positive ? volts - battery.groupV.reduce((sum, v) => sum + v, 0) : volts;
}

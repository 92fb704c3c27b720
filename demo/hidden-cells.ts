import {
	acResistanceMohm,
	completeCell,
	createCells,
	simulateDischarge,
	terminalVoltageV,
	type CellParameters
} from '$lib/core/world/cell-model';
import { normalDraw, type Random } from '$lib/core/foundation/statistics';

/** The bench of the demo, °C. */
const ROOM_C = 22;

/** A cell of the demo with what nobody at the bench can see. */
export interface HiddenCell {
	truth: CellParameters;
	soc: number;
}

export interface CrateOptions {
	ratedAh: number;
	count: number;
	/** Mean of the true capacities as a fraction of rated, and their sd. */
	capacityMean: number;
	capacitySd: number;
	soc: number;
}

/** Draws a crate of cells with true capacity, resistance and charge. */
export function drawCrate(random: Random, options: CrateOptions): HiddenCell[] {
	return Array.from({ length: options.count }, () => ({
		truth: completeCell({
			chemistry: 'LFP',
			capacityAh: options.ratedAh * normalDraw(random, options.capacityMean, options.capacitySd),
			resistanceFactor: normalDraw(random, 1, 0.015),
			temperatureC: ROOM_C
		}),
		soc: normalDraw(random, options.soc, 0.006)
	}));
}

/** What a meter with this noise (V) shows at the terminals of a rested cell, as typed. */
export function readRestVoltage(random: Random, cell: HiddenCell, noiseV = 0.0006): string {
	const cells = createCells([{ parameters: cell.truth, soc: cell.soc, branch: -0.3 }], ROOM_C);
	const volts = terminalVoltageV(cells, 0, 0);
	return normalDraw(random, volts, noiseV).toFixed(3);
}

/** What a four-wire meter shows, mΩ, as typed. */
export function readResistance(random: Random, cell: HiddenCell): string {
	return normalDraw(random, acResistanceMohm(cell.truth, ROOM_C), 0.001).toFixed(3);
}

/**
 * The log a tester writes while it discharges a cell from full at 0.2 C to 2.5 V: CSV with its own bias and noise.
 * @param gain the tester's error as a fraction of true current
 */
export function testerLog(random: Random, cell: HiddenCell, ratedAh: number, gain: number): string {
	const run = simulateDischarge({ parameters: cell.truth, soc: 1 }, 0.2 * ratedAh, 2.5, 5, 60);
	const lines = run.timeS.map(
		(t, i) =>
			`${t};${normalDraw(random, run.voltageV[i]! * 1000, 0.5).toFixed(0)};${(-run.currentA[i]! * (1 + gain) * 1000).toFixed(0)}`
	);
	return ['Time (s);Voltage (mV);Current (mA)', ...lines].join('\n');
}

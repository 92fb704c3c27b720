import { normalDraw, type Random } from '../../foundation/statistics';

/** How well an instrument reads one quantity; all in the quantity's unit but `percent`. */
export interface Accuracy {
	/** Half-width of the error: percent of reading, and a fixed part. */
	percent: number;
	fixed: number;
	/** Repeatability, one standard deviation. */
	noise: number;
	/** Step of the display. */
	resolution: number;
}

/** An instrument's own lasting error, drawn once within its accuracy. */
export interface Calibration {
	gain: number;
	offset: number;
}

export const drawCalibration = (accuracy: Accuracy, random: Random): Calibration => ({
	gain: ((2 * random() - 1) * accuracy.percent) / 100,
	offset: (2 * random() - 1) * accuracy.fixed
});

/** What the instrument shows for a true value: its lasting error, noise, and the step of its display. */
export function shownValue(accuracy: Accuracy, calibration: Calibration, truth: number, random: Random): number {
	const read = normalDraw(random, truth * (1 + calibration.gain) + calibration.offset, accuracy.noise);
	return Math.round(read / accuracy.resolution) * accuracy.resolution;
}

/** The quantities the instruments of the simulated bench read, with a usual accuracy of each (default). */
export const BENCH_ACCURACY = {
	supplyV: { percent: 0.05, fixed: 0.002, noise: 0.0005, resolution: 0.001 },
	supplyA: { percent: 0.1, fixed: 0.01, noise: 0.003, resolution: 0.001 },
	loadV: { percent: 0.05, fixed: 0.002, noise: 0.0005, resolution: 0.001 },
	loadA: { percent: 0.1, fixed: 0.01, noise: 0.003, resolution: 0.001 },
	voltmeterV: { percent: 0.02, fixed: 0.0005, noise: 0.0002, resolution: 0.0001 },
	ohmmeterMohm: { percent: 0.5, fixed: 0.002, noise: 0.0008, resolution: 0.001 },
	bmsV: { percent: 0.02, fixed: 0.001, noise: 0.0005, resolution: 0.001 },
	bmsC: { percent: 0, fixed: 0.7, noise: 0.1, resolution: 0.1 },
	shuntV: { percent: 0.05, fixed: 0.005, noise: 0.002, resolution: 0.01 },
	shuntA: { percent: 0.2, fixed: 0.01, noise: 0.01, resolution: 0.01 }
} as const satisfies Record<string, Accuracy>;
export type BenchQuantity = keyof typeof BENCH_ACCURACY;
export const BENCH_QUANTITIES = Object.keys(BENCH_ACCURACY) as BenchQuantity[];

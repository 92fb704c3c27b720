import { QUANTITIES, QUANTITY_FIGURES, type QuantityFigures } from './quantity';
import { CoreError, requireFinite, requireNotNegative } from '../errors';

/** What a meter may be held against a better one in: what is read off a cell, and what a tester counts. */
export const CALIBRATED = [...QUANTITIES, 'capacity'] as const;
export type Calibrated = (typeof CALIBRATED)[number];
export const CALIBRATED_FIGURES: Record<Calibrated, Pick<QuantityFigures, 'label' | 'unit' | 'decimals'>> = {
	...QUANTITY_FIGURES,
	capacity: { label: 'Ah of a tester', unit: 'Ah', decimals: 2 }
};

/** What a meter showed, and what a better one did on the same thing. */
export interface CalibrationPair {
	shown: number;
	truth: number;
}

/** A meter held against a better one: `shown = (1 + gain)·truth + offset`. */
export interface Calibration {
	gain: number;
	/** In the quantity's unit. */
	offset: number;
	/** One sd of a corrected reading, by how the pairs scatter and by the better meter's own doubt. */
	sdAt(truth: number): number;
}

/** A gain is told apart from an offset when the pairs span more than this share of their mean. */
const TELLS_GAIN = 0.2;
/** Pairs to three digits repeat no better than this share of the mean, where too few scatter to be seen. */
const MIN_SHARE = 2e-5;
/** What a meter wanders from its calibration, as a share of its sheet's half-width a year, one sd (default). */
const WANDERS = 0.25;

/**
 * Gain and offset from pairs, by least squares; the offset alone where they lie too close together to tell a gain.
 * @param truthSd of the better meter, in the quantity's unit
 * @param gainOnly a counter that reads nothing shows nothing: what it is off by is a factor, however few its pairs
 * @throws CoreError `too-few`, `not-a-number`, `negative`
 */
export function fitCalibration(pairs: readonly CalibrationPair[], truthSd: number, gainOnly = false): Calibration {
	if (pairs.length === 0) throw new CoreError('too-few', 'pairs', 'pairs requires one pair or more, got none');
	pairs.forEach(({ shown, truth }, i) => {
		requireFinite(shown, `pairs.${i}.shown`);
		requireFinite(truth, `pairs.${i}.truth`);
	});
	requireNotNegative(truthSd, 'truthSd');
	const n = pairs.length;
	const mean = pairs.reduce((sum, p) => sum + p.truth, 0) / n;
	const meanError = pairs.reduce((sum, p) => sum + p.shown - p.truth, 0) / n;
	const span = Math.max(...pairs.map((p) => p.truth)) - Math.min(...pairs.map((p) => p.truth));
	const sxx = pairs.reduce((sum, p) => sum + (p.truth - mean) ** 2, 0);
	if (gainOnly) return factorOf(pairs, truthSd);
	const hasGain = n > 1 && span > TELLS_GAIN * Math.abs(mean);
	const gain = hasGain
		? pairs.reduce((sum, p) => sum + (p.truth - mean) * (p.shown - p.truth - meanError), 0) / sxx
		: 0;
	const offset = meanError - gain * mean;
	const degrees = n - (hasGain ? 2 : 1);
	const squares = pairs.reduce((sum, p) => sum + (p.shown - (1 + gain) * p.truth - offset) ** 2, 0);
	const scatter = Math.max(degrees > 0 ? Math.sqrt(squares / degrees) : 0, MIN_SHARE * Math.abs(mean));
	return {
		gain,
		offset,
		sdAt: (truth) => Math.hypot(truthSd, scatter * Math.sqrt(1 + 1 / n + (hasGain ? (truth - mean) ** 2 / sxx : 0)))
	};
}

/** A gain alone, by least squares through nought; its doubt grows with what is read. */
function factorOf(pairs: readonly CalibrationPair[], truthSd: number): Calibration {
	const squares = pairs.reduce((sum, p) => sum + p.truth ** 2, 0);
	if (squares === 0)
		throw new CoreError('out-of-range', 'pairs', 'pairs requires a pair that is not nought: a factor is told from it');
	const gain = pairs.reduce((sum, p) => sum + (p.shown - p.truth) * p.truth, 0) / squares;
	const n = pairs.length;
	const left = pairs.reduce((sum, p) => sum + (p.shown - (1 + gain) * p.truth) ** 2, 0);
	const mean = Math.sqrt(squares / n);
	const scatter = Math.max(n > 1 ? Math.sqrt(left / (n - 1)) / mean : 0, MIN_SHARE);
	return {
		gain,
		offset: 0,
		sdAt: (truth) => Math.abs(truth) * Math.hypot(truthSd / mean, scatter * Math.sqrt(1 + 1 / n))
	};
}

/**
 * A reading corrected by a calibration, with its doubt: the calibration's own, and what a meter wanders in the years between.
 * @param sheetHalfWidth of the meter at this reading, by its sheet
 */
export function calibrated(
	shown: number,
	calibration: Calibration,
	yearsApart: number,
	sheetHalfWidth: number
): { value: number; sd: number } {
	const value = (shown - calibration.offset) / (1 + calibration.gain);
	return { value, sd: Math.hypot(calibration.sdAt(value), WANDERS * sheetHalfWidth * Math.abs(yearsApart)) };
}

/** A calibration as it is kept. */
export interface StoredCalibration {
	quantity: Calibrated;
	/** Null: the meter of the settings, or the tester nobody named. */
	meter?: string | null;
	/** ISO 8601. */
	calibratedOn: string;
	pairs: readonly CalibrationPair[];
	truthSd: number;
}

/** The calibration of a meter that is nearest in time; null where it was never calibrated. */
function nearestCalibration(
	all: readonly StoredCalibration[],
	quantity: Calibrated,
	meter: string | null,
	at: string
): StoredCalibration | null {
	const own = all.filter((c) => c.quantity === quantity && (c.meter ?? null) === meter);
	const away = (c: StoredCalibration) => Math.abs(Date.parse(c.calibratedOn) - Date.parse(at));
	return own.length ? own.reduce((a, b) => (away(b) < away(a) ? b : a)) : null;
}

const YEAR_MS = 365.25 * 86_400_000;

/** A reading corrected by the calibration nearest to it in time; null where its meter was never calibrated. @param sheetHalfWidth of the meter there */
export function correctedBy(
	all: readonly StoredCalibration[],
	quantity: Calibrated,
	{ value, meter, at }: { value: number; meter: string | null; at: string },
	sheetHalfWidth: number
): { value: number; sd: number } | null {
	const found = nearestCalibration(all, quantity, meter, at);
	if (!found) return null;
	const years = (Date.parse(at) - Date.parse(found.calibratedOn)) / YEAR_MS;
	return calibrated(value, fitCalibration(found.pairs, found.truthSd, quantity === 'capacity'), years, sheetHalfWidth);
}

import { requireFinite, requireNotNegative } from '../shared';

/** A meter's stated accuracy `±(percent of reading + counts)`, counts given in the quantity's unit. */
export interface MeterAccuracy {
	percentOfReading: number;
	/** The "+ n counts" part, already in the quantity's unit (n × last digit). */
	countsValue: number;
	/** Repeatability between readings, one sd in the quantity's unit; null when not known. */
	repeatability: number | null;
}

/** What is assumed of a meter nobody described (default): a fair bench meter. */
export const ASSUMED_METER: Record<'restVoltage' | 'acResistance' | 'temperature' | 'mass', MeterAccuracy> = {
	restVoltage: { percentOfReading: 0.05, countsValue: 0.002, repeatability: null },
	acResistance: { percentOfReading: 1, countsValue: 0.002, repeatability: 0.002 },
	temperature: { percentOfReading: 0, countsValue: 1.5, repeatability: null },
	mass: { percentOfReading: 0.1, countsValue: 0.005, repeatability: null }
};

/**
 * One standard deviation of a reading, in its unit: the accuracy half-width taken as uniform (half-width/√3,
 * JCGM 100:2008 4.3.7), repeatability added in quadrature.
 */
export function meterSd(accuracy: MeterAccuracy, value: number): number {
	requireFinite(value, 'value');
	requireNotNegative(accuracy.percentOfReading, 'percentOfReading');
	requireNotNegative(accuracy.countsValue, 'countsValue');
	const halfWidth = (Math.abs(value) * accuracy.percentOfReading) / 100 + accuracy.countsValue;
	return Math.hypot(halfWidth / Math.sqrt(3), accuracy.repeatability ?? 0);
}

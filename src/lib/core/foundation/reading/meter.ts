import { requireFinite, requireNotNegative } from '../errors';
import { DEFAULT_SETTINGS, type MeterSettings } from '../units';
import type { Quantity } from './quantity';

/** A meter's stated accuracy `±(percent of reading + counts)`, counts given in the quantity's unit. */
export interface MeterAccuracy {
	percentOfReading: number;
	/** The "+ n counts" part, already in the quantity's unit (n × last digit). */
	countsValue: number;
	/** Repeatability between readings, one sd in the quantity's unit; null when not known. */
	repeatability: number | null;
}

/** Repeatability of a four-wire reading with hand-held probes, mΩ (default). */
const PROBE_REPEATABILITY_MOHM = 0.002;

/** The accuracy of each meter at the bench; thermometer and scales are assumed (default). */
export function benchMeters(settings: MeterSettings): Record<Quantity, MeterAccuracy> {
	return {
		restVoltage: {
			percentOfReading: settings.voltMeterPercent,
			countsValue: settings.voltMeterCountsMv / 1000,
			repeatability: null
		},
		acResistance: {
			percentOfReading: settings.ohmMeterPercent,
			countsValue: settings.ohmMeterCountsMohm,
			repeatability: PROBE_REPEATABILITY_MOHM
		},
		temperature: { percentOfReading: 0, countsValue: 1.5, repeatability: null },
		mass: { percentOfReading: 0.1, countsValue: 0.005, repeatability: null },
		// A caliper on a case that gives a little.
		thickness: { percentOfReading: 0, countsValue: 0.05, repeatability: 0.1 }
	};
}

/** What is assumed of meters nobody described (default): a fair bench meter each. */
export const ASSUMED_METER: Record<Quantity, MeterAccuracy> = benchMeters(DEFAULT_SETTINGS);

/** By how much a reading may be off by its meter's sheet, in its unit. */
export const halfWidth = ({ percentOfReading, countsValue }: MeterAccuracy, value: number): number =>
	(Math.abs(value) * percentOfReading) / 100 + countsValue;

/**
 * One standard deviation of a reading, in its unit: the accuracy half-width taken as uniform (half-width/√3,
 * JCGM 100:2008 4.3.7), repeatability added in quadrature.
 */
export function meterSd(accuracy: MeterAccuracy, value: number): number {
	requireFinite(value, 'value');
	requireNotNegative(accuracy.percentOfReading, 'percentOfReading');
	requireNotNegative(accuracy.countsValue, 'countsValue');
	return Math.hypot(halfWidth(accuracy, value) / Math.sqrt(3), accuracy.repeatability ?? 0);
}

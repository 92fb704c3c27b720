import { calibrated, fitCalibration, halfWidth, type MeterAccuracy, type Quantity } from '$lib/core/reading';
import type { PictureReading } from '$lib/core/stages';
import { calibrations, type CalibrationRow } from '../records';

const YEAR_MS = 365.25 * 86_400_000;

type Readings = Map<number, Partial<Record<Quantity, PictureReading>>>;

type MeteredReading = Pick<PictureReading, 'value' | 'sd' | 'takenAt' | 'meter'>;

/** The calibration of a meter that is nearest in time to a reading; null where it was never calibrated. */
function nearest(all: readonly CalibrationRow[], quantity: Quantity, { meter, takenAt }: MeteredReading) {
	const own = all.filter((c) => c.quantity === quantity && (c.meter ?? null) === (meter ?? null));
	const away = (c: CalibrationRow) => Math.abs(Date.parse(c.calibratedOn) - Date.parse(takenAt));
	return own.length ? own.reduce((a, b) => (away(b) < away(a) ? b : a)) : null;
}

/** How a reading is corrected by what is known of its meter; one of a meter nobody calibrated stays as it is. */
export async function calibrator(
	meters: Record<Quantity, MeterAccuracy>
): Promise<<R extends MeteredReading>(quantity: Quantity, reading: R) => R & { calibrated?: boolean }> {
	const all = await calibrations.all({});
	return (quantity, reading) => {
		const found = nearest(all, quantity, reading);
		if (!found) return reading;
		const years = (Date.parse(reading.takenAt) - Date.parse(found.calibratedOn)) / YEAR_MS;
		const sheet = halfWidth(meters[quantity], reading.value);
		const fit = fitCalibration(found.pairs, found.truthSd);
		return { ...reading, ...calibrated(reading.value, fit, years, sheet), calibrated: true };
	};
}

/** Readings with what their meters show too much taken out; what was typed stays as it was. Those of meters nobody calibrated are left as they are. */
export async function calibratedReadings(
	readings: Readings,
	meters: Record<Quantity, MeterAccuracy>
): Promise<Readings> {
	const correct = await calibrator(meters);
	return new Map(
		[...readings].map(([cellId, own]) => [
			cellId,
			Object.fromEntries(Object.entries(own).map(([name, reading]) => [name, correct(name as Quantity, reading)]))
		])
	);
}

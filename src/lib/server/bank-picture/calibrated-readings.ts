import { calibrated, fitCalibration, halfWidth, type MeterAccuracy, type Quantity } from '$lib/core/reading';
import type { PictureReading } from '$lib/core/stages';
import { calibrations, type CalibrationRow } from '../records';

const YEAR_MS = 365.25 * 86_400_000;

type Readings = Map<number, Partial<Record<Quantity, PictureReading>>>;

/** The calibration of a meter that is nearest in time to a reading; null where it was never calibrated. */
function nearest(all: readonly CalibrationRow[], quantity: Quantity, { meter, takenAt }: PictureReading) {
	const own = all.filter((c) => c.quantity === quantity && (c.meter ?? null) === (meter ?? null));
	const away = (c: CalibrationRow) => Math.abs(Date.parse(c.calibratedOn) - Date.parse(takenAt));
	return own.length ? own.reduce((a, b) => (away(b) < away(a) ? b : a)) : null;
}

/** Readings with what their meters show too much taken out; what was typed stays as it was. Those of meters nobody calibrated are left as they are. */
export async function calibratedReadings(
	readings: Readings,
	meters: Record<Quantity, MeterAccuracy>
): Promise<Readings> {
	const all = await calibrations.all({});
	if (all.length === 0) return readings;
	return new Map(
		[...readings].map(([cellId, own]) => [
			cellId,
			Object.fromEntries(
				Object.entries(own).map(([name, reading]) => {
					const quantity = name as Quantity;
					const found = nearest(all, quantity, reading);
					if (!found) return [quantity, reading];
					const years = (Date.parse(reading.takenAt) - Date.parse(found.calibratedOn)) / YEAR_MS;
					const sheet = halfWidth(meters[quantity], reading.value);
					const fit = fitCalibration(found.pairs, found.truthSd);
					return [quantity, { ...reading, ...calibrated(reading.value, fit, years, sheet), calibrated: true }];
				})
			)
		])
	);
}

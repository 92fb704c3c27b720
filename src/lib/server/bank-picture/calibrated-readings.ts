import {
	correctedBy,
	halfWidth,
	type MeterAccuracy,
	type Quantity,
	type StoredCalibration
} from '$lib/core/foundation/reading';
import type { PictureReading } from '$lib/core/picture';

type MeteredReading = Pick<PictureReading, 'value' | 'sd' | 'takenAt' | 'meter'>;

/** How a reading is corrected by what is known of its meter; one of a meter nobody calibrated stays as it is, and what was typed always does. */
export const calibrator =
	(all: readonly StoredCalibration[], meters: Record<Quantity, MeterAccuracy>) =>
	<R extends MeteredReading>(quantity: Quantity, reading: R): R & { calibrated?: boolean } => {
		const { value, meter, takenAt } = reading;
		const sheet = halfWidth(meters[quantity], value);
		const corrected = correctedBy(all, quantity, { value, meter: meter ?? null, at: takenAt }, sheet);
		return corrected ? { ...reading, ...corrected, calibrated: true } : reading;
	};

type Readings = Map<number, Partial<Record<Quantity, PictureReading>>>;

/** The readings of cells, each corrected by its calibrator. */
export const calibratedReadings = (readings: Readings, correct: ReturnType<typeof calibrator>): Readings =>
	new Map(
		[...readings].map(([cellId, own]) => [
			cellId,
			Object.fromEntries(Object.entries(own).map(([name, reading]) => [name, correct(name as Quantity, reading)]))
		])
	);

import { ASSUMED_METER, meterSd, type Quantity } from '$lib/core/foundation/reading';
import { normalDraw, type Random } from '$lib/core/foundation/statistics';
import { between } from './world';

/** A meter of somebody: as true as its leaflet says, and wrong in its own way. */
export interface Meter {
	read(truth: number): number;
	/** What its leaflet makes of a reading, one sd. */
	sd(reading: number): number;
	/** The same of a reading against another a moment before: the gain does the same to both. */
	pairSd: number;
}

/** A meter within its leaflet: a gain of its own for good, counts and repeatability at each reading. */
export function drawMeter(random: Random, quantity: Quantity): Meter {
	const accuracy = ASSUMED_METER[quantity];
	const gain = between(random, -accuracy.percentOfReading, accuracy.percentOfReading) / 100;
	return {
		read: (truth) =>
			truth * (1 + gain) +
			between(random, -accuracy.countsValue, accuracy.countsValue) +
			normalDraw(random, 0, accuracy.repeatability ?? 0),
		sd: (reading) => meterSd(accuracy, reading),
		pairSd: meterSd({ ...accuracy, percentOfReading: 0 }, 1)
	};
}

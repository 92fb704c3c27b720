import { meterSd, parseReading, type MeterAccuracy, type Quantity } from '$lib/core/foundation/reading';
import { currentMeters } from '../settings/settings';

/** A meter of the address book. */
export interface MeterUsed {
	accuracy: MeterAccuracy;
	/** What it shows too much, in the quantity's unit: taken out of the value; the text stays as the meter showed it. */
	offset: number;
}

/** What a text means as a reading: value, unit as entered, and one standard deviation by the meter. */
export async function measured(rawText: string, quantity: Quantity, meter?: MeterUsed) {
	const { value: shown, rawUnit } = parseReading(rawText, quantity);
	const value = shown - (meter?.offset ?? 0);
	const accuracy = meter?.accuracy ?? (await currentMeters())[quantity];
	return { value, rawUnit, rawText: rawText.trim(), sd: meterSd(accuracy, value) };
}

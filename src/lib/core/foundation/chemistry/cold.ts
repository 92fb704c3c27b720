import { requireFinite } from '../errors';

export const RATED_C = 25;
/** Share of charge a discharge in the cold cannot reach, per K and per K² below 25 °C: 12.5 % at 0 °C, 2.9 % at 15 °C. */
const COLD_SHARE = { perK: 0.0015, perK2: 0.00014 };
/** The cold never puts more than this out of reach, so that the model keeps a cell to speak of. */
export const MAX_COLD_SHARE = 0.5;
/** What the cold takes is known to a third of itself (default). */
const COLD_DOUBT = 1 / 3;
/** Gain of capacity per K above 25 °C, with its doubt (default, uncertain). */
const PER_K_ABOVE = { value: 0.001, sd: 0.002 };
/** Of a run whose temperature nobody wrote down: sheds and garages are colder than 25 °C, so that less came out (default). */
const UNKNOWN_TEMPERATURE = { share: 0.972, sd: 0.03 };

/** Share of its charge a cell cannot give in the cold, at 0.05 C or more: z0 = 0.0015·ΔT + 0.00014·ΔT², ΔT = 25 °C − T; 0 above 25 °C. */
export function coldShareAt(temperatureC: number): number {
	const below = Math.max(0, RATED_C - temperatureC);
	return Math.min(MAX_COLD_SHARE, COLD_SHARE.perK * below + COLD_SHARE.perK2 * below ** 2);
}

/** By what a capacity at a temperature is to be multiplied to be that of 25 °C, and how that moves with each of the two things in doubt. */
function toRated(temperatureC: number): { factor: number; perCold: number; above: number } {
	if (temperatureC >= RATED_C) {
		const above = temperatureC - RATED_C;
		return { factor: 1 - PER_K_ABOVE.value * above, perCold: 0, above };
	}
	const lost = coldShareAt(temperatureC);
	return { factor: 1 / (1 - lost), perCold: lost / (1 - lost), above: 0 };
}

/**
 * By what a capacity at one temperature is to be multiplied to be that of another, and its relative sd: what is not known of both falls out.
 * @param temperatureC null when not recorded: taken as a usual shed, with its doubt
 */
export function toTemperature(temperatureC: number | null, referenceC: number): { factor: number; relativeSd: number } {
	const to = toRated(referenceC);
	if (temperatureC === null)
		return { factor: 1 / UNKNOWN_TEMPERATURE.share / to.factor, relativeSd: UNKNOWN_TEMPERATURE.sd };
	const from = toRated(temperatureC);
	return {
		factor: from.factor / to.factor,
		relativeSd: Math.hypot(COLD_DOUBT * (from.perCold - to.perCold), PER_K_ABOVE.sd * (from.above - to.above))
	};
}

/** By what a capacity at a temperature is to be multiplied to be that of 25 °C, however far away, and its relative sd (models §5). */
export const temperatureFactor = (temperatureC: number): { factor: number; relativeSd: number } =>
	toTemperature(requireFinite(temperatureC, 'temperatureC'), RATED_C);

import { coldShareAt } from '../cell-model';
import { CoreError, requireFinite, requireNotNegative, requirePositive } from '../shared';

export const RATED_C = 25;
/** What the cold takes is known to a third of itself (default). */
const COLD_DOUBT = 1 / 3;
/** Gain of capacity per K above 25 °C, with its doubt (default, uncertain). */
const PER_K_ABOVE = { value: 0.001, sd: 0.002 };
/** Doubt of a capacity whose temperature nobody wrote down, one sd: a shed may well be at 15 °C (default). */
const UNKNOWN_TEMPERATURE_SD = 0.025;
/** Rate exponent k with its doubt (default, uncertain; Peukert 1897 form). */
const RATE_EXPONENT = { value: 1.01, sd: 0.01 };
/** Larger corrections are refused: the cell has to be tested again nearer the standard. */
export const LARGEST_CORRECTION = 0.05;

export interface StandardCapacity {
	capacityAh: number;
	sdAh: number;
	/** Correction applied, as a fraction of the measured capacity. */
	correctionFraction: number;
	/** What the correction adds of doubt, relative: all runs of one cell under like conditions share it. */
	sharedSd: number;
}

/** What a capacity is brought to: rate and, 25 °C where missing, temperature. */
export interface StandardConditions {
	cRate: number;
	temperatureC?: number | null;
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

/** The same from one temperature to another: what is not known of both falls out. */
function toTemperature(temperatureC: number | null, referenceC: number): { factor: number; relativeSd: number } {
	if (temperatureC === null) return { factor: 1, relativeSd: UNKNOWN_TEMPERATURE_SD };
	const [from, to] = [toRated(temperatureC), toRated(referenceC)];
	return {
		factor: from.factor / to.factor,
		relativeSd: Math.hypot(COLD_DOUBT * (from.perCold - to.perCold), PER_K_ABOVE.sd * (from.above - to.above))
	};
}

/**
 * Capacity brought to the temperature and rate of a protocol, by way of 25 °C: below 25 °C `C/(1 − z0(T))` with the share z0 that the cold takes of a
 * discharge, above `C·(1 − 0.001·(T − 25))`; rate `C·(I/Istd)^(k−1)`. Their doubts are added in quadrature.
 * @param temperatureC null when not recorded: no correction, but its doubt is added
 * @param cRate rate used; null: no rate correction @param standard of the protocol
 * @throws CoreError `correction-too-large` beyond 5 %
 */
export function toStandardConditions(
	measured: { capacityAh: number; sdAh: number },
	temperatureC: number | null,
	cRate: number | null,
	{ cRate: standardCRate, temperatureC: standardC }: StandardConditions
): StandardCapacity {
	requirePositive(measured.capacityAh, 'capacityAh');
	requireNotNegative(measured.sdAh, 'sdAh');
	const referenceC = requireFinite(standardC ?? RATED_C, 'standard.temperatureC');
	const warmed = toTemperature(temperatureC, referenceC);
	const logRate =
		cRate === null ? 0 : Math.log(requirePositive(cRate, 'cRate') / requirePositive(standardCRate, 'standard.cRate'));
	const factor = warmed.factor * Math.exp((RATE_EXPONENT.value - 1) * logRate);
	if (Math.abs(factor - 1) > LARGEST_CORRECTION)
		throw new CoreError(
			'correction-too-large',
			'temperatureC',
			`A correction of ${((factor - 1) * 100).toFixed(1)} % is more than ${LARGEST_CORRECTION * 100} %: test again nearer ${referenceC} °C and ${standardCRate} C.`
		);
	const sharedSd = Math.hypot(warmed.relativeSd, RATE_EXPONENT.sd * logRate);
	const relativeSd = Math.hypot(measured.sdAh / measured.capacityAh, sharedSd);
	return {
		capacityAh: measured.capacityAh * factor,
		sdAh: measured.capacityAh * factor * relativeSd,
		correctionFraction: factor - 1,
		sharedSd
	};
}

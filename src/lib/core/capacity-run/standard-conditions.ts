import { coldShareAt } from '../cell-model';
import { CoreError, requireNotNegative, requirePositive } from '../shared';

const RATED_C = 25;
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
}

/** By what a capacity at a temperature is to be multiplied, and the doubt of that, relative. */
function toRatedTemperature(temperatureC: number | null): { factor: number; relativeSd: number } {
	if (temperatureC === null) return { factor: 1, relativeSd: UNKNOWN_TEMPERATURE_SD };
	if (temperatureC >= RATED_C) {
		const above = temperatureC - RATED_C;
		return { factor: 1 - PER_K_ABOVE.value * above, relativeSd: PER_K_ABOVE.sd * above };
	}
	const lost = coldShareAt(temperatureC);
	return { factor: 1 / (1 - lost), relativeSd: (COLD_DOUBT * lost) / (1 - lost) };
}

/**
 * Capacity brought to 25 °C and the standard rate: below 25 °C `C/(1 − z0(T))` with the share z0 that the cold takes of a
 * discharge, above `C·(1 − 0.001·(T − 25))`; rate `C·(I/Istd)^(k−1)`. Their doubts are added in quadrature.
 * @param temperatureC null when not recorded: no correction, but its doubt is added
 * @param cRate rate used and @param standardCRate rate of the protocol; null `cRate`: no rate correction
 * @throws CoreError `correction-too-large` beyond 5 %
 */
export function toStandardConditions(
	measured: { capacityAh: number; sdAh: number },
	temperatureC: number | null,
	cRate: number | null,
	standardCRate: number
): StandardCapacity {
	requirePositive(measured.capacityAh, 'capacityAh');
	requireNotNegative(measured.sdAh, 'sdAh');
	const warmed = toRatedTemperature(temperatureC);
	const logRate =
		cRate === null ? 0 : Math.log(requirePositive(cRate, 'cRate') / requirePositive(standardCRate, 'standardCRate'));
	const factor = warmed.factor * Math.exp((RATE_EXPONENT.value - 1) * logRate);
	if (Math.abs(factor - 1) > LARGEST_CORRECTION)
		throw new CoreError(
			'correction-too-large',
			'temperatureC',
			`A correction of ${((factor - 1) * 100).toFixed(1)} % is more than ${LARGEST_CORRECTION * 100} %: test again nearer 25 °C and ${standardCRate} C.`
		);
	const relativeSd = Math.hypot(measured.sdAh / measured.capacityAh, warmed.relativeSd, RATE_EXPONENT.sd * logRate);
	return {
		capacityAh: measured.capacityAh * factor,
		sdAh: measured.capacityAh * factor * relativeSd,
		correctionFraction: factor - 1
	};
}

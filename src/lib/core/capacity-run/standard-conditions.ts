import { CoreError, requireNotNegative, requirePositive } from '../shared';

/** Temperature coefficient of capacity, per K below and above 25 °C, with its doubt (default, uncertain). */
const ALPHA_BELOW = { value: 0.005, sd: 0.002 };
const ALPHA_ABOVE = { value: 0.001, sd: 0.002 };
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

/**
 * Capacity brought to 25 °C and the standard rate: `C·(1 + α·(25 − T))·(I/Istd)^(k−1)`, the doubt of both
 * coefficients added in quadrature.
 * @param temperatureC null when not recorded: no correction, but the doubt of ±5 K is added
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
	const alpha = temperatureC !== null && temperatureC > 25 ? ALPHA_ABOVE : ALPHA_BELOW;
	const kelvin = temperatureC === null ? 0 : 25 - temperatureC;
	const logRate =
		cRate === null ? 0 : Math.log(requirePositive(cRate, 'cRate') / requirePositive(standardCRate, 'standardCRate'));
	const factor = (1 + alpha.value * kelvin) * Math.exp((RATE_EXPONENT.value - 1) * logRate);
	if (Math.abs(factor - 1) > LARGEST_CORRECTION)
		throw new CoreError(
			'correction-too-large',
			'temperatureC',
			`A correction of ${((factor - 1) * 100).toFixed(1)} % is more than ${LARGEST_CORRECTION * 100} %: test again nearer 25 °C and ${standardCRate} C.`
		);
	const unknownTemperatureSd = temperatureC === null ? ALPHA_BELOW.value * 5 : 0;
	const relativeSd = Math.hypot(
		measured.sdAh / measured.capacityAh,
		alpha.sd * kelvin,
		RATE_EXPONENT.sd * logRate,
		unknownTemperatureSd
	);
	return {
		capacityAh: measured.capacityAh * factor,
		sdAh: measured.capacityAh * factor * relativeSd,
		correctionFraction: factor - 1
	};
}

import { LARGEST_CORRECTION } from '../verdicts';
import { RATED_C, toTemperature } from '../../foundation/chemistry';
import { CoreError, requireFinite, requireNotNegative, requirePositive } from '../../foundation/errors';
import type { Correction } from '../../picture';

/** Rate exponent k with its doubt (default, uncertain; Peukert 1897 form). */
const RATE_EXPONENT = { value: 1.01, sd: 0.01 };

/** One step from what was read to standard conditions. */
export interface CorrectionStep {
	correction: Correction;
	/** What it multiplies the capacity by; 1 where nothing is known to correct for, or it is switched off. */
	factor: number;
	/** What it adds of doubt, relative, one sd. */
	relativeSd: number;
	/** Switched off by hand: what it would have moved is doubt instead. */
	isOff: boolean;
}

export interface StandardCapacity {
	capacityAh: number;
	sdAh: number;
	/** Correction applied, as a fraction of the measured capacity. */
	correctionFraction: number;
	/** What the correction adds of doubt, relative: all runs of one cell under like conditions share it. */
	sharedSd: number;
	steps: CorrectionStep[];
}

/** How a capacity was measured, as far as it matters. */
export interface MeasuredCapacity {
	capacityAh: number;
	sdAh: number;
	/** What its leads made it miss, as a fraction: {@link twoWireShare}; missing: four wires. */
	missedShare?: number;
}

/** What a capacity is brought to: rate and, 25 °C where missing, temperature. */
export interface StandardConditions {
	cRate: number;
	temperatureC?: number | null;
}

/** What leads made a tester miss is known to a third of itself (default). */
const MISSED_DOUBT = 1 / 3;

/**
 * Capacity brought to the temperature and rate of a protocol, by way of 25 °C: what two wires made it miss is added; below 25 °C `C/(1 − z0(T))`
 * with the share z0 that the cold takes of a discharge, above `C·(1 − 0.001·(T − 25))`; rate `C·(I/Istd)^(k−1)`. Their doubts are added in
 * quadrature; a correction that is switched off is doubt as large as itself.
 * @param temperatureC null when not recorded: taken as a usual shed, with its doubt
 * @param cRate rate used; null: no rate correction @param standard of the protocol @param off corrections that are not to be made
 * @throws CoreError `correction-too-large` beyond 5 %
 */
export function toStandardConditions(
	measured: MeasuredCapacity,
	temperatureC: number | null,
	cRate: number | null,
	{ cRate: standardCRate, temperatureC: standardC }: StandardConditions,
	off: readonly Correction[] = []
): StandardCapacity {
	requirePositive(measured.capacityAh, 'capacityAh');
	requireNotNegative(measured.sdAh, 'sdAh');
	const referenceC = requireFinite(standardC ?? RATED_C, 'standard.temperatureC');
	const missed = requireNotNegative(measured.missedShare ?? 0, 'missedShare');
	const logRate =
		cRate === null ? 0 : Math.log(requirePositive(cRate, 'cRate') / requirePositive(standardCRate, 'standard.cRate'));
	const step = (correction: Correction, factor: number, relativeSd: number): CorrectionStep =>
		off.includes(correction)
			? { correction, factor: 1, relativeSd: Math.hypot(relativeSd, factor - 1), isOff: true }
			: { correction, factor, relativeSd, isOff: false };
	const warmed = toTemperature(temperatureC, referenceC);
	const steps = [
		step('drop', 1 / (1 - Math.min(0.5, missed)), MISSED_DOUBT * missed),
		step('temperature', warmed.factor, warmed.relativeSd),
		step('rate', Math.exp((RATE_EXPONENT.value - 1) * logRate), Math.abs(RATE_EXPONENT.sd * logRate))
	];
	const factor = steps.reduce((product, s) => product * s.factor, 1);
	// A temperature nobody told is a guess with its doubt, no correction that could be too large.
	const corrected = temperatureC === null ? factor / warmed.factor : factor;
	if (Math.abs(corrected - 1) > LARGEST_CORRECTION)
		throw new CoreError(
			'correction-too-large',
			'temperatureC',
			`A correction of ${((corrected - 1) * 100).toFixed(1)} % is more than ${LARGEST_CORRECTION * 100} %: test again nearer ${referenceC} °C and ${standardCRate} C.`
		);
	const sharedSd = Math.hypot(...steps.map((s) => s.relativeSd));
	const relativeSd = Math.hypot(measured.sdAh / measured.capacityAh, sharedSd);
	return {
		capacityAh: measured.capacityAh * factor,
		sdAh: measured.capacityAh * factor * relativeSd,
		correctionFraction: factor - 1,
		sharedSd,
		steps
	};
}

import { coldFactor } from '../../world/cell-model';
import { LOADED_OHM_AH, type Chemistry } from '../../foundation/chemistry';

/** Mean volts of a whole discharge at house rates, with what that is known to, one sd (LFP 3.20–3.27 V at 0.05–0.2 C; others default). */
const USUAL: Record<Chemistry, { volts: number; sd: number }> = {
	LFP: { volts: 3.235, sd: 0.018 },
	LTO: { volts: 2.3, sd: 0.03 },
	NMC: { volts: 3.65, sd: 0.05 }
};
/** The rate the usual mean voltage is of, 1/h. */
const USUAL_RATE = 0.125;
/** Of a rate nobody told: mean volts lie so much lower, and are known so much worse (default). */
const ANY_RATE_V = { lower: 0.01, sd: 0.025 };
/** Nobody told how warm it was: a shed or a room, °C (default). */
const ANY_AIR_C = 17;
/** What a load drops is known to these shares of it, with and without the temperature. */
const DROP_DOUBT = { told: 0.25, untold: 0.4 };
/** Volts a cell in the cold gives less even at next to no load, by K under 25 °C. */
const COLD_V_PER_K = 0.0003;
const RATED_C = 25;

/** How a discharge was made, as far as anybody knows. */
export interface DischargeConditions {
	/** 1/h; null or missing: nobody told. */
	cRate?: number | null;
	/** °C; null or missing: nobody told. */
	temperatureC?: number | null;
}

/** Mean voltage a whole discharge has, one sd: lower by what its load drops, more in the cold (models §3, §21). */
export function meanVoltage(
	chemistry: Chemistry,
	{ cRate = null, temperatureC = null }: DischargeConditions
): { volts: number; sd: number } {
	const { volts, sd } = USUAL[chemistry];
	if (cRate === null) return { volts: volts - ANY_RATE_V.lower, sd: Math.hypot(sd, ANY_RATE_V.sd) };
	const airC = temperatureC ?? ANY_AIR_C;
	const dropV = LOADED_OHM_AH * Math.max(0, cRate * coldFactor(airC) - USUAL_RATE);
	const doubt = temperatureC === null ? DROP_DOUBT.untold : DROP_DOUBT.told;
	return { volts: volts - dropV - COLD_V_PER_K * Math.max(0, RATED_C - airC), sd: Math.hypot(sd, doubt * dropV) };
}

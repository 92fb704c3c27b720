import { LOADED_OHM_AH, HYSTERESIS_V, restVoltageCurve, type Chemistry } from '../chemistry';
import type { LivePhase } from './live-plan';
import type { LiveSample } from './live-state';

/** What one voltage says of the charge still to move until a phase reaches its own, Ah. */
export interface ChargeLeft {
	low: number;
	high: number;
}

/** Resistance of a cell under a load that lasts, as a share of the typical: new and warm, to aged and cold (default). */
const RESISTANCE = { from: 0.5, to: 3 };
/** Half-width of the hysteresis loop, as a share of the typical (default). */
const LOOP = { from: 0.4, to: 2 };
/** Between an instrument and a cell it has no sense leads at, Ω (default); and how well a meter at the cell tells it. */
const LEADS_OHM = 0.005;
const LEADS_TOLD = 0.2;
/** Doubt of the typical curve and of the display, 95 %, V. */
const CURVE_V = 0.012;
const SHIFTS = 9;

/**
 * Charge between where a discharge or charge is and the voltage it ends at, by the rest-voltage curve between the two: each is brought to
 * rest by the same drop over cell and leads and the same side of the hysteresis loop, whatever these are (models §5: to the cut-off from
 * the curve, never linearly). Narrow at the knees; on the plateau bounds only.
 * @param aboutAh what the cell or row should hold
 * @returns bounds, Ah; null where no voltage was read or hardly anything flows
 */
export function toTheEndAh(
	phase: LivePhase,
	{ voltageV, cellV, currentA }: LiveSample,
	aboutAh: number,
	chemistry: Chemistry
): ChargeLeft | null {
	const here = voltageV ?? cellV;
	if ((phase.kind !== 'charge' && phase.kind !== 'discharge') || here === null || currentA === 0) return null;
	const endV = phase.kind === 'discharge' ? phase.cutoffV : phase.voltageV;
	const towardsRest = phase.kind === 'discharge' ? 1 : -1;
	const current = Math.abs(currentA);
	const told = voltageV !== null && cellV !== null ? Math.abs(voltageV - cellV) : null;
	const leads = told === null ? { from: 0, to: LEADS_OHM * current } : spread(told, LEADS_TOLD);
	const cellDropV = (current / aboutAh) * LOADED_OHM_AH;
	const from = RESISTANCE.from * cellDropV + LOOP.from * HYSTERESIS_V[chemistry] + leads.from;
	const to = RESISTANCE.to * cellDropV + LOOP.to * HYSTERESIS_V[chemistry] + leads.to;
	const curve = restVoltageCurve(chemistry);
	const left = Array.from({ length: SHIFTS }, (_, k) => from + ((to - from) * k) / (SHIFTS - 1)).flatMap((shiftV) => {
		const end = curve.xOf(endV + towardsRest * shiftV);
		return [-CURVE_V, CURVE_V].map((v) => -towardsRest * (end - curve.xOf(here + towardsRest * shiftV + v)) * aboutAh);
	});
	return { low: Math.max(0, Math.min(...left)), high: Math.max(0, ...left) };
}

const spread = (value: number, share: number) => ({ from: value * (1 - share), to: value * (1 + share) });

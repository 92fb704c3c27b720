import { coldFactor } from '../../world/cell-model';
import {
	LOADED_OHM_AH,
	coldShareAt,
	HYSTERESIS_V,
	drawnCurve,
	restVoltageCurve,
	type Chemistry,
	type DrawnCurve
} from '../../foundation/chemistry';
import { normalDraw, type Random } from '../../foundation/statistics';

/** What is not known of a cell under load, one sd of the logarithm (default); and how far from full it may begin. */
const DOUBT = { hysteresis: 0.35, resistance: 0.25, surface: 0.4, cold: 0.3, notFull: 0.004 };
/** Nobody wrote down how warm it is: a shed or a room, °C (default). */
const AIR_C = { mean: 17, sd: 7, coldest: 0, warmest: 35 };
/** How far the surface runs ahead of the bulk, in charge per C of rate. */
const SURFACE_PER_C = 0.03;
/** The fast part of the voltage, and the surface, settle with these, s. */
const SETTLE_S = 1500;

/** One way the cell may be; discharged with a steady current after the first minutes. */
export interface DrawnCell {
	/** Volts after so much of its capacity was taken, at a rate out of it, so long after the start. */
	volts(taken: number, cRate: number, timeS: number): number;
}

/** A cell of one drawn world: curve, hysteresis, resistance, surface charge, how warm it is, how full it began. */
export function drawCell(chemistry: Chemistry, random: Random): DrawnCell {
	const curve: DrawnCurve = drawnCurve(restVoltageCurve(chemistry), random);
	const loopV = HYSTERESIS_V[chemistry] * Math.exp(normalDraw(random, 0, DOUBT.hysteresis));
	const airC = Math.min(AIR_C.warmest, Math.max(AIR_C.coldest, normalDraw(random, AIR_C.mean, AIR_C.sd)));
	const cold = coldFactor(airC);
	const ohmAh = LOADED_OHM_AH * cold * Math.exp(normalDraw(random, 0, DOUBT.resistance));
	const surface = SURFACE_PER_C * cold * Math.exp(normalDraw(random, 0, DOUBT.surface));
	const outOfReach = coldShareAt(airC) * Math.exp(normalDraw(random, 0, DOUBT.cold));
	const began = 1 - Math.abs(normalDraw(random, 0, DOUBT.notFull));
	return {
		volts(taken, cRate, timeS) {
			const ahead = (surface * cRate + outOfReach) * (1 - Math.exp(-timeS / SETTLE_S));
			return curve.voltsAt(began - taken - ahead) - loopV - cRate * ohmAh;
		}
	};
}

import { completeCell, simulateDischarge } from '../../world/cell-model';
import type { Chemistry } from '../../foundation/chemistry';
import { voltsAt } from './median-curve';
import { curveStepS } from './two-wire';

/** Volts of a discharge after so many ampere-hours; same length, ampere-hours rising. */
export interface DischargeCurve {
	voltageV: readonly number[];
	dischargedAh: readonly number[];
}

/** What a usual cell of a type gives at a rate: the model's curve, for comparison; a default, not the maker's. @param cRate 1/h, positive */
export function usualCurve(chemistry: Chemistry, ratedAh: number, cRate: number, cutoffV: number): DischargeCurve {
	const parameters = completeCell({ chemistry, capacityAh: ratedAh });
	const stepS = curveStepS(cRate);
	const run = simulateDischarge({ parameters, soc: 1 }, cRate * ratedAh, cutoffV, stepS, 12 * stepS);
	return { voltageV: run.voltageV, dischargedAh: run.timeS.map((s) => (s * cRate * ratedAh) / 3600) };
}

/** How far a curve lies above another at the same ampere-hours, V; null where the other has ended. */
export function curveDifference(
	curve: DischargeCurve,
	from: DischargeCurve
): { voltageV: (number | null)[]; dischargedAh: number[] } {
	const voltageV = curve.voltageV.map((v, i) => {
		const other = from.dischargedAh.length > 1 ? voltsAt(from, curve.dischargedAh[i]!) : null;
		return other === null ? null : v - other;
	});
	return { voltageV, dischargedAh: [...curve.dischargedAh] };
}

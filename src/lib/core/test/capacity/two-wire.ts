import { completeCell, simulateDischarge } from '../../world/cell-model';
import type { Chemistry } from '../../foundation/chemistry';
import { CoreError, requirePositive } from '../../foundation/errors';

/** Steps of a simulated discharge: about so many, whatever its rate, s. */
export const curveStepS = (cRate: number): number => Math.min(600, Math.max(1, 2 / cRate));

/**
 * What a two-wire tester misses because its leads make it stop early, as a fraction of the capacity: `Ah(curve at this current, cut-off) −
 * Ah(same curve, cut-off + I·R)` of the usual cell (models §5), never a straight line.
 * @param cRate of the discharge, 1/h @param dropV I·R of both leads, V, 0 or more @param cutoffV at the tester
 * @returns 0 without a drop @throws CoreError `not-positive`, `negative`
 */
export function twoWireShare(chemistry: Chemistry, cRate: number, dropV: number, cutoffV: number): number {
	requirePositive(cRate, 'cRate');
	if (!(dropV >= 0)) throw new CoreError('negative', 'dropV', `dropV requires 0 V or more, got ${dropV}`);
	if (dropV === 0) return 0;
	const ratedAh = 100;
	const stepS = curveStepS(cRate);
	const { timeS, voltageV, capacityAh } = simulateDischarge(
		{ parameters: completeCell({ chemistry, capacityAh: ratedAh }), soc: 1 },
		cRate * ratedAh,
		cutoffV,
		stepS,
		stepS
	);
	const stopped = voltageV.findIndex((v) => v <= cutoffV + dropV);
	const takenAh = stopped < 0 ? capacityAh : (cRate * ratedAh * timeS[stopped]!) / 3600;
	return (capacityAh - takenAh) / capacityAh;
}

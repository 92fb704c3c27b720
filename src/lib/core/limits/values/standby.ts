import { restVoltageCurve, type Chemistry } from '../../foundation/chemistry';
import { requireNotNegative, requirePositive } from '../../foundation/errors';

export interface StandbyInput {
	chemistry: Chemistry;
	capacityAh: number;
	/** The load's cut-off, V a cell. */
	cutoffV: number;
	/** What still flows then: BMS, balancer, display, relay; A. */
	standbyA: number;
	/** Share of the capacity a month. */
	selfDischargePerMonth?: number;
}

/** Share of its capacity a cell loses by itself in a month (default). */
const USUAL_SELF_DISCHARGE = 0.02;
const DAYS_A_MONTH = 30;

/**
 * Days from the load's cut-off until the cells are empty: the charge that the rest curve leaves at that voltage over what still
 * flows. Under load the cut-off comes earlier than at rest: this is the least. @throws CoreError `not-positive`, `negative`
 */
export function standbyDays({
	chemistry,
	capacityAh,
	cutoffV,
	standbyA,
	selfDischargePerMonth = USUAL_SELF_DISCHARGE
}: StandbyInput): { chargeLeftAh: number; days: number } {
	requirePositive(capacityAh, 'capacityAh');
	requirePositive(cutoffV, 'cutoffV');
	requireNotNegative(standbyA, 'standbyA');
	requireNotNegative(selfDischargePerMonth, 'selfDischargePerMonth');
	const chargeLeftAh = capacityAh * Math.max(0, restVoltageCurve(chemistry).xOf(cutoffV));
	const ahADay = standbyA * 24 + (selfDischargePerMonth * capacityAh) / DAYS_A_MONTH;
	return { chargeLeftAh, days: ahADay > 0 ? chargeLeftAh / ahADay : Infinity };
}

/** What must be left at the cut-off, days of standby: where somebody comes by, and where nobody does (models). */
export const STANDBY_DAYS = { visited: 14, unvisited: 60 } as const;

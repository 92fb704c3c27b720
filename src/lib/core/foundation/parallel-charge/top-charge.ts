import { CHEMISTRY_FIGURES, restVoltageCurve, type Chemistry } from '../chemistry';
import { CoreError, requireFinite, requirePositive } from '../errors';

export interface ParallelCharge {
	chemistry: Chemistry;
	/** Sum of the cells' capacities, Ah, and how many they are. */
	totalAh: number;
	cells: number;
	/** Set voltage (V) and largest current (A) of the supply. */
	setV: number;
	supplyA: number;
	/** Supply leads and clamps, both together, Ω. */
	leadOhm: number;
	/** The charge ends when the current falls to this, A. */
	tailA: number;
}

export interface ChargeEstimate {
	durationS: number;
	/** Seconds at the supply's full current, and in the taper after it. */
	constantCurrentS: number;
	taperS: number;
	deliveredAh: number;
	/** Current when the charge starts, A: below `supplyA` when the leads eat the voltage. */
	startA: number;
}

/** Surface charge per unit of C-rate, and series resistance of a cell (Ω·Ah): defaults of the cell model. */
const SURFACE_KAPPA = 0.03;
const CELL_OHM_AH = 0.05 * 1.6;
/** Bulk charge is stepped by this share of capacity; halving it moves the estimate by less than 0.1 %. */
const SOC_STEP = 0.0005;
/** An estimate beyond this is no plan: the set voltage does not reach the cells. A big row on a small supply takes its time. */
const mostHours = ({ totalAh, supplyA }: ParallelCharge) => Math.max(24 * 120, (3 * totalAh) / supplyA);

/** What the supply drives into the cells at this charge: its set current or what the set voltage pushes through leads and cells, A. */
function currentAt(charge: ParallelCharge, soc: number): number {
	const curve = restVoltageCurve(charge.chemistry);
	const cellOhm = CELL_OHM_AH / charge.totalAh;
	const surfacePerA = SURFACE_KAPPA / charge.totalAh;
	const excess = (currentA: number) =>
		curve.at(soc + surfacePerA * currentA) + currentA * (cellOhm + charge.leadOhm) - charge.setV;
	if (excess(charge.supplyA) <= 0) return charge.supplyA;
	let low = 0;
	let high = charge.supplyA;
	for (let k = 0; k < 50; k++) {
		const middle = (low + high) / 2;
		if (excess(middle) > 0) high = middle;
		else low = middle;
	}
	return low;
}

/**
 * Time for a parallel top balance: constant current, then the taper, by quasi-steady steps through the rest-voltage
 * curve with surface charge (models of the simulated cell). Time is counted from `startSoc` to the tail current.
 * @throws CoreError `set-voltage` above the chemistry's limit or too low to charge with; `not-positive`
 */
export function estimateTopCharge(charge: ParallelCharge, startSoc: number): ChargeEstimate {
	for (const key of ['totalAh', 'cells', 'supplyA', 'tailA', 'setV'] as const) requirePositive(charge[key], key);
	requireFinite(startSoc, 'startSoc');
	const limitV = CHEMISTRY_FIGURES[charge.chemistry].chargeLimitV;
	if (charge.setV > limitV + 1e-9)
		throw new CoreError(
			'set-voltage',
			'setV',
			`setV requires at most ${limitV} V for ${charge.chemistry}, got ${charge.setV} V`
		);
	const longestH = mostHours(charge);
	let soc = Math.max(0, startSoc);
	const estimate: ChargeEstimate = {
		durationS: 0,
		constantCurrentS: 0,
		taperS: 0,
		deliveredAh: 0,
		startA: currentAt(charge, soc)
	};
	for (;;) {
		const currentA = currentAt(charge, soc + SOC_STEP / 2);
		if (currentA <= charge.tailA) return estimate;
		const stepAh = SOC_STEP * charge.totalAh;
		const stepS = (stepAh / currentA) * 3600;
		if (currentA >= charge.supplyA) estimate.constantCurrentS += stepS;
		else estimate.taperS += stepS;
		estimate.durationS += stepS;
		estimate.deliveredAh += stepAh;
		soc += SOC_STEP;
		if (estimate.durationS > longestH * 3600)
			throw new CoreError(
				'set-voltage',
				'setV',
				`At ${charge.setV} V through ${(charge.leadOhm * 1000).toFixed(0)} mΩ of leads the charge would take over ${Math.round(longestH / 24)} days. Shorten the leads.`
			);
	}
}

import { CHEMISTRY_FIGURES, TOP_BALANCE_V, type Chemistry } from '../chemistry';
import { CoreError, requirePositive } from '../errors';
import { estimateTopCharge, type ChargeEstimate, type ParallelCharge } from './top-charge';

export interface BalanceCell {
	id: number;
	label: string;
	capacityAh: number;
	/** Bounds of its charge on arrival, fractions; 0 and 1 when nothing is known. */
	socLow: number;
	socHigh: number;
	restVoltageV: number | null;
	/** It read negative and nobody has recorded that its plus is on the other side. */
	polarityOpen?: boolean;
	/** For the joining check; null when not measured. */
	resistanceMohm: number | null;
}

export interface BalanceSetup {
	chemistry: Chemistry;
	/** The maker's charge limit of a cell, V, and continuous charge C-rate. */
	chargeLimitV: number;
	chargeCRate: number;
	supplyA: number;
	leadOhm: number;
	/** What the supply is set to, V; the chemistry’s default, clear of the limit, when null. */
	setV?: number | null;
	/** By how much meter and supply together may be off at the limit, half-width, V. */
	voltageHalfWidthV?: number;
}

export interface BalancePlan {
	/** Charge to deliver if the cells arrived as full as they may be, and as empty, Ah. */
	toDeliverAh: { low: number; high: number };
	durationS: { low: number; high: number };
	atWorst: ChargeEstimate;
	/** Sum of the cells' capacities, Ah. */
	totalAh: number;
	barsNeeded: number;
	setV: number;
	setA: number;
	tailA: number;
	/** Voltage the leads will eat at full current, V. */
	leadDropV: number;
	/** The row, its supply and its leads, as it is reckoned with. */
	charge: ParallelCharge;
}

/** Tail below this share of one cell's capacity per hour, or below so much for each cell of the row, means full (default). */
export const TAIL_C_RATE = 0.02;
/** Of a row, for each of its cells, C (default). */
export const TAIL_EACH_C_RATE = 0.002;
/** A small supply on a large row never gives more than that: its tail is this share of what it is set to. */
const MAX_OF_SET = 0.25;
/** A good handheld meter and a supply's setting together, half-width, V (default). */
const USUAL_HALF_WIDTH_V = 0.02;

/** The most a supply may be set to: the cells' limit less what meter and supply may be off, V. */
export function highestSetV({
	chemistry,
	chargeLimitV,
	voltageHalfWidthV = USUAL_HALF_WIDTH_V
}: Pick<BalanceSetup, 'chemistry' | 'chargeLimitV' | 'voltageHalfWidthV'>): number {
	return Math.min(chargeLimitV, CHEMISTRY_FIGURES[chemistry].chargeLimitV) - voltageHalfWidthV;
}

/** Charge of the row, fraction of full, after so much has gone in: bounds, because what it held before is known as bounds. */
export function chargeAfter(
	{ toDeliverAh, totalAh }: Pick<BalancePlan, 'toDeliverAh' | 'totalAh'>,
	deliveredAh: number
): { low: number; high: number } {
	const share = (missingAh: number) => Math.min(1, Math.max(0, (totalAh - missingAh + deliveredAh) / totalAh));
	return { low: share(toDeliverAh.high), high: share(toDeliverAh.low) };
}

/** The current at which a row of so many cells, of so many Ah each, is full, A. */
export const rowTailA = (cells: number, cellAh: number): number =>
	Math.max(TAIL_C_RATE, cells * TAIL_EACH_C_RATE) * cellAh;

/** Bars joining n cells in parallel: one a side between neighbours, 2·(n − 1). */
export function parallelBars(cells: number): number {
	return Math.max(0, 2 * (cells - 1));
}

/** So many cells one row of so many bars joins: as {@link parallelBars}, the other way round. */
export const cellsJoinedBy = (bars: number): number => Math.floor(Math.max(0, bars) / 2) + 1;

/**
 * What a parallel top balance of these cells takes: charge and time as bounds, because arrival charge is only known
 * as bounds; bars; what to set the supply to.
 * @throws CoreError `no-cells` or the errors of `estimateTopCharge`
 */
export function planTopBalance(cells: readonly BalanceCell[], setup: BalanceSetup): BalancePlan {
	if (cells.length === 0)
		throw new CoreError('no-cells', 'cells', 'A balance requires cells, got none. Match cells first.');
	cells.forEach((c, i) => requirePositive(c.capacityAh, `cells.${i}.capacityAh`));
	const totalAh = cells.reduce((sum, c) => sum + c.capacityAh, 0);
	const smallestAh = Math.min(...cells.map((c) => c.capacityAh));
	const missing = (soc: (c: BalanceCell) => number) => cells.reduce((sum, c) => sum + c.capacityAh * (1 - soc(c)), 0);
	const toDeliverAh = { low: missing((c) => c.socHigh), high: missing((c) => c.socLow) };
	const setV = setup.setV ?? Math.min(TOP_BALANCE_V[setup.chemistry], highestSetV(setup));
	const setA = Math.min(setup.supplyA, totalAh * setup.chargeCRate);
	const tailA = Math.min(rowTailA(cells.length, smallestAh), MAX_OF_SET * setA);
	const charge: ParallelCharge = {
		chemistry: setup.chemistry,
		totalAh,
		cells: cells.length,
		setV,
		supplyA: setA,
		leadOhm: setup.leadOhm,
		tailA
	};
	const atWorst = estimateTopCharge(charge, 1 - toDeliverAh.high / totalAh);
	const atBest = estimateTopCharge(charge, 1 - toDeliverAh.low / totalAh);
	return {
		toDeliverAh,
		durationS: { low: atBest.durationS, high: atWorst.durationS },
		atWorst,
		totalAh,
		barsNeeded: parallelBars(cells.length),
		setV,
		setA,
		tailA,
		leadDropV: setA * setup.leadOhm,
		charge
	};
}

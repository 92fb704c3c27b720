import { max, min, sum } from 'd3-array';
import { restVoltageCurve, type Chemistry } from '../../foundation/chemistry';
import { CoreError, requirePositive } from '../../foundation/errors';

/** A string of cells as vessels: each as tall as its capacity, filled to its charge. Ah, most negative first. */
export interface Vessels {
	readonly capacityAh: readonly number[];
	readonly chargeAh: readonly number[];
}

export interface Transfer {
	/** Of the balancer, A; 0: none. */
	activeA: number;
	/** It works while highest and lowest differ by more, V. */
	triggerV: number;
}

/** The cell that ended a charge or a discharge. */
export interface Stop {
	/** From 0. */
	cell: number;
	end: 'full' | 'empty';
}

export type Start = 'top' | 'bottom' | 'half' | readonly number[];

/** Of what the strong one gives, what reaches the weak one (default). */
const TRANSFER_EFFICIENCY = 0.85;
/** An active balancer moves charge in so many pieces of a step. */
const PIECES = 24;
const NEARLY_AH = 1e-9;

/**
 * @param start `top`: all full; `bottom`: all empty; `half`: the same charge in each, half of the smallest; or a state of charge for each
 * @throws CoreError `too-few`, `not-positive`, `out-of-range`
 */
export function createVessels(capacityAh: readonly number[], start: Start): Vessels {
	if (capacityAh.length === 0) throw new CoreError('too-few', 'capacityAh', 'capacityAh requires one cell or more');
	capacityAh.forEach((ah, i) => requirePositive(ah, `capacityAh.${i}`));
	const half = min(capacityAh)! / 2;
	const chargeAh = capacityAh.map((ah, i) => {
		if (start === 'top') return ah;
		if (start === 'bottom') return 0;
		if (start === 'half') return half;
		const soc = start[i];
		if (soc === undefined || !(soc >= 0 && soc <= 1))
			throw new CoreError('out-of-range', `start.${i}`, `start.${i} requires 0 to 1, got ${soc}`);
		return soc * ah;
	});
	return { capacityAh, chargeAh };
}

/** Rest volts of each: what a person would read, and all that a person would see. */
export function voltsOf({ capacityAh, chargeAh }: Vessels, chemistry: Chemistry): number[] {
	const curve = restVoltageCurve(chemistry);
	return capacityAh.map((ah, i) => curve.at(Math.min(1, Math.max(0, chargeAh[i]! / ah))));
}

/** What this string can give from full to empty as it stands: what still goes in, and what is in (models §9). */
export const usableAh = ({ capacityAh, chargeAh }: Vessels): number =>
	min(capacityAh, (ah, i) => ah - chargeAh[i]!)! + min(chargeAh)!;

/** The cells that would end a charge and a discharge from here. */
export function whoStops({ capacityAh, chargeAh }: Vessels): { full: number; empty: number } {
	const room = capacityAh.map((ah, i) => ah - chargeAh[i]!);
	return { full: room.indexOf(min(room)!), empty: chargeAh.indexOf(min(chargeAh)!) };
}

/**
 * One current through all: so many Ah into each (negative: out of each), until the first is full or empty; a balancer moves charge meanwhile.
 * @param hours the move takes; only a balancer asks
 */
export function moveCharge(
	vessels: Vessels,
	ah: number,
	chemistry: Chemistry,
	{ activeA, triggerV }: Transfer = { activeA: 0, triggerV: 0 },
	hours = 0
): { vessels: Vessels; movedAh: number; stop: Stop | null } {
	if (activeA <= 0 || hours <= 0) return moveTogether(vessels, ah);
	let now = vessels;
	let movedAh = 0;
	for (let piece = 0; piece < PIECES; piece++) {
		const moved = moveTogether(now, ah / PIECES);
		movedAh += moved.movedAh;
		if (moved.stop) return { ...moved, movedAh };
		now = transferred(moved.vessels, chemistry, (activeA * hours) / PIECES, triggerV);
	}
	return { vessels: now, movedAh, stop: null };
}

function moveTogether({ capacityAh, chargeAh }: Vessels, ah: number) {
	const { full, empty } = whoStops({ capacityAh, chargeAh });
	const most = ah >= 0 ? capacityAh[full]! - chargeAh[full]! : chargeAh[empty]!;
	const movedAh = Math.sign(ah) * Math.min(Math.abs(ah), most);
	const stop: Stop | null =
		Math.abs(ah) < most - NEARLY_AH || ah === 0
			? null
			: { cell: ah > 0 ? full : empty, end: ah > 0 ? 'full' : 'empty' };
	const moved = chargeAh.map((q, i) => Math.min(capacityAh[i]!, Math.max(0, q + movedAh)));
	return { vessels: { capacityAh, chargeAh: moved }, movedAh, stop };
}

/** From the highest voltage to the lowest, as far as they differ. */
function transferred(vessels: Vessels, chemistry: Chemistry, ah: number, triggerV: number): Vessels {
	const volts = voltsOf(vessels, chemistry);
	const [high, low] = [max(volts)!, min(volts)!];
	if (high - low <= triggerV) return vessels;
	const [from, to] = [volts.indexOf(high), volts.indexOf(low)];
	const given = Math.min(
		ah,
		vessels.chargeAh[from]!,
		(vessels.capacityAh[to]! - vessels.chargeAh[to]!) / TRANSFER_EFFICIENCY
	);
	const chargeAh = vessels.chargeAh.map((q, i) =>
		i === from ? q - given : i === to ? q + TRANSFER_EFFICIENCY * given : q
	);
	return { ...vessels, chargeAh };
}

/** Into one alone, as with a supply on that cell; never past full or empty. */
export const pour = (vessels: Vessels, cell: number, ah: number): Vessels => ({
	...vessels,
	chargeAh: vessels.chargeAh.map((q, i) => (i === cell ? Math.min(vessels.capacityAh[i]!, Math.max(0, q + ah)) : q))
});

/** How far charge and voltages lie apart: as a share of the mean capacity, and V. */
export function apart(vessels: Vessels, chemistry: Chemistry): { share: number; volts: number } {
	const volts = voltsOf(vessels, chemistry);
	const meanAh = sum(vessels.capacityAh) / vessels.capacityAh.length;
	return { share: (max(vessels.chargeAh)! - min(vessels.chargeAh)!) / meanAh, volts: max(volts)! - min(volts)! };
}

import { requirePositive, type Verdict } from '../shared';
import type { BalanceCell } from './plan';

/** Joining current above this C-rate of the smaller cell is refused (default). */
const JOIN_C_RATE = 0.5;
/** Bars and two joints of a link, Ω (default). */
const LINK_OHM = 0.0002;
/** DC resistance over the AC reading, and the assumed AC reading when none was taken: 0.035 Ω·Ah. */
const DC_OVER_AC = 1 / 0.7;
const ASSUMED_AC_OHM_AH = 0.035;

export interface JoinCheck {
	/** Largest current in the first instant when the odd cell meets the others, A; null when a voltage is missing. */
	peakA: number | null;
	limitA: number;
	verdict: Verdict;
}

function resistanceOhm(cell: BalanceCell): number {
	const acOhm = cell.resistanceMohm === null ? ASSUMED_AC_OHM_AH / cell.capacityAh : cell.resistanceMohm / 1000;
	return acOhm * DC_OVER_AC;
}

/**
 * Whether cells may be joined in parallel: peak current `ΔE/(Ra + Rrest + links)` of the cell furthest from the mean,
 * against the others together, compared with 0.5 C of that cell.
 */
export function checkJoin(cells: readonly BalanceCell[]): JoinCheck {
	const limitA = JOIN_C_RATE * Math.min(...cells.map((c) => requirePositive(c.capacityAh, 'capacityAh')));
	const unread = cells.filter((c) => c.restVoltageV === null);
	const base = {
		rule: `Peak current ΔV ÷ (both resistances + links) against ${JOIN_C_RATE} C of the smallest cell.`,
		cellIds: [] as number[]
	};
	if (unread.length > 0)
		return {
			peakA: null,
			limitA,
			verdict: {
				...base,
				code: 'join-unknown',
				warmth: 'stop',
				title: 'Do not join these cells yet',
				finding: `${unread.length} of ${cells.length} have no rest voltage since they were last tested.`,
				doubt: null,
				next: `Read ${unread[0].label} with your meter.`,
				cellIds: unread.map((c) => c.id)
			}
		};
	const worst = worstJoin(cells);
	const tooMuch = worst.peakA > limitA;
	return {
		peakA: worst.peakA,
		limitA,
		verdict: {
			...base,
			code: tooMuch ? 'join-refused' : 'join-checked',
			warmth: tooMuch ? 'stop' : 'calm',
			title: tooMuch ? `${worst.cell.label} must not join the others yet` : 'Joining current stays within the limit',
			finding: `At most about ${worst.peakA.toFixed(0)} A for a moment (${worst.cell.label}, ${Math.round(worst.differenceV * 1000)} mV from the others); limit ${limitA.toFixed(0)} A.`,
			doubt: 'Resistances from the AC reading × 1.4, links 0.2 mΩ: good to about a third.',
			next: tooMuch
				? `Charge ${worst.cell.label} on its own until it is within ${Math.floor((limitA / worst.peakA) * worst.differenceV * 1000)} mV of the others.`
				: null,
			cellIds: tooMuch ? [worst.cell.id] : []
		}
	};
}

function worstJoin(cells: readonly BalanceCell[]): { cell: BalanceCell; peakA: number; differenceV: number } {
	return cells
		.map((cell, i) => {
			const others = cells.filter((_, k) => k !== i);
			const conductance = others.reduce((sum, c) => sum + 1 / resistanceOhm(c), 0);
			const othersV = others.reduce((sum, c) => sum + c.restVoltageV! / resistanceOhm(c), 0) / (conductance || 1);
			const differenceV = others.length ? Math.abs(cell.restVoltageV! - othersV) : 0;
			const othersOhm = conductance ? 1 / conductance : 0;
			return { cell, differenceV, peakA: differenceV / (resistanceOhm(cell) + othersOhm + LINK_OHM) };
		})
		.reduce((a, b) => (b.peakA > a.peakA ? b : a));
}

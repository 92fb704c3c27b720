import { requirePositive } from '../shared';
import { WHOLE_BANK, cellSubject, measured, say, type Subject, type Verdict } from '../verdicts';
import { JOIN_C_RATE, JOIN_METER_SD_V } from './join-limits';
import type { BalanceCell } from './plan';

/** Bars and two joints of a link, Ω: 0.1 to 0.4 mΩ (default). */
const LINK_OHM = 0.00023;
/** DC resistance over the AC reading, and the assumed AC reading when none was taken: 0.035 Ω·Ah. */
const DC_OVER_AC = 1 / 0.7;
const ASSUMED_AC_OHM_AH = 0.035;
/** Doubt of a link, one sd, Ω; of a DC resistance from an AC reading, and of one nobody read, as a share (default). */
const LINK_SD_OHM = 0.00007;
const READ_SHARE = 0.06;
const UNREAD_SHARE = 0.3;
/** The upper end of a 95 % interval lies so many sd above its middle. */
const UPPER_SDS = 1.96;

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
 * Whether the cells of a bank may be joined in parallel by its bars, before a balance: what they lack comes first ({@link checkJoining} answers
 * for anything, with links of one's own). Peak current `ΔE/(Ra + Rrest + links)` of the cell furthest from the mean,
 * against the others together, compared with 0.5 C of that cell. @param subject the bank they are of
 */
export function checkJoin(cells: readonly BalanceCell[], subject: Subject = WHOLE_BANK): JoinCheck {
	const limitA = JOIN_C_RATE * Math.min(...cells.map((c) => requirePositive(c.capacityAh, 'capacityAh')));
	const reversed = cells.filter((c) => c.polarityOpen);
	if (reversed.length > 0) {
		const verdict = say('join-polarity', 'stop', subject, { cells: reversed.length }, reversed.map(cellSubject));
		return { peakA: null, limitA, verdict };
	}
	const unread = cells.filter((c) => c.restVoltageV === null);
	if (unread.length > 0) {
		const facts = { unread: unread.length, of: cells.length, cRate: JOIN_C_RATE };
		return { peakA: null, limitA, verdict: say('join-unknown', 'stop', subject, facts, unread.map(cellSubject)) };
	}
	const { peakA, cell, differenceV, above, totalOhm } = worstJoin(cells);
	const doubtShare = Math.hypot(
		LINK_SD_OHM / totalOhm,
		cells.some((c) => c.resistanceMohm === null) ? UNREAD_SHARE : READ_SHARE,
		JOIN_METER_SD_V / Math.max(differenceV, JOIN_METER_SD_V)
	);
	const facts = {
		peakA: measured(peakA, peakA * doubtShare),
		withinA: {
			low95: Math.max(0, peakA * (1 - UPPER_SDS * doubtShare)),
			likely: peakA,
			high95: peakA * (1 + UPPER_SDS * doubtShare)
		},
		limitA,
		differenceV,
		above,
		worst: cell.label,
		cRate: JOIN_C_RATE,
		...{ linkOhm: null, firstHourA: null }
	};
	// What may be above the limit is not joined.
	const verdict =
		peakA * (1 + UPPER_SDS * doubtShare) > limitA
			? say('join-refused', 'stop', cellSubject(cell), facts)
			: say('join-checked', 'calm', subject, facts);
	return { peakA, limitA, verdict };
}

function worstJoin(cells: readonly BalanceCell[]): {
	cell: BalanceCell;
	peakA: number;
	differenceV: number;
	/** It rests above the others. */
	above: boolean;
	totalOhm: number;
} {
	return cells
		.map((cell, i) => {
			const others = cells.filter((_, k) => k !== i);
			const conductance = others.reduce((sum, c) => sum + 1 / resistanceOhm(c), 0);
			const othersV = others.reduce((sum, c) => sum + c.restVoltageV! / resistanceOhm(c), 0) / (conductance || 1);
			const differenceV = others.length ? Math.abs(cell.restVoltageV! - othersV) : 0;
			const above = others.length > 0 && cell.restVoltageV! > othersV;
			const othersOhm = conductance ? 1 / conductance : 0;
			const totalOhm = resistanceOhm(cell) + othersOhm + LINK_OHM;
			return { cell, differenceV, above, totalOhm, peakA: differenceV / totalOhm };
		})
		.reduce((a, b) => (b.peakA > a.peakA ? b : a));
}

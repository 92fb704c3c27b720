import { requirePositive } from '../../foundation/errors';
import { WHOLE_BANK, cellSubject, measured, type Subject, type Verdict } from '../../foundation/verdicts';
import { say } from '../verdicts';
import { peakOfJoining, readyToJoin } from './join-check';
import { JOIN_C_RATE, USUAL_LINK_OHM, USUAL_LINK_SD } from './join-limits';
import type { BalanceCell } from '../../foundation/parallel-charge';

export interface JoinCheck {
	/** Largest current through one cell in the first instant of all joined, A; null when a voltage is missing. */
	peakA: number | null;
	limitA: number;
	verdict: Verdict;
}

/**
 * Whether the cells of a bank may be joined in parallel by its bars, before a balance: what they lack comes first. The figures are those of
 * {@link checkJoining}, which answers for anything with links of one's own; here a link is a bar as it usually is.
 * @param cells of one chemistry, AC readings in mΩ; @param subject the bank they are of
 * @throws CoreError `not-positive` for a capacity of 0 or less
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
	const own = cells.length > 1 ? joined(cells) : null;
	const peakA = own?.peakA ?? { low95: 0, likely: 0, high95: 0 };
	const worst = cells.find((c) => c.id === own?.worst.item.id) ?? cells[0]!;
	const othersV = own?.othersV ?? worst.restVoltageV!;
	const facts = {
		peakA: measured(peakA.likely, (peakA.high95 - peakA.low95) / 3.92),
		withinA: peakA,
		limitA,
		differenceV: Math.abs(worst.restVoltageV! - othersV),
		above: worst.restVoltageV! > othersV,
		worst: worst.label,
		cRate: JOIN_C_RATE,
		linkOhm: null,
		firstHourA: null
	};
	// What may be above the limit is not joined.
	const verdict =
		peakA.high95 > limitA
			? say('join-refused', 'stop', cellSubject(worst), facts)
			: say('join-checked', 'calm', subject, facts);
	return { peakA: peakA.likely, limitA, verdict };
}

const joined = (cells: readonly BalanceCell[]) =>
	peakOfJoining(
		readyToJoin({
			linkOhm: USUAL_LINK_OHM,
			items: cells.map(({ id, restVoltageV, capacityAh, resistanceMohm }) => ({
				id,
				restVoltageV: restVoltageV!,
				capacityAh,
				acResistanceMohm: resistanceMohm
			}))
		}),
		USUAL_LINK_OHM,
		USUAL_LINK_SD
	);

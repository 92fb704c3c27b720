import { TESTER_GAIN_SD, DECISION_PROBABILITY, say } from '../verdicts';
import type { ClauseKind } from '../../picture';
import { chanceOfDeciding } from '../sampling';
import { normalCdf } from '../../foundation/statistics';
import { requireNotNegative, requirePositive } from '../../foundation/errors';
import { cellSubject, measured, type Verdict } from '../../foundation/verdicts';
import { RATED_C } from '../../foundation/chemistry';

/** A run repeats no better than this, one sd as a fraction (default). */
export const REPEATS_SD = 0.003;

/**
 * What was run under conditions gentler than the clause's (slower, warmer up to 35 °C, to a lower cut-off) gave at least what the clause
 * would; harsher ones at most. The figure is the one that was run, without a correction and without its doubt (models §5).
 */
export interface CapacityBound {
	side: 'gentler' | 'harsher';
	capacityAh: number;
	sdAh: number;
}

/** How much more the tester of a new lot reads than is true, as far as earlier lots on other testers tell. */
export interface LotEvidence {
	/** As a fraction of the reading, one sd. */
	gain: number;
	sd: number;
	lots: number;
	cells: number;
}

export interface CapacityJudgement {
	outcome: 'short' | 'meets' | 'unsure';
	/** P(true capacity < rated). */
	probabilityShort: number;
	capacityAh: number;
	sdAh: number;
	ratedAh: number;
	testersApartAh: number | null;
	verdict: Verdict;
}

/**
 * Measured against rated: `p = P(true < rated)` for a normal doubt; *short* above 0.95, *meets* below 0.05,
 * otherwise *unsure* with the measurement that would decide.
 * Testers that disagree about the cell by more than it differs from rated decide nothing.
 * @param sdAh one standard deviation, Ah; 0 means exact
 * @param testersApartAh between the testers it was run on, Ah; null with one
 * @param clause the promise it is held against; null: its rating
 * @param bound what was run bounds from one side; null: from none
 * @param lots what earlier lots of the type tell of its tester; null: nothing. The chance takes it, the figure stays as measured
 * @param correction what brought its latest run to standard conditions, and the temperature that was written down
 */
export function judgeCapacity(
	cell: { id: number; label: string },
	capacityAh: number,
	sdAh: number,
	ratedAh: number,
	testersApartAh: number | null = null,
	correction: { fraction: number; temperatureC: number | null; standardC?: number } | null = null,
	clause: ClauseKind | null = null,
	bound: CapacityBound | null = null,
	lots: LotEvidence | null = null
): CapacityJudgement {
	requirePositive(capacityAh, 'capacityAh');
	requireNotNegative(sdAh, 'sdAh');
	requirePositive(ratedAh, 'ratedAh');
	const shortBy = (ah: number, sd: number) => (sd === 0 ? Number(ah < ratedAh) : normalCdf((ratedAh - ah) / sd));
	const pooled = lots === null ? null : withLots(lots);
	const corrected = pooled ? pooled(capacityAh, sdAh) : shortBy(capacityAh, sdAh);
	const asRun = bound ? (pooled ?? shortBy)(bound.capacityAh, bound.sdAh) : corrected;
	// A correction's own doubt never turns a sure shortfall into “cannot tell”, nor a sure pass.
	const probabilityShort =
		bound?.side === 'gentler'
			? Math.max(corrected, asRun)
			: bound?.side === 'harsher'
				? Math.min(corrected, asRun)
				: corrected;
	/** The tester's own doubt is replaced by what earlier lots leave of it; where it is known better than that already, nothing changes. */
	function withLots({ gain, sd }: LotEvidence) {
		return (ah: number, allSd: number) => {
			const ownVar = allSd ** 2 - (TESTER_GAIN_SD * ah) ** 2;
			return ownVar < 0 ? shortBy(ah, allSd) : shortBy(ah / (1 + gain), Math.sqrt(ownVar + (sd * ah) ** 2));
		};
	}
	const disagree = testersApartAh !== null && testersApartAh > Math.abs(capacityAh - ratedAh);
	const outcome = disagree
		? 'unsure'
		: probabilityShort > DECISION_PROBABILITY
			? 'short'
			: probabilityShort < 1 - DECISION_PROBABILITY
				? 'meets'
				: 'unsure';
	const warmth = { short: 'look', meets: 'calm', unsure: 'open' } as const;
	return {
		outcome,
		probabilityShort,
		capacityAh,
		sdAh,
		ratedAh,
		testersApartAh,
		verdict: say(`capacity-${outcome}`, warmth[outcome], cellSubject(cell), {
			capacityAh: measured(capacityAh, sdAh),
			ratedAh,
			probabilityShort,
			decidedBeyond: DECISION_PROBABILITY,
			testersApartAh,
			correctedBy: correction?.fraction ?? null,
			temperatureC: correction?.temperatureC ?? null,
			standardC: correction?.standardC ?? RATED_C,
			clause,
			lotCells: lots?.cells ?? null,
			chanceOfDeciding:
				outcome === 'unsure' && sdAh > 0
					? chanceOfDeciding(capacityAh, sdAh, capacityAh * Math.hypot(TESTER_GAIN_SD, REPEATS_SD), ratedAh)
					: null
		})
	};
}

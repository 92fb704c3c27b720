import { normalCdf, requireNotNegative, requirePositive, type Verdict } from '../shared';

/** Prior doubt of an uncalibrated tester's gain, one sd as a fraction of its reading (default). */
export const TESTER_GAIN_SD = 0.01;
/** A shortfall is called one way or the other beyond this probability. */
export const DECISION_PROBABILITY = 0.95;

export interface CapacityJudgement {
	outcome: 'short' | 'meets' | 'unsure';
	/** P(true capacity < rated). */
	probabilityShort: number;
	verdict: Verdict;
}

/**
 * Measured against rated: `p = P(true < rated)` for a normal doubt; *short* above 0.95, *meets* below 0.05,
 * otherwise *unsure* with the measurement that would decide.
 * @param sdAh one standard deviation, Ah; 0 means exact
 */
export function judgeCapacity(
	cell: { id: number; label: string },
	capacityAh: number,
	sdAh: number,
	ratedAh: number
): CapacityJudgement {
	requirePositive(capacityAh, 'capacityAh');
	requireNotNegative(sdAh, 'sdAh');
	requirePositive(ratedAh, 'ratedAh');
	const probabilityShort = sdAh === 0 ? Number(capacityAh < ratedAh) : normalCdf((ratedAh - capacityAh) / sdAh);
	const outcome =
		probabilityShort > DECISION_PROBABILITY
			? 'short'
			: probabilityShort < 1 - DECISION_PROBABILITY
				? 'meets'
				: 'unsure';
	const difference = capacityAh - ratedAh;
	const figures = `${capacityAh.toFixed(1)} ± ${sdAh.toFixed(1)} Ah against ${ratedAh} rated`;
	const words = {
		short: {
			title: `${cell.label} is short`,
			warmth: 'look' as const,
			next: 'Note it for the supplier report, and match it with care.'
		},
		meets: { title: `${cell.label} meets its rating`, warmth: 'calm' as const, next: null },
		unsure: { title: `${cell.label}: cannot tell yet`, warmth: 'open' as const, next: deciding(difference, sdAh) }
	}[outcome];
	return {
		outcome,
		probabilityShort,
		verdict: {
			code: `capacity-${outcome}`,
			...words,
			finding: `${figures}: ${Math.abs(difference).toFixed(1)} Ah ${difference < 0 ? 'under' : 'over'}.`,
			doubt: `Probability that the true capacity is below rated: ${showProbability(probabilityShort)}.`,
			rule: `Short above ${DECISION_PROBABILITY * 100} %, meets below ${Math.round((1 - DECISION_PROBABILITY) * 100)} %, otherwise unsure.`,
			cellIds: [cell.id]
		}
	};
}

function showProbability(p: number): string {
	if (p > 0.999) return 'over 99.9 %';
	return p < 0.001 ? 'under 0.1 %' : `${(p * 100).toFixed(p > 0.1 && p < 0.9 ? 0 : 1)} %`;
}

function deciding(differenceAh: number, sdAh: number): string {
	const wantedSd = Math.abs(differenceAh) / 1.645;
	return wantedSd < sdAh / 2
		? 'Run it on a second tester: the difference is far inside this tester’s doubt.'
		: `A second run on another tester would decide: it needs a doubt below ${wantedSd.toFixed(1)} Ah.`;
}

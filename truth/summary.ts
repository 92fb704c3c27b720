import { group, mean, rollups } from 'd3-array';
import type { Answer } from './answer';

type Of<K extends Answer['kind']> = Extract<Answer, { kind: K }>;

/** How often 95 % intervals of one quantity held the truth, and how wide they were. */
export interface Coverage {
	of: string;
	/** What is not ordinary there; null in ordinary conditions. */
	stratum: string | null;
	asked: number;
	held: number;
	/** Truth below, and above. */
	below: number;
	above: number;
	/** Mean width, as a share of what it is measured by; open ones left out. */
	width: number;
}

/** Stated probabilities against what came to pass. */
export interface Reliability {
	of: string;
	asked: number;
	brier: number;
	/** What the Brier score would be if every stated probability were exactly right. */
	ideal: number;
	bins: { from: number; to: number; asked: number; stated: number; happened: number }[];
}

/** Something hidden: how often it was called when it was there, and when it was not. */
export interface Detection {
	of: string;
	present: number;
	caught: number;
	absent: number;
	falselyCalled: number;
}

const ofKind = <K extends Answer['kind']>(answers: readonly Answer[], kind: K) => [
	...group(
		answers.filter((a): a is Of<K> => a.kind === kind),
		(a) => a.of
	)
];

/** Within rounding an interval holds its own end. */
const CLOSE = 1e-9;

export const coverages = (answers: readonly Answer[]): Coverage[] =>
	rollups(
		answers.filter((a): a is Of<'interval'> => a.kind === 'interval'),
		coverageOf,
		(a) => a.of,
		(a) => a.stratum ?? null
	).flatMap(([of, strata]) => strata.map(([stratum, found]) => ({ of, stratum, ...found })));

function coverageOf(own: readonly Of<'interval'>[]): Omit<Coverage, 'of' | 'stratum'> {
	const below = own.filter((a) => a.truth < a.low - CLOSE).length;
	const above = own.filter((a) => a.truth > a.high + CLOSE).length;
	const widths = own.map((a) => (a.high - a.low) / a.scale).filter(Number.isFinite);
	return { asked: own.length, held: own.length - below - above, below, above, width: mean(widths) ?? NaN };
}

const BINS = [0, 0.01, 0.05, 0.2, 0.4, 0.6, 0.8, 0.95, 0.99, 1.000001];

export const reliabilities = (answers: readonly Answer[]): Reliability[] =>
	ofKind(answers, 'probability').map(([of, own]) => ({
		of,
		asked: own.length,
		brier: mean(own, (a) => (a.stated - Number(a.happened)) ** 2)!,
		ideal: mean(own, (a) => a.stated * (1 - a.stated))!,
		bins: BINS.slice(1).flatMap((to, i) => {
			const from = BINS[i]!;
			const within = own.filter((a) => a.stated >= from && a.stated < to);
			if (within.length === 0) return [];
			return [
				{
					from,
					to: Math.min(1, to),
					asked: within.length,
					stated: mean(within, (a) => a.stated)!,
					happened: mean(within, (a) => Number(a.happened))!
				}
			];
		})
	}));

export const detections = (answers: readonly Answer[]): Detection[] =>
	ofKind(answers, 'defect').map(([of, own]) => {
		const present = own.filter((a) => a.present);
		const absent = own.filter((a) => !a.present);
		return {
			of,
			present: present.length,
			caught: present.filter((a) => a.called).length,
			absent: absent.length,
			falselyCalled: absent.filter((a) => a.called).length
		};
	});

import { CoreError, intervalOf, normalDraw, requirePositive, seededRandom, type Interval } from '../shared';
import { FADE_PRIOR } from './fade-posterior';

/** What a battery gives with one arrangement, Ah of its smallest group, and how much more with another. */
export interface Gain {
	fromAh: number;
	gainAh: Interval;
	/** Of a group, as rated. */
	ratedAh: number;
	/** The battery ends where its smallest group is down to this share of rated. */
	endFraction: number;
	/** Groups in series, of one price for an Ah of one cell; null: nobody wrote what they cost. */
	series: number;
	pricePerAh: number | null;
}

/** Full cycles a year of a house bank (default). */
const EFC_PER_YEAR = 150;
const DRAWS = 1500;
/** A 95 % interval is so many standard deviations wide. */
const WIDTH_SDS = 3.92;
const SEED = 20_261_205;
/** Nobody looks further ahead, years. */
const MOST_YEARS = 100;

/** Years until the share is lost, where a·√t + b·n·t is: a quadratic in √t. */
function yearsTo(lost: number, a: number, b: number): number {
	if (lost <= 0) return 0;
	const perYear = b * EFC_PER_YEAR;
	const root =
		perYear > 1e-12 ? (-a + Math.sqrt(a * a + 4 * perYear * lost)) / (2 * perYear) : lost / Math.max(a, 1e-12);
	return Math.min(MOST_YEARS, root * root);
}

/**
 * What more Ah of the smallest group are worth: years until the chosen end, by the prior of fade (models §15), 95 %; and money at the price
 * paid for an Ah. Both may be negative.
 * @throws CoreError `not-positive`, `out-of-range`
 */
export function gainWorth({ fromAh, gainAh, ratedAh, endFraction, series, pricePerAh }: Gain): {
	years: Interval;
	money: Interval | null;
} {
	requirePositive(ratedAh, 'ratedAh');
	requirePositive(fromAh, 'fromAh');
	requirePositive(fromAh + gainAh.low95, 'fromAh + gainAh');
	if (!(endFraction > 0 && endFraction < 1))
		throw new CoreError(
			'out-of-range',
			'endFraction',
			`endFraction requires more than 0 and less than 1, got ${endFraction}`
		);
	const random = seededRandom(SEED);
	const gainSd = (gainAh.high95 - gainAh.low95) / WIDTH_SDS;
	const positive = ({ mean, sd }: { mean: number; sd: number }) => Math.max(1e-9, normalDraw(random, mean, sd));
	const years = intervalOf(
		Array.from({ length: DRAWS }, () => {
			const [a, b] = [positive(FADE_PRIOR.a), positive(FADE_PRIOR.b)];
			const toAh = fromAh + normalDraw(random, gainAh.likely, gainSd);
			return yearsTo(toAh / ratedAh - endFraction, a, b) - yearsTo(fromAh / ratedAh - endFraction, a, b);
		})
	);
	if (pricePerAh === null) return { years, money: null };
	const [low95, likely, high95] = [gainAh.low95, gainAh.likely, gainAh.high95].map((ah) => ah * series * pricePerAh);
	return { years, money: { low95: low95!, likely: likely!, high95: high95! } };
}

import { CoreError, requirePositive } from '../errors';
import { intervalOf, normalDraw, seededRandom, type Interval, type Random } from '../statistics';
import { FADE_PRIOR } from './fade-law';

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

/** Full cycles a year of a house bank: as likely any between (default). */
export const EFC_PER_YEAR = { low: 40, high: 250 };
const DRAWS = 1500;
/** A 95 % interval is so many standard deviations wide. */
const WIDTH_SDS = 3.92;
const SEED = 20_261_205;
/** Nobody looks further ahead, years. */
const MAX_YEARS = 100;

interface Course {
	a: number;
	perYear: number;
}

/** A course of fade as the prior has it (models §15), under a use nobody has told. */
function drawCourse(random: Random): Course {
	const positive = ({ mean, sd }: { mean: number; sd: number }): number => {
		const drawn = normalDraw(random, mean, sd);
		return drawn > 0 ? drawn : positive({ mean, sd });
	};
	const efc = EFC_PER_YEAR.low + random() * (EFC_PER_YEAR.high - EFC_PER_YEAR.low);
	return { a: positive(FADE_PRIOR.a), perYear: positive(FADE_PRIOR.b) * efc };
}

/** Years until the share is lost, where a·√t + perYear·t is: a quadratic in √t. */
function yearsTo(lost: number, { a, perYear }: Course): number {
	if (lost <= 0) return 0;
	const root =
		perYear > 1e-12 ? (-a + Math.sqrt(a * a + 4 * perYear * lost)) / (2 * perYear) : lost / Math.max(a, 1e-12);
	return Math.min(MAX_YEARS, root * root);
}

/** Draws of a normal doubt with this interval. */
const drawnIn =
	({ low95, likely, high95 }: Interval, random: Random) =>
	() =>
		normalDraw(random, likely, (high95 - low95) / WIDTH_SDS);

function requireShare(endFraction: number): void {
	if (!(endFraction > 0 && endFraction < 1))
		throw new CoreError(
			'out-of-range',
			'endFraction',
			`endFraction requires more than 0 and less than 1, got ${endFraction}`
		);
}

/**
 * Years until a battery is down to the chosen end, 95 %, by the prior of fade alone (models §15).
 * @param holds what its smallest group holds now, as rated, and where it ends as a share of that
 * @throws CoreError `not-positive`, `out-of-range`
 */
export function yearsToEnd({
	ah,
	ratedAh,
	endFraction
}: {
	ah: Interval;
	ratedAh: number;
	endFraction: number;
}): Interval {
	requirePositive(ratedAh, 'ratedAh');
	requireShare(endFraction);
	const random = seededRandom(SEED);
	const holds = drawnIn(ah, random);
	return intervalOf(Array.from({ length: DRAWS }, () => yearsTo(holds() / ratedAh - endFraction, drawCourse(random))));
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
	requireShare(endFraction);
	const random = seededRandom(SEED);
	const gained = drawnIn(gainAh, random);
	const years = intervalOf(
		Array.from({ length: DRAWS }, () => {
			const course = drawCourse(random);
			return (
				yearsTo((fromAh + gained()) / ratedAh - endFraction, course) - yearsTo(fromAh / ratedAh - endFraction, course)
			);
		})
	);
	if (pricePerAh === null) return { years, money: null };
	const [low95, likely, high95] = [gainAh.low95, gainAh.likely, gainAh.high95].map((ah) => ah * series * pricePerAh);
	return { years, money: { low95: low95!, likely: likely!, high95: high95! } };
}

import { temperatureFactor } from '../chemistry';
import { chiSquareTail } from '../statistics';
import { cycleHistories, type CapacityObservation, type CycleHistory } from './cycle-histories';
import {
	bendAt,
	exchangedAt,
	LATE,
	requireObservations,
	USUAL_LAW,
	type FadeObservation,
	type FadeTerm
} from './fade-law';
import { drawAbove0, normalPosterior, type FadeDraws, type NormalPosterior } from './fade-posterior';

/** One way things may have gone: how it was cycled where nobody counted, what bent its course, how its tests scatter. */
export interface FadeCourse {
	/** How likely it is among the others; all sum to 1. */
	weight: number;
	/** Whether a bend began before the last test, or it falls ever faster. */
	fallsFaster: boolean;
	/** The observations, cycles filled in, in rising age; and cycles a year from the last on. */
	observations: FadeObservation[];
	efcPerYear: number;
	draws: FadeDraws;
}

export interface FadeCourses {
	courses: FadeCourse[];
	/** Whether the tests left the band that the law foretold: doubts are then wider by `noiseFactor`, and odder courses are admitted. */
	misfit: boolean;
	noiseFactor: number;
	/** The test that fits the law least; null without tests. */
	oddest: { ageYears: number; surprise: number } | null;
}

/** What may have happened to a battery beside its ageing. */
interface Bend {
	prior: number;
	terms: readonly FadeTerm[];
	/** From this age on it falls faster; null: never. */
	fromYears: number | null;
}

/** A bend is looked for with this chance, from new to so long after the last test (default): no law says when one begins. */
const BENDS = { prior: 0.25, pastYears: 5, everyYears: 0.25, most: 60 };
/** Tests nobody told the temperature of may be moved by seasons, one sd, with this chance (default). */
const SEASONS = { prior: 0.5, sd: 0.011 };
/** Where the tests leave the band: it falls ever faster, or a cell was exchanged and nobody wrote it down. */
const ODD = { late: 0.2, step: 0.2 };
/** The fit is doubted when so little chance would give so much scatter, or the last two tests both leave their band. */
const MISFIT_P = 0.02;
const BAND_SDS = 1.96;

const squares = (values: readonly number[]) => values.reduce((sum, v) => sum + v * v, 0);

function isMisfit(surprises: readonly number[]): boolean {
	if (surprises.length === 0) return false;
	const lastTwo = surprises.slice(-2);
	const bothLeft = surprises.length > 2 && lastTwo.every((s) => Math.abs(s) > BAND_SDS);
	return bothLeft || chiSquareTail(squares(surprises), surprises.length) < MISFIT_P;
}

/** Brought to 25 °C where the temperature is told. */
function atRatedTemperature(o: CapacityObservation): CapacityObservation {
	if (o.temperatureC == null) return o;
	const { factor, relativeSd } = temperatureFactor(o.temperatureC);
	return {
		...o,
		capacityAh: o.capacityAh * factor,
		sdAh: Math.hypot(o.sdAh * factor, o.capacityAh * factor * relativeSd)
	};
}

/** The usual law with what is known to have happened, and what may bend it. */
function bendsOf(observations: readonly CapacityObservation[], exchanges: readonly number[], isOdd: boolean): Bend[] {
	const known = [...USUAL_LAW.slice(0, -1), ...exchanges.flatMap(exchangedAt), USUAL_LAW.at(-1)!];
	if (observations.length === 0) return [{ prior: 1, terms: known, fromYears: null }];
	const withTerms = (...extra: FadeTerm[]) => [...known.slice(0, -1), ...extra, known.at(-1)!];
	const untilYears = observations.at(-1)!.ageYears + BENDS.pastYears;
	const starts = Math.min(BENDS.most, Math.ceil(untilYears / BENDS.everyYears));
	const bent = Array.from({ length: starts }, (_, i): Bend => {
		const fromYears = ((i + 0.5) / starts) * untilYears;
		return { prior: BENDS.prior / starts, terms: withTerms(bendAt(fromYears)), fromYears };
	});
	const straight: Bend = { prior: 1 - BENDS.prior, terms: known, fromYears: null };
	if (!isOdd) return [straight, ...bent];
	const every = Math.ceil(observations.length / BENDS.most);
	const gaps = observations
		.slice(1)
		.map((o, i) => (o.ageYears + observations[i]!.ageYears) / 2)
		.filter((_, i) => i % every === 0);
	return [
		{ ...straight, prior: straight.prior - ODD.late - (gaps.length ? ODD.step : 0) },
		...bent,
		{ prior: ODD.late, terms: withTerms(LATE), fromYears: 0 },
		...gaps.map((at) => ({ prior: ODD.step / gaps.length, terms: withTerms(...exchangedAt(at)), fromYears: null }))
	];
}

/** A course before it is drawn. */
interface Candidate extends Omit<FadeCourse, 'weight' | 'draws' | 'fallsFaster'> {
	prior: number;
	bend: Bend;
	posterior: NormalPosterior;
}

const filledIn = (observations: readonly CapacityObservation[], history: CycleHistory, sdAh: number, noise: number) =>
	observations.map((o) => ({
		...o,
		efc: o.efc ?? history.efcAt(o.ageYears),
		sdAh: noise * (o.temperatureC == null ? Math.hypot(o.sdAh, sdAh) : o.sdAh)
	}));

/**
 * The ways a battery may have faded, weighed by how well they foretell its tests (models §15). Always admitted: a bend after which it
 * falls faster, up to five years ahead; seasons, where nobody told the temperature; changes of use, where nobody counted cycles; a step
 * up at each dated exchange of a cell. Where the tests leave the band of the law, doubts are widened by what is left (Birge 1932), too.
 * @param given any order @param efcPerYear cycles a year from the last test on; null when nobody knows
 * @param exchanges ages at which cells were exchanged, years, any order
 * @throws CoreError `not-positive`, `negative`, `not-a-number`
 */
export function fadeCourses(
	ratedAh: number,
	given: readonly CapacityObservation[],
	efcPerYear: number | null,
	exchanges: readonly number[] = []
): FadeCourses {
	requireObservations(ratedAh, given);
	const inAge = given.map(atRatedTemperature).sort((a, b) => a.ageYears - b.ageYears);
	const histories = cycleHistories(inAge, efcPerYear);
	const isUntold = inAge.some((o) => o.temperatureC == null);
	const scatters = isUntold
		? [0, SEASONS.sd].map((sd, i) => ({ sdAh: sd * ratedAh, prior: i === 0 ? 1 - SEASONS.prior : SEASONS.prior }))
		: [{ sdAh: 0, prior: 1 }];
	const by = (bends: readonly Bend[], noise: number, own = scatters): Candidate[] =>
		histories.flatMap((history) =>
			own.flatMap((scatter) => {
				const observations = filledIn(inAge, history, scatter.sdAh, noise);
				return bends.map((bend) => ({
					bend,
					observations,
					efcPerYear: history.efcPerYear,
					prior: history.prior * scatter.prior * bend.prior,
					posterior: normalPosterior(ratedAh, observations, bend.terms)
				}));
			})
		);
	const [straight, ...bent] = bendsOf(inAge, exchanges, false);
	const plain = by([straight!], 1);
	const { surprises } = likeliest(by([straight!], 1, scatters.slice(0, 1))).posterior;
	const misfit = isMisfit(surprises);
	const oddAt = surprises.reduce((most, s, i) => (Math.abs(s) > Math.abs(surprises[most]!) ? i : most), 0);
	const oddest = inAge.length ? { ageYears: inAge[oddAt]!.ageYears, surprise: surprises[oddAt]! } : null;
	if (!misfit) return { courses: drawn([...plain, ...by(bent, 1)]), misfit, noiseFactor: 1, oddest };
	const odd = bendsOf(inAge, exchanges, true);
	const left = likeliest(by(odd, 1)).posterior.surprises;
	const noiseFactor = Math.max(1, Math.sqrt(squares(left) / left.length));
	return { courses: drawn(by(odd, noiseFactor)), misfit, noiseFactor, oddest };
}

const likeliest = (candidates: readonly Candidate[]): Candidate =>
	candidates.reduce((best, one) => (one.posterior.logEvidence > best.posterior.logEvidence ? one : best));

/** Courses are picked as often as they are likely, so many picks in all, and each pick is drawn so often; a few draws weigh one. */
const DRAWS = { picks: 240, each: 12, toWeigh: 12 };
/** Courses less likely than this against the likeliest are not looked at. */
const NEGLIGIBLE = 1e-4;

function drawn(candidates: readonly Candidate[]): FadeCourse[] {
	const logs = candidates.map((c) => Math.log(c.prior) + c.posterior.logEvidence);
	const most = logs.reduce((a, b) => Math.max(a, b), -Infinity);
	const kept = candidates
		.map((candidate, i) => ({ candidate, log: logs[i]! - most }))
		.filter(({ log }) => log > Math.log(NEGLIGIBLE))
		.map(({ candidate, log }) => ({
			candidate,
			log: log + drawAbove0(candidate.posterior, DRAWS.toWeigh).logAbove0
		}));
	const likeliestLog = kept.reduce((top, { log }) => Math.max(top, log), -Infinity);
	// Against the likeliest: tests that contradict every course leave none of them nothing.
	const likelyOf = (log: number) => Math.exp(log - likeliestLog);
	const all = kept.reduce((sum, { log }) => sum + likelyOf(log), 0);
	let reached = 0;
	return kept.flatMap(({ candidate: { bend, observations, efcPerYear, posterior }, log }) => {
		const before = Math.round((reached / all) * DRAWS.picks);
		reached += likelyOf(log);
		const picks = Math.round((reached / all) * DRAWS.picks) - before;
		if (picks === 0) return [];
		return {
			weight: picks / DRAWS.picks,
			fallsFaster: bend.fromYears !== null && bend.fromYears < (observations.at(-1)?.ageYears ?? 0),
			observations,
			efcPerYear,
			draws: drawAbove0(posterior, picks * DRAWS.each)
		};
	});
}

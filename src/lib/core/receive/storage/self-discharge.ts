import { max } from 'd3-array';
import { HYSTERESIS_V, drawnCurve, restVoltageCurve, type Chemistry } from '../../foundation/chemistry';
import { CoreError, requireFinite, requireNotNegative, requirePositive } from '../../foundation/errors';
import { MONTH_DAYS_MEAN } from '../../foundation/time';
import { normalCdf, normalDraw, seededRandom, type Interval } from '../../foundation/statistics';

/** A rest voltage of a cell that nobody charged or discharged between its readings. */
export interface StoredReading {
	/** ISO 8601. */
	at: string;
	restVoltageV: number;
	/** One standard deviation of the meter, V. */
	sdV: number;
	temperatureC?: number | null;
}

/** Charged full, left alone, charged full again the same way: what went in. */
export interface Refill {
	ah: number;
	sdAh: number;
	/** Between the two. */
	days: number;
}

export interface Leakage {
	/** Share of the capacity lost in 30.4 days, %; null where nothing can be told. */
	percentPerMonth: Interval | null;
	/** Why there is none. */
	why: 'too-few' | 'no-time' | 'relaxing' | 'flat' | null;
	elapsedDays: number;
}

const DAY_MS = 86_400_000;
const INTERVAL_SDS = 1.96;
/**
 * A refill counts more than was lost, as a share of the capacity: charging is not quite free, and the second end of charge lies a
 * little higher; with its doubt, one sd (default).
 */
const REFILL_TOO_MUCH = { share: 0.0015, sd: 0.002 };
/** Rest voltage changes so much a K, one sd: it has either sign (default); and a place nobody took the temperature of, K. */
const PER_K_SD_V = 0.00015;
const UNKNOWN_K = 5;
/** Rates looked at, % a month: fine where healthy cells are. */
const RATES = [0, ...Array.from({ length: 160 }, (_, i) => 0.05 * Math.exp((i / 159) * Math.log(4000)))];
const DRAWS = 120;
const CHARGE_STEPS = 120;
const SEED = 20_261_127;
/** Rates this much less likely than the likeliest are ruled out: half of the 95 % point of χ² with one degree. */
const RULED_OUT = 1.92;
/** Above so many V over the plateau a cell that was full still falls by itself, for weeks; it holds at least so much then. */
const ABOVE_PLATEAU_V = 0.012;
const PLATEAU_SOC = 0.9;
const FULL_AT_LEAST = 0.93;
/** Nothing is known of a cell whose interval ends beyond this, % a month. */
const NO_BOUND = 100;
const MIN_DAYS = 0.5;

/** By what a refill took. @throws CoreError `not-positive`, `negative`, `not-a-number` */
export function leakageByRefill(capacityAh: number, { ah, sdAh, days }: Refill): Leakage {
	requirePositive(capacityAh, 'capacityAh');
	requireFinite(ah, 'refill.ah');
	requireNotNegative(sdAh, 'refill.sdAh');
	requirePositive(days, 'refill.days');
	const perAh = (100 / capacityAh) * (MONTH_DAYS_MEAN / days);
	const lostAh = ah - REFILL_TOO_MUCH.share * capacityAh;
	const half = INTERVAL_SDS * Math.hypot(sdAh, REFILL_TOO_MUCH.sd * capacityAh);
	const at = (value: number) => Math.max(0, value * perAh);
	return {
		percentPerMonth: { low95: at(lostAh - half), likely: at(lostAh), high95: at(lostAh + half) },
		why: null,
		elapsedDays: days
	};
}

interface Timed {
	months: number;
	volts: number;
	sdV: number;
	/** Above the plateau, and only known to be nearly full. */
	isRelaxing: boolean;
}

function timed(readings: readonly StoredReading[], chemistry: Chemistry): Timed[] {
	const topV = restVoltageCurve(chemistry).at(PLATEAU_SOC) + ABOVE_PLATEAU_V;
	const warm = readings.flatMap((r) => (r.temperatureC == null ? [] : [r.temperatureC]));
	const meanC = warm.length ? warm.reduce((a, b) => a + b, 0) / warm.length : 0;
	const sorted = readings
		.map((r, i) => {
			const ms = Date.parse(r.at);
			if (!Number.isFinite(ms))
				throw new CoreError('date', `readings.${i}.at`, `readings.${i}.at requires a date and time, got ${r.at}`);
			requireFinite(r.restVoltageV, `readings.${i}.restVoltageV`);
			requireNotNegative(r.sdV, `readings.${i}.sdV`);
			return { ms, r };
		})
		.sort((a, b) => a.ms - b.ms);
	return sorted.map(({ ms, r }) => ({
		months: (ms - sorted[0]!.ms) / DAY_MS / MONTH_DAYS_MEAN,
		volts: r.restVoltageV,
		sdV: Math.hypot(
			Math.max(1e-4, r.sdV),
			PER_K_SD_V * (r.temperatureC == null ? UNKNOWN_K : Math.abs(r.temperatureC - meanC))
		),
		isRelaxing: r.restVoltageV > topV
	}));
}

/**
 * By rest voltages apart in time. The curve's own doubt and the hysteresis are the same for all readings of a cell that lay still, so
 * each drawn world keeps its own through all of them; the meter and the temperature are drawn anew. A rate is ruled out where its
 * likelihood, over every charge the cell may have begun with, is 1.92 below the best. A cell still falling from full tells only that it
 * was nearly full.
 * @param readings any order; true elapsed time is taken from them
 * @throws CoreError `date`, `not-a-number`, `negative`
 */
export function leakageByReadings(chemistry: Chemistry, readings: readonly StoredReading[]): Leakage {
	const list = timed(readings, chemistry);
	const elapsedDays = (list.at(-1)?.months ?? 0) * MONTH_DAYS_MEAN;
	const nothing = (why: NonNullable<Leakage['why']>): Leakage => ({ percentPerMonth: null, why, elapsedDays });
	if (list.length < 2) return nothing('too-few');
	if (elapsedDays < MIN_DAYS) return nothing('no-time');
	if (list.every((r) => r.isRelaxing)) return nothing('relaxing');
	const likelihood = rateLikelihood(chemistry, list);
	const best = max(likelihood)!;
	const kept = RATES.flatMap((rate, i) => (likelihood[i]! >= best - RULED_OUT ? [{ rate, i }] : []));
	const [low, high] = [kept[0]!, kept.at(-1)!];
	const edge = (inside: { rate: number; i: number }, step: 1 | -1): number => {
		const outside = RATES[inside.i + step];
		if (outside === undefined) return inside.rate;
		const [a, b] = [likelihood[inside.i]! - (best - RULED_OUT), likelihood[inside.i + step]! - (best - RULED_OUT)];
		return inside.rate + (outside - inside.rate) * Math.min(1, a / (a - b));
	};
	const high95 = edge(high, 1);
	if (high95 > NO_BOUND) return nothing('flat');
	const low95 = low.i === 0 ? 0 : edge(low, -1);
	const likely = weightedMedian(likelihood.map((l) => Math.exp(l - best)));
	return {
		percentPerMonth: { low95, likely: Math.min(high95, Math.max(low95, likely)), high95 },
		why: null,
		elapsedDays
	};
}

/** The rate below and above which half of the likelihood lies, each rate by the width it stands for. */
function weightedMedian(weights: readonly number[]): number {
	const widths = RATES.map((r, i) => ((RATES[i + 1] ?? r) - (RATES[i - 1] ?? r)) / 2);
	const total = weights.reduce((sum, w, i) => sum + w * widths[i]!, 0);
	let sum = 0;
	for (const [i, w] of weights.entries()) {
		sum += w * widths[i]!;
		if (sum >= total / 2) return RATES[i]!;
	}
	return RATES.at(-1)!;
}

/** Log-likelihood of each of {@link RATES}, over drawn worlds and every charge to begin with. */
function rateLikelihood(chemistry: Chemistry, list: readonly Timed[]): number[] {
	const random = seededRandom(SEED);
	const typical = restVoltageCurve(chemistry);
	const loopV = HYSTERESIS_V[chemistry];
	const sums = RATES.map(() => 0);
	const least = list.map((r) => Math.log(r.sdV));
	for (let d = 0; d < DRAWS; d++) {
		const curve = drawnCurve(typical, random);
		const shift = (2 * random() - 1) * loopV * Math.exp(normalDraw(random, 0, 0.35));
		const starts = startsOf(
			curve.socOf(list[0]!.volts - shift - 4 * list[0]!.sdV),
			curve.socOf(list[0]!.volts - shift + 4 * list[0]!.sdV),
			list[0]!.isRelaxing
		);
		for (const [i, rate] of RATES.entries()) {
			let ofRate = 0;
			for (const start of starts.socs) {
				let log = 0;
				for (const [k, r] of list.entries()) {
					const soc = start - (rate / 100) * r.months;
					log += r.isRelaxing
						? Math.log(Math.max(1e-12, normalCdf((soc - FULL_AT_LEAST) / 0.01)))
						: -0.5 * ((r.volts - shift - curve.voltsAt(soc)) / r.sdV) ** 2 - least[k]!;
					if (log < -700) break;
				}
				ofRate += Math.exp(log + least.reduce((a, b) => a + b, 0));
			}
			sums[i]! += ofRate * starts.widthSoc;
		}
	}
	return sums.map((s) => Math.log(Math.max(1e-300, s)));
}

/** Charges a cell may have begun with, by its first reading in this world. */
function startsOf(low: number, high: number, isRelaxing: boolean): { socs: number[]; widthSoc: number } {
	const [from, to] = isRelaxing ? [FULL_AT_LEAST - 0.02, 1.02] : [low, high];
	const width = Math.max(1e-5, to - from);
	const count = Math.max(8, Math.min(CHARGE_STEPS, Math.round(width / 0.004)));
	return { socs: Array.from({ length: count }, (_, i) => from + (width * (i + 0.5)) / count), widthSoc: width / count };
}

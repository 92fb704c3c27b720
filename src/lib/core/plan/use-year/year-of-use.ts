import { quantileSorted } from 'd3-array';
import { endIfKept, type FadeInput } from '../../foundation/fade';
import { intervalOf, normalDraw, seededRandom, type Interval } from '../../foundation/statistics';
import { DAYS, MONTH_OF_DAY } from '../sun';
import { batteryYear, endsEmpty, type BatteryState, type BatteryYear } from './battery-year';
import { clearnessDraws } from './clearness';
import { USUAL_YEARS, checkYearInput, type YearInput } from './input';
import { panelYear } from './panels';
import { prepareYear } from './prepare';

/** A year of use, drawn many times. Figures a year, means over the years drawn unless an interval. */
export interface YearOfUse {
	/** Of the days of a year: those that end at the cut-off. Interval over the years. */
	daysEmptyShare: Interval;
	kwhMissing: number;
	generatorHours: number;
	/** Full cycles of what is usable. */
	efcPerYear: number;
	hoursFull: number;
	hoursEmpty: number;
	hoursTooCold: number;
	/** Until 80 % of the new capacity; null where nothing is known of the chemistry's ageing. */
	yearsToEnd: Interval | null;
	/** A day on the horizontal by month, of a clear sky. */
	clearSkyKwhPerM2: number[];
	/** Worst of all years. */
	balanceResidual: number;
	/** Longest run of days that end empty in a year. */
	longestSpellDays: Interval;
	/** State of charge at the end of each day of the year: 5, 50 and 95 %. */
	bandByDay: { low: number; middle: number; high: number }[];
	/** Share of its days that end empty, by month. */
	emptyByMonth: number[];
	/** What was reckoned with, given or usual. */
	sunHours: readonly number[];
	isUsualSun: boolean;
	airC: readonly number[];
	meanSoc: number;
	kwhFromPanels: number;
	kwhWanted: number;
}

/** What a caller from outside is told. */
export type YearAnswer = Pick<
	YearOfUse,
	| 'daysEmptyShare'
	| 'kwhMissing'
	| 'generatorHours'
	| 'efcPerYear'
	| 'hoursFull'
	| 'hoursEmpty'
	| 'hoursTooCold'
	| 'yearsToEnd'
	| 'clearSkyKwhPerM2'
	| 'balanceResidual'
>;

export const answerOf = (year: YearOfUse): YearAnswer => ({
	daysEmptyShare: year.daysEmptyShare,
	kwhMissing: year.kwhMissing,
	generatorHours: year.generatorHours,
	efcPerYear: year.efcPerYear,
	hoursFull: year.hoursFull,
	hoursEmpty: year.hoursEmpty,
	hoursTooCold: year.hoursTooCold,
	yearsToEnd: year.yearsToEnd,
	clearSkyKwhPerM2: year.clearSkyKwhPerM2,
	balanceResidual: year.balanceResidual
});

/** How far a place may be from the usual sun hours of its latitude, one sd of the logarithm (default). */
const USUAL_SUN_SD = 0.15;
/** Panels, wiring and controller give more or less than 0.93 of what they should, one sd of the logarithm (default). */
const YIELD_SD = 0.05;
const USUAL_SEED = 1;
const END_FRACTION = 0.8;
/** Mean charge at which the usual fade is usual (default). */
const USUAL_MEAN_SOC = 0.75;

/** Lets a caller follow, and end it by throwing. */
export type YearProgress = (done: number, of: number) => void;

/**
 * Draws years of weather and counts the battery through them, hour by hour; the first is lived through and not counted.
 * Models §18: Haurwitz, Erbs, Liu & Jordan; the weather of each year goes on from day to day as it may there.
 * @throws CoreError as `checkYearInput`, `above-clear-sky`
 */
export function yearOfUse(input: YearInput, onProgress: YearProgress = () => undefined): YearOfUse {
	checkYearInput(input);
	const prepared = prepareYear(input);
	const random = seededRandom(input.seed ?? USUAL_SEED);
	const drawClearness = clearnessDraws(prepared.clearness, random);
	const count = input.years ?? USUAL_YEARS;
	// Of a place that is only known by its latitude nobody knows how sunny it is: each year is drawn at another such place.
	const sunnier = () => Math.exp(normalDraw(random, 0, input.sunHours ? YIELD_SD : Math.hypot(USUAL_SUN_SD, YIELD_SD)));
	const panelW = new Float64Array(prepared.demandW.length);
	const state: BatteryState = { storedWh: input.battery.usableWh, generatorOn: false };
	const years: BatteryYear[] = [];
	for (let y = -1; y < count; y++) {
		const place = sunnier();
		panelYear(
			prepared,
			drawClearness().map((clear) => Math.min(1, clear * place)),
			panelW
		);
		const year = batteryYear(input, prepared, panelW, state);
		if (y < 0) continue;
		years.push(year);
		onProgress(y + 1, count);
	}
	const meanOf = (of: (year: BatteryYear) => number) => years.reduce((sum, year) => sum + of(year), 0) / count;
	const efcPerYear = meanOf((y) => y.dischargedWh) / input.battery.usableWh;
	const meanSoc = meanOf((y) => y.meanSoc);
	const kwh = (of: (year: BatteryYear) => number) => meanOf(of) / 1000;
	return {
		daysEmptyShare: intervalOf(years.map((y) => y.endOfDaySoc.filter(endsEmpty).length / DAYS)),
		kwhMissing: kwh((y) => y.missingWh),
		generatorHours: meanOf((y) => y.generatorHours),
		efcPerYear,
		hoursFull: meanOf((y) => y.hoursFull),
		hoursEmpty: meanOf((y) => y.hoursEmpty),
		hoursTooCold: meanOf((y) => y.hoursTooCold),
		yearsToEnd: input.battery.chemistry === 'LFP' ? yearsToEnd(efcPerYear, meanSoc) : null,
		clearSkyKwhPerM2: prepared.sun.clearSkyKwhPerM2,
		balanceResidual: Math.max(...years.map((y) => y.residual)),
		longestSpellDays: intervalOf(years.map((y) => longestSpell(y.endOfDaySoc))),
		bandByDay: bandByDay(years),
		emptyByMonth: emptyByMonth(years),
		sunHours: prepared.sunHours,
		isUsualSun: !input.sunHours,
		airC: prepared.airC,
		meanSoc,
		kwhFromPanels: kwh((y) => y.panelWh),
		kwhWanted: kwh((y) => y.servedWh + y.missingWh)
	};
}

function yearsToEnd(efcPerYear: number, meanSoc: number): Interval {
	const fresh: FadeInput = { ratedAh: 100, endFraction: END_FRACTION, observations: [], efcPerYear };
	const { low95, median, high95 } = endIfKept(fresh, { meanSoc: { now: USUAL_MEAN_SOC, then: Math.min(1, meanSoc) } });
	return { low95, likely: median, high95 };
}

function longestSpell(endOfDaySoc: Float64Array): number {
	let [longest, own] = [0, 0];
	for (const soc of endOfDaySoc) {
		own = endsEmpty(soc) ? own + 1 : 0;
		longest = Math.max(longest, own);
	}
	return longest;
}

function bandByDay(years: readonly BatteryYear[]): YearOfUse['bandByDay'] {
	return Array.from({ length: DAYS }, (_, day) => {
		const sorted = years.map((y) => y.endOfDaySoc[day]!).sort((a, b) => a - b);
		const at = (p: number) => quantileSorted(sorted, p)!;
		return { low: at(0.05), middle: at(0.5), high: at(0.95) };
	});
}

function emptyByMonth(years: readonly BatteryYear[]): number[] {
	const [empty, days] = [Array<number>(12).fill(0), Array<number>(12).fill(0)];
	for (const { endOfDaySoc } of years)
		endOfDaySoc.forEach((soc, day) => {
			const month = MONTH_OF_DAY[day]!;
			days[month]!++;
			if (endsEmpty(soc)) empty[month]!++;
		});
	return empty.map((n, m) => n / days[m]!);
}

import { normalCdf, normalDraw, type Random } from '../../foundation/statistics';
import { MONTH_DAYS } from '../sun';

/** Day-to-day correlation of the weather: of one place and year anything between, as nobody knows how long grey spells last there (default). */
const FROM_DAY_TO_DAY = { least: 0.2, most: 0.9 };
/** How much days differ: the variance of a day's share of a clear sky is m·(1 − m) over 1 + this (default). */
const CONCENTRATION = 2.5;
/** The darkest day has so much of a clear sky. */
const DARKEST = 0.05;
const TABLE = 256;
/** Cells the density is summed over; near its ends it may rise without bound. */
const CELLS = 4000;

/** Quantiles of a day's share of a clear sky whose mean is given, at TABLE + 1 even probabilities. */
function quantiles(mean: number): Float64Array {
	const table = new Float64Array(TABLE + 1);
	const within = (mean - DARKEST) / (1 - DARKEST);
	// Always dark, or always clear: no room for weather.
	if (within < 0.01 || within > 0.995) return table.fill(mean);
	const [a, b] = [within * CONCENTRATION, (1 - within) * CONCENTRATION];
	const weights = new Float64Array(CELLS);
	const at = (i: number) => (1 - Math.cos((Math.PI * (i + 0.5)) / CELLS)) / 2;
	let all = 0;
	for (let i = 0; i < CELLS; i++) {
		const x = at(i);
		// A beta density on cells that grow finer to both ends.
		weights[i] = Math.exp((a - 0.5) * Math.log(x) + (b - 0.5) * Math.log(1 - x));
		all += weights[i]!;
	}
	let [sum, cell] = [0, 0];
	for (let k = 0; k <= TABLE; k++) {
		while (cell < CELLS - 1 && sum + weights[cell]! < (all * k) / TABLE) sum += weights[cell++]!;
		table[k] = DARKEST + (1 - DARKEST) * at(cell);
	}
	return withMean(table, mean);
}

/** Shares moved a little so that their mean is exactly the one wanted, and none is above a clear sky. */
function withMean(table: Float64Array, wanted: number): Float64Array {
	for (let round = 0; round < 8; round++) {
		const mean = (table.reduce((s, v) => s + v, 0) - (table[0]! + table[TABLE]!) / 2) / TABLE;
		for (let k = 0; k <= TABLE; k++) table[k] = Math.min(1, (table[k]! * wanted) / mean);
	}
	return table;
}

/** Draws how clear each day of a year is; the weather goes on from one year into the next. */
export function clearnessDraws(meanByMonth: readonly number[], random: Random): () => Float64Array {
	const tables = meanByMonth.map(quantiles);
	let state = normalDraw(random, 0, 1);
	return () => {
		const memory = FROM_DAY_TO_DAY.least + random() * (FROM_DAY_TO_DAY.most - FROM_DAY_TO_DAY.least);
		const fresh = Math.sqrt(1 - memory ** 2);
		const year = new Float64Array(365);
		let day = 0;
		MONTH_DAYS.forEach((days, month) => {
			const table = tables[month]!;
			for (let d = 0; d < days; d++, day++) {
				state = memory * state + fresh * normalDraw(random, 0, 1);
				const place = Math.min(TABLE - 1e-9, normalCdf(state) * TABLE);
				const k = Math.floor(place);
				year[day] = table[k]! + (place - k) * (table[k + 1]! - table[k]!);
			}
		});
		return year;
	};
}

import { sum } from 'd3-array';
import { studentHalf95, type Interval } from '../statistics';

/** A display of hundredths, a meter and two looks a moment apart: of one gap between them, one sd, V (default). */
const GAP_SD_V = 0.004;
/** What that is worth beside the looks' own spread, degrees of freedom (default). */
const GAP_DEGREES = 4;
/** The meter at the cells, alike at every look, one sd, V (default). */
const METER_SD_V = 0.001;
/** Currents have to differ by so much, as a factor, before they tell leads from a display (default). */
const UNLIKE_CURRENTS = 2;
/** One figure of two may be mistyped. */
const MIN_LOOKS = 3;
/** No display is off by more: a figure was read or typed wrong, V (default). */
const MAX_OFF_V = 0.3;

/** One look at a supply and the cells it charges. */
interface Look {
	supplyV: number | null;
	cellV: number | null;
	supplyA: number;
}

/** What stands between what a supply shows and what the cells read: its leads, by the amperes, and its display, whatever flows. */
export interface BetweenSupplyAndCells {
	/** What the display adds to what the supply gives, V. */
	displayV: Interval;
	/** Of leads and clamps, Ω; never below none. */
	leadOhm: number;
}

/**
 * A straight line through the gaps by their currents (least squares): its slope are the leads, what is left at no current is the display.
 * @returns null while there are not three readings of both voltages at currents that differ enough, and where no display is off by as much as they say
 */
export function betweenSupplyAndCells(readings: readonly Look[]): BetweenSupplyAndCells | null {
	const gaps = readings.flatMap(({ supplyV, cellV, supplyA }) =>
		supplyV !== null && cellV !== null && supplyA > 0 ? [{ a: supplyA, v: supplyV - cellV }] : []
	);
	const amps = gaps.map((g) => g.a);
	if (gaps.length < MIN_LOOKS || Math.max(...amps) < UNLIKE_CURRENTS * Math.min(...amps)) return null;
	const n = gaps.length;
	const [meanA, meanV] = [sum(amps) / n, sum(gaps, (g) => g.v) / n];
	const sxx = sum(amps, (a) => (a - meanA) ** 2);
	const slope = sum(gaps, (g) => (g.a - meanA) * (g.v - meanV)) / sxx;
	const leadOhm = Math.max(0, slope);
	const restV = gaps.map((g) => g.v - meanV - leadOhm * (g.a - meanA));
	const degrees = GAP_DEGREES + n - 2;
	const sdV = Math.sqrt((GAP_DEGREES * GAP_SD_V ** 2 + sum(restV, (v) => v * v)) / degrees);
	const likely = meanV - leadOhm * meanA;
	if (Math.abs(likely) > MAX_OFF_V) return null;
	const half = Math.hypot(studentHalf95(degrees) * sdV * Math.sqrt(1 / n + meanA ** 2 / sxx), 1.96 * METER_SD_V);
	return { displayV: { low95: likely - half, likely, high95: likely + half }, leadOhm };
}

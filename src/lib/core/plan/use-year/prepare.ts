import { CHEMISTRY_FIGURES } from '../../foundation/chemistry';
import { CoreError } from '../../foundation/errors';
import { HOURS, MONTH_DAYS, MONTH_OF_DAY, sunYear, usualAirC, usualSunHours, viewOf, type SunYear } from '../sun';
import type { Hourly, YearInput } from './input';

/** What does not change from year to year. Arrays by hour are of 8760, 1 January first. */
export interface PreparedYear {
	sun: SunYear;
	views: { w: number; sky: number; ground: number }[];
	sunHours: readonly number[];
	/** Mean share of a clear sky by month. */
	clearness: number[];
	airC: readonly number[];
	/** Direct current wanted, and brought by alternator and shore, W. */
	demandW: Float64Array;
	sourceW: Float64Array;
	isTooCold: boolean[];
}

/** A month may have a little more sun than the clear sky of the formula. */
const ROUNDING = 1.0001;

/** The year drawn begins on a Monday: which one it is moves nothing that is a mean over years. */
const hoursOf = (list: readonly Hourly[], factor: (index: number) => number): Float64Array => {
	const w = new Float64Array(HOURS);
	list.forEach((one, index) => {
		for (let day = 0; day < MONTH_OF_DAY.length; day++) {
			if (one.months?.length && !one.months.includes(MONTH_OF_DAY[day]! + 1)) continue;
			if (one.days?.length && !one.days.includes((day % 7) + 1)) continue;
			for (const hour of one.hours) w[day * 24 + hour]! += one.w * factor(index);
		}
	});
	return w;
};

/** @throws CoreError `above-clear-sky` for a month with more sun than a clear sky has */
export function prepareYear(input: YearInput): PreparedYear {
	const { latitudeDeg, fields, loads, inverter, standbyW, battery } = input;
	const sun = sunYear(latitudeDeg, fields);
	const clear = sun.clearSkyKwhPerM2;
	const sunHours = input.sunHours ?? usualSunHours(latitudeDeg, clear);
	sunHours.forEach((hours, month) => {
		if (hours > clear[month]! * ROUNDING)
			throw new CoreError(
				'above-clear-sky',
				`sunHours.${month}`,
				`sunHours.${month} requires at most ${clear[month]!.toFixed(2)} kWh/m² a day, a clear sky on the horizontal at this latitude; got ${hours}. Is it the tilted plane’s figure, or another place’s?`
			);
	});
	const airC = input.airC ?? usualAirC(latitudeDeg);
	const demandW = hoursOf(loads, (i) => (inverter && !loads[i]!.dc ? 1 / inverter.efficiency : 1));
	const always = (inverter?.idleW ?? 0) + (standbyW ?? 0);
	for (let h = 0; h < HOURS; h++) demandW[h]! += always;
	const coldC = battery.chargeColdC ?? CHEMISTRY_FIGURES[battery.chemistry].chargeColdC;
	return {
		sun,
		views: fields.map((field) => ({ w: field.w, ...viewOf(field) })),
		sunHours,
		clearness: sunHours.map((hours, m) => (clear[m]! > 0 ? Math.min(1, hours / clear[m]!) : 1)),
		airC,
		demandW,
		sourceW: hoursOf(input.sources ?? [], () => 1),
		isTooCold: MONTH_DAYS.map((_, month) => (battery.cellC ?? airC)[month]! < coldC)
	};
}

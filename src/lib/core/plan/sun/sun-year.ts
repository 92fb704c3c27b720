import { declinationAt, sunAtHourAngle } from './position';
import { clearSky, cosIncidence, extraterrestrial, type Plane } from './irradiance';

export const DAYS = 365;
export const HOURS = DAYS * 24;
export const MONTH_DAYS = [31, 28, 31, 30, 31, 30, 31, 31, 30, 31, 30, 31] as const;

/** Month, 0 … 11, of each day of the year. */
export const MONTH_OF_DAY: readonly number[] = MONTH_DAYS.flatMap((days, month) => Array<number>(days).fill(month));

/** Sums within an hour are taken at so many moments. */
const MOMENTS = 12;
/** A year without a leap day, its declinations near the middle of the four-year cycle. */
const YEAR_START_MS = Date.UTC(2026, 0, 1);
const HOUR_MS = 3_600_000;
const RAD = Math.PI / 180;
/** Nearer the horizon the beam on a plane is not told from the horizontal one: cosine of the zenith angle. */
const MIN_COS_ZENITH = 0.05;

/** The sun over a year at a latitude, hour by hour of mean solar time. All arrays are of 8760 hours, 1 January 0 to 1 h first. */
export interface SunYear {
	/** Clear sky on the horizontal, mean of the hour, W/m². */
	clearWm2: Float64Array;
	/** Extraterrestrial on the horizontal, mean of the hour, W/m². */
	spaceWm2: Float64Array;
	/** For each plane: beam on it over beam on the horizontal. */
	beamRatio: Float64Array[];
	/** Clear sky a day by month, kWh/m². */
	clearSkyKwhPerM2: number[];
}

/** @param planes the fields of panels, in order */
export function sunYear(latitudeDeg: number, planes: readonly Plane[]): SunYear {
	const year: SunYear = {
		clearWm2: new Float64Array(HOURS),
		spaceWm2: new Float64Array(HOURS),
		beamRatio: planes.map(() => new Float64Array(HOURS)),
		clearSkyKwhPerM2: MONTH_DAYS.map(() => 0)
	};
	for (let day = 0; day < DAYS; day++) {
		const space = extraterrestrial(day);
		for (let hour = 0; hour < 24; hour++) sumHour(year, latitudeDeg, planes, day, hour, space);
	}
	MONTH_DAYS.forEach((days, month) => (year.clearSkyKwhPerM2[month]! /= days * 1000));
	return year;
}

function sumHour(
	year: SunYear,
	latitudeDeg: number,
	planes: readonly Plane[],
	day: number,
	hour: number,
	space: number
): void {
	const at = day * 24 + hour;
	let [clear, horizontal] = [0, 0];
	const { declinationDeg, equationOfTimeMin } = declinationAt(YEAR_START_MS + (at + 0.5) * HOUR_MS);
	const onPlane = planes.map(() => 0);
	for (let m = 0; m < MOMENTS; m++) {
		const solarHour = hour + (m + 0.5) / MOMENTS;
		const hourAngle = 15 * (solarHour - 12) + equationOfTimeMin / 4;
		const { altitudeDeg, azimuthDeg } = sunAtHourAngle(latitudeDeg, declinationDeg, hourAngle);
		const cosZenith = Math.sin(altitudeDeg * RAD);
		if (cosZenith <= 0) continue;
		const sky = clearSky(cosZenith);
		clear += sky;
		horizontal += cosZenith;
		planes.forEach((plane, p) => {
			// Weighted by how bright it is then, so that the hour's mean is the mean of its moments.
			const ratio = Math.max(0, cosIncidence(plane, altitudeDeg, azimuthDeg)) / Math.max(MIN_COS_ZENITH, cosZenith);
			onPlane[p]! += sky * ratio;
		});
	}
	year.clearWm2[at] = clear / MOMENTS;
	year.spaceWm2[at] = (space * horizontal) / MOMENTS;
	planes.forEach((_, p) => (year.beamRatio[p]![at] = clear > 0 ? onPlane[p]! / clear : 0));
	year.clearSkyKwhPerM2[MONTH_OF_DAY[day]!]! += clear / MOMENTS;
}

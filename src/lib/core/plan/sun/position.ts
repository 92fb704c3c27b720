import { requireFinite } from '../../foundation/errors';

const RAD = Math.PI / 180;
/** Julian day of 2000 January 1.5 less that of 1970 January 1.0, days. */
const J2000_FROM_EPOCH = 10_957.5;
const DAY_MS = 86_400_000;

export interface Declination {
	declinationDeg: number;
	/** Apparent less mean solar time, min. */
	equationOfTimeMin: number;
}

/**
 * The sun's declination and the equation of time, within 0.01° and a few seconds between 1950 and 2050.
 * Low-accuracy almanac formula (Astronomical Almanac, section C; Meeus, *Astronomical Algorithms*, ch. 25).
 * @param atMs ms since 1970, UTC
 */
export function declinationAt(atMs: number): Declination {
	const n = requireFinite(atMs, 'atMs') / DAY_MS - J2000_FROM_EPOCH;
	const meanLongitude = (280.46 + 0.9856474 * n) % 360;
	const anomaly = (357.528 + 0.9856003 * n) * RAD;
	const longitude = (meanLongitude + 1.915 * Math.sin(anomaly) + 0.02 * Math.sin(2 * anomaly)) * RAD;
	const obliquity = (23.439 - 0.0000004 * n) * RAD;
	const rightAscension = Math.atan2(Math.cos(obliquity) * Math.sin(longitude), Math.cos(longitude)) / RAD;
	const apart = (((meanLongitude - rightAscension + 180) % 360) + 360) % 360;
	return {
		declinationDeg: Math.asin(Math.sin(obliquity) * Math.sin(longitude)) / RAD,
		// A degree of right ascension is four minutes.
		equationOfTimeMin: 4 * (apart - 180)
	};
}

export interface SunPosition {
	/** Geometric altitude of its middle, without refraction, °. */
	altitudeDeg: number;
	/** From north over east: 180 is south. */
	azimuthDeg: number;
}

/** Position of the sun at an apparent solar hour angle, ° (0 at its highest, afternoon positive). */
export function sunAtHourAngle(latitudeDeg: number, declinationDeg: number, hourAngleDeg: number): SunPosition {
	const [phi, delta, h] = [latitudeDeg * RAD, declinationDeg * RAD, hourAngleDeg * RAD];
	const sinAltitude = Math.sin(phi) * Math.sin(delta) + Math.cos(phi) * Math.cos(delta) * Math.cos(h);
	const fromSouth = Math.atan2(Math.sin(h), Math.cos(h) * Math.sin(phi) - Math.tan(delta) * Math.cos(phi));
	return {
		altitudeDeg: Math.asin(Math.max(-1, Math.min(1, sinAltitude))) / RAD,
		azimuthDeg: (fromSouth / RAD + 180 + 360) % 360
	};
}

/**
 * Position of the sun. @param atMs ms since 1970, UTC; @param longitudeDeg east positive
 * @throws CoreError `not-a-number`
 */
export function sunPosition(latitudeDeg: number, longitudeDeg: number, atMs: number): SunPosition {
	requireFinite(latitudeDeg, 'latitudeDeg');
	requireFinite(longitudeDeg, 'longitudeDeg');
	const { declinationDeg, equationOfTimeMin } = declinationAt(atMs);
	const utcHours = (((atMs % DAY_MS) + DAY_MS) % DAY_MS) / 3_600_000;
	return sunAtHourAngle(latitudeDeg, declinationDeg, 15 * (utcHours - 12) + longitudeDeg + equationOfTimeMin / 4);
}

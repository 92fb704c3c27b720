import { describe, expect, it } from 'vitest';
import { clearSky, cosIncidence, declinationAt, diffuseShare, sunPosition, sunYear, usualAirC, usualSunHours } from '.';

describe('the sun', () => {
	it.each([
		// Astronomical tables: equinoxes and solstices of 2026, declination in °.
		['2026-03-20T14:46:00Z', 0],
		['2026-06-21T08:25:00Z', 23.436],
		['2026-09-23T00:05:00Z', 0],
		['2026-12-21T20:50:00Z', -23.436]
	])('at %s stands at a declination of %s°', (at, declination) =>
		expect(declinationAt(Date.parse(at)).declinationDeg).toBeCloseTo(declination, 1)
	);
	it.each([
		// Extremes of the equation of time, min: about −14.2, +3.6, −6.5, +16.4.
		['2026-02-11T12:00:00Z', -14.2],
		['2026-05-14T12:00:00Z', 3.6],
		['2026-07-26T12:00:00Z', -6.5],
		['2026-11-03T12:00:00Z', 16.4]
	])('at %s is %s min ahead of the clock', (at, minutes) =>
		expect(Math.abs(declinationAt(Date.parse(at)).equationOfTimeMin - minutes)).toBeLessThan(0.1)
	);
	it('Meeus, example 25.a: 1992 October 13, 0 h: declination −7.785°', () =>
		expect(Math.abs(declinationAt(Date.UTC(1992, 9, 13)).declinationDeg - -7.785)).toBeLessThan(0.01));
	it('a published worked example: 39.742° N, 105.179° W, 2003-10-17 19:30:30 UTC: zenith 50.11°, azimuth 194.34°', () => {
		const { altitudeDeg, azimuthDeg } = sunPosition(39.742476, -105.1786, Date.UTC(2003, 9, 17, 19, 30, 30));
		expect(Math.abs(90 - altitudeDeg - 50.111)).toBeLessThan(0.1);
		expect(Math.abs(azimuthDeg - 194.34)).toBeLessThan(0.1);
	});
	it('stands in the north at noon south of the tropics', () =>
		expect(sunPosition(-35, 0, Date.parse('2026-06-21T12:00:00Z')).azimuthDeg).toBeCloseTo(0.5, 0));
	it('of a clear sky: by hand 1098·0.5·e^(−0.114) = 489.9 W/m² at 30°, none at night', () => {
		expect(clearSky(0.5)).toBeCloseTo(489.85, 1);
		expect(clearSky(1)).toBeCloseTo(1037.2, 1);
		expect(clearSky(-0.2)).toBe(0);
	});
	it('diffuse shares are those of the fit at its joints, and never rise with clearness', () => {
		expect(diffuseShare(0.1)).toBeCloseTo(0.991, 9);
		expect(diffuseShare(0.5)).toBeCloseTo(0.6595, 3);
		expect(diffuseShare(0.9)).toBe(0.165);
		for (let k = 0; k < 0.99; k += 0.01) expect(diffuseShare(k + 0.01)).toBeLessThanOrEqual(diffuseShare(k) + 0.002);
	});
	it('falls square on a plane that faces it', () => {
		expect(cosIncidence({ tiltDeg: 60, azimuthDeg: 180 }, 30, 180)).toBeCloseTo(1, 12);
		expect(cosIncidence({ tiltDeg: 0, azimuthDeg: 77 }, 30, 180)).toBeCloseTo(0.5, 12);
		expect(cosIncidence({ tiltDeg: 90, azimuthDeg: 0 }, 30, 180)).toBeLessThan(0);
	});
});

describe('a year of sun', () => {
	it('the equator near the equinox has 7.7 kWh/m² of clear sky, the pole none in winter', () => {
		// By quadrature of Haurwitz over cos z = cos(h): 24/2π · ∫ 1098 cos h e^(−0.057/cos h) dh = 7.698.
		expect(sunYear(0, []).clearSkyKwhPerM2[2]).toBeCloseTo(7.7, 1);
		expect(sunYear(85, []).clearSkyKwhPerM2[11]).toBe(0);
	});
	it('a level plane sees the beam as the horizontal does, a steep one more of a low sun', () => {
		const year = sunYear(50, [
			{ tiltDeg: 0, azimuthDeg: 180 },
			{ tiltDeg: 60, azimuthDeg: 180 }
		]);
		const noonOfJanuary = 10 * 24 + 12;
		expect(year.beamRatio[0]![noonOfJanuary]).toBeCloseTo(1, 6);
		expect(year.beamRatio[1]![noonOfJanuary]).toBeGreaterThan(2.5);
	});
	it('halves of the world mirror each other', () => {
		const [north, south] = [sunYear(45, []).clearSkyKwhPerM2, sunYear(-45, []).clearSkyKwhPerM2];
		expect(south[11]! / north[5]!).toBeCloseTo(1, 1);
		expect(usualAirC(45)[6]).toBeGreaterThan(usualAirC(45)[0]! + 10);
		expect(usualAirC(-45)[6]).toBeLessThan(usualAirC(-45)[0]!);
	});
	it('usual sun hours stay below a clear sky everywhere', () => {
		for (let latitude = -90; latitude <= 90; latitude += 5) {
			const clear = sunYear(latitude, []).clearSkyKwhPerM2;
			usualSunHours(latitude, clear).forEach((hours, m) => expect(hours).toBeLessThanOrEqual(clear[m]! * 0.76 + 1e-9));
		}
	});
});

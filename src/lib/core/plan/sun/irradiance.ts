/** Solar constant, W/m². */
export const SOLAR_CONSTANT = 1367;

/** Global irradiance of a clear sky on the horizontal, W/m² (Haurwitz 1945). @param cosZenith 0 and below: night */
export const clearSky = (cosZenith: number): number =>
	cosZenith <= 0 ? 0 : 1098 * cosZenith * Math.exp(-0.057 / cosZenith);

/** Extraterrestrial irradiance square to the sun over the year, W/m² (Spencer's leading term). @param day of the year from 0 */
export const extraterrestrial = (day: number): number =>
	SOLAR_CONSTANT * (1 + 0.033 * Math.cos((2 * Math.PI * (day + 1)) / 365));

/**
 * Share of diffuse in global irradiance by its extraterrestrial clearness (Erbs, Klein & Duffie 1982).
 * @param clearness global over extraterrestrial, both on the horizontal
 */
export function diffuseShare(clearness: number): number {
	if (clearness <= 0.22) return 1 - 0.09 * Math.max(0, clearness);
	if (clearness > 0.8) return 0.165;
	return 0.9511 + clearness * (-0.1604 + clearness * (4.388 + clearness * (-16.638 + clearness * 12.336)));
}

/** Light that the ground throws back (default). */
const GROUND = 0.2;
const RAD = Math.PI / 180;

export interface Plane {
	/** From the horizontal, °. */
	tiltDeg: number;
	/** It faces there, from north over east: 180 is south. */
	azimuthDeg: number;
}

/** Cosine of the angle between the sun and the square to a plane; below 0 it stands behind. */
export function cosIncidence({ tiltDeg, azimuthDeg }: Plane, altitudeDeg: number, sunAzimuthDeg: number): number {
	const [tilt, altitude] = [tiltDeg * RAD, altitudeDeg * RAD];
	const turned = (sunAzimuthDeg - azimuthDeg) * RAD;
	return Math.cos(tilt) * Math.sin(altitude) + Math.sin(tilt) * Math.cos(altitude) * Math.cos(turned);
}

/** What a tilted plane sees of the sky and of the ground, as shares (Liu & Jordan 1963, isotropic sky). */
export const viewOf = ({ tiltDeg }: Plane): { sky: number; ground: number } => ({
	sky: (1 + Math.cos(tiltDeg * RAD)) / 2,
	ground: (GROUND * (1 - Math.cos(tiltDeg * RAD))) / 2
});

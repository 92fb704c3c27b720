import { MONTH_DAYS } from './sun-year';

/** Share of a clear sky that arrives on the mean, in the darkest and the brightest half of the year, by latitude, ° (default). */
const USUAL_CLEARNESS = [
	{ latitude: 0, dark: 0.64, bright: 0.64 },
	{ latitude: 20, dark: 0.74, bright: 0.7 },
	{ latitude: 35, dark: 0.62, bright: 0.74 },
	{ latitude: 45, dark: 0.48, bright: 0.67 },
	{ latitude: 55, dark: 0.41, bright: 0.58 },
	{ latitude: 65, dark: 0.4, bright: 0.55 },
	{ latitude: 90, dark: 0.4, bright: 0.5 }
] as const;

/** −1 in the middle of local winter, +1 in the middle of local summer. @param month 0 … 11 */
function season(latitudeDeg: number, month: number): number {
	const middle = MONTH_DAYS.slice(0, month).reduce((a, b) => a + b, 0) + MONTH_DAYS[month]! / 2;
	// The year turns about ten days after the solstice of December.
	const north = -Math.cos((2 * Math.PI * (middle + 10)) / 365);
	return latitudeDeg >= 0 ? north : -north;
}

/** Sun hours of a usual place at a latitude, kWh/m² a day on the horizontal by month (default: ours, rough; the person's own first). */
export function usualSunHours(latitudeDeg: number, clearSkyKwhPerM2: readonly number[]): number[] {
	const latitude = Math.abs(latitudeDeg);
	const above = Math.max(
		1,
		USUAL_CLEARNESS.findIndex((row) => row.latitude >= latitude)
	);
	const [low, high] = [USUAL_CLEARNESS[above - 1]!, USUAL_CLEARNESS[above]!];
	const share = (latitude - low.latitude) / (high.latitude - low.latitude);
	const dark = low.dark + share * (high.dark - low.dark);
	const bright = low.bright + share * (high.bright - low.bright);
	return clearSkyKwhPerM2.map(
		(clear, month) => clear * (dark + ((bright - dark) * (1 + season(latitudeDeg, month))) / 2)
	);
}

/** Mean air temperature by month at a latitude near sea level, °C (default: ours, rough). */
export function usualAirC(latitudeDeg: number): number[] {
	const yearC = 27.5 - 0.0068 * latitudeDeg ** 2;
	const swingK = 0.165 * Math.abs(latitudeDeg);
	// The air follows the sun by about a month.
	return MONTH_DAYS.map((_, month) => yearC + swingK * season(latitudeDeg, (month + 11) % 12));
}

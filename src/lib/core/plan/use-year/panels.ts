import { HOURS, MONTH_OF_DAY, diffuseShare } from '../sun';
import type { PreparedYear } from './prepare';

/** Panels lose so much per K of their cells, which stand so far above the air at 800 W/m² (default). */
const PER_K = 0.004;
const NOCT_C = 45;
const RATED_C = 25;
const AIR_AT_NOCT_C = 20;
/** What wiring and controller let through (default). */
const THROUGH = 0.93;

/**
 * What the panels bring in a year of given weather, W by hour. @param clearness of each day, as a share of a clear sky
 * @param into 8760 values, written over
 */
export function panelYear({ sun, views, airC }: PreparedYear, clearness: Float64Array, into: Float64Array): void {
	const { clearWm2, spaceWm2, beamRatio } = sun;
	for (let h = 0; h < HOURS; h++) {
		const clear = clearWm2[h]!;
		if (clear <= 0) {
			into[h] = 0;
			continue;
		}
		const day = Math.floor(h / 24);
		const global = clear * clearness[day]!;
		const diffuse = global * diffuseShare(global / spaceWm2[h]!);
		const beam = global - diffuse;
		const air = airC[MONTH_OF_DAY[day]!]!;
		let sum = 0;
		for (let f = 0; f < views.length; f++) {
			const { w, sky, ground } = views[f]!;
			const onPlane = beam * beamRatio[f]![h]! + diffuse * sky + global * ground;
			const cellC = air + ((NOCT_C - AIR_AT_NOCT_C) / 800) * onPlane;
			sum += w * (onPlane / 1000) * Math.max(0, 1 - PER_K * (cellC - RATED_C));
		}
		into[h] = sum * THROUGH;
	}
}

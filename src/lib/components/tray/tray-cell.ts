import { quantileSorted } from 'd3-array';
import type { Warmth } from '$lib/core/foundation/verdicts';

/** One cell as it is drawn on the tray. */
export interface DrawnCell {
	id: number;
	label: string;
	/** Main figure and a smaller one under it; null when not read. */
	figure: string | null;
	minor: string | null;
	/** Position on the measure scale, 0..1; null: not shaded. */
	shade: number | null;
	warmth: Warmth;
	/** A few words under a warm cell. */
	mark: string | null;
	/** Its plus is on the other side than printed: drawn turned. */
	turned?: boolean;
}

/** Footprint of a cell from above, mm. */
export interface Footprint {
	widthMm: number;
	thicknessMm: number;
}

/** A common large prismatic cell, drawn while the type is not known. */
export const USUAL_FOOTPRINT: Footprint = { widthMm: 174, thicknessMm: 60 };

/** Fences this many interquartile ranges out (Tukey 1977) hold the bulk. */
const FENCE = 1.5;

/**
 * The range a measure is shaded over: the data inside Tukey's fences, so that a stray cell does not flatten the others,
 * widened to the difference that matters, so that noise is not painted as contrast.
 * @param mattersSpan smallest difference worth seeing, unit of the values
 */
export function shadeRange(values: readonly number[], mattersSpan: number): { low: number; high: number } {
	const sorted = [...values].sort((a, b) => a - b);
	const q1 = quantileSorted(sorted, 0.25) ?? 0;
	const q3 = quantileSorted(sorted, 0.75) ?? 0;
	const inside = sorted.filter((v) => v >= q1 - FENCE * (q3 - q1) && v <= q3 + FENCE * (q3 - q1));
	const low = inside[0] ?? 0;
	const high = inside[inside.length - 1] ?? 0;
	const missing = Math.max(0, mattersSpan - (high - low)) / 2;
	return { low: low - missing, high: high + missing };
}

/** Shade of each value within {@link shadeRange}, clipped to 0..1; null stays null. */
export function shadesOf(values: readonly (number | null)[], mattersSpan: number): (number | null)[] {
	const { low, high } = shadeRange(
		values.filter((v): v is number => v !== null),
		mattersSpan
	);
	return values.map((v) => (v === null ? null : high > low ? Math.min(1, Math.max(0, (v - low) / (high - low))) : 0.5));
}

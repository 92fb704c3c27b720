import type { Warmth } from '$lib/core/shared';

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
}

/** Footprint of a cell from above, mm. */
export interface Footprint {
	widthMm: number;
	thicknessMm: number;
}

/** A common large prismatic cell, drawn while the type is not known. */
export const USUAL_FOOTPRINT: Footprint = { widthMm: 174, thicknessMm: 60 };

/** Shades of values between the lowest and highest; null stays null, equal values take the middle. */
export function shadesOf(values: readonly (number | null)[]): (number | null)[] {
	const known = values.filter((v): v is number => v !== null);
	const low = Math.min(...known);
	const high = Math.max(...known);
	return values.map((v) => (v === null ? null : high > low ? (v - low) / (high - low) : 0.5));
}

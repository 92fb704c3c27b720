import { LABEL_AGREES } from '../verdicts';
import { CHEMISTRIES, CHEMISTRY_FIGURES, type Chemistry } from '../../foundation/chemistry';

/** Volts of a label, by what they are called; null where it says none. */
export interface LabelVolts {
	nominalV: number | null;
	/** Wh ÷ Ah. */
	impliedV: number | null;
	fullV: number | null;
}

/** One way a label may be meant: so many cells of a chemistry, named by their nominal volts, their class or their charger's. */
export interface LabelReading {
	chemistry: Chemistry;
	series: number;
	way: 'nominal' | 'class' | 'peak';
	/** How badly it fits; `fits`: each figure is what it should be, within rounding. */
	cost: number;
	fits: boolean;
}

export const MAX_SERIES = 128;
/** A voltage further than this share from a chemistry's is not its: where cells are counted, where not, and of a charger's, which is exact. */
const FITS = { counted: 0.045, uncounted: 0.03, peak: 0.01 };
/** Names of voltage classes: what is sold as 12 V has 12.8. */
const CLASSES_V = [6, 12, 24, 36, 48];
const ABOVE_CLASS = 0.14;
/** Numbers of cells that batteries are built of. */
const USUAL_SERIES = [1, 2, 3, 4, 5, 6, 7, 8, 10, 12, 13, 14, 15, 16, 20, 24];
/** What speaks against a reading before any figure is seen. */
const AGAINST = { class: 0.002, peak: 0.03, unusual: 0.02, notLfp: 0.005 };

export const isSame = (a: number, b: number): boolean => Math.abs(a - b) <= LABEL_AGREES * Math.max(a, b);
/** Sold under its class: "12 V" of 12.8. */
export const isClassOf = (label: number, real: number): boolean =>
	CLASSES_V.includes(label) && real > label && real <= label * (1 + ABOVE_CLASS);

const away = (value: number, from: number) => Math.abs(value / from - 1);

function readingOf(
	{ nominalV, impliedV, fullV }: LabelVolts,
	chemistry: Chemistry,
	series: number,
	way: LabelReading['way'],
	isCounted: boolean
): LabelReading {
	const { nominalV: cellV, chargeLimitV } = CHEMISTRY_FIGURES[chemistry];
	const [realV, peakV] = [series * cellV, series * chargeLimitV];
	const called = way === 'peak' ? peakV : realV;
	const deviations = [
		...(nominalV === null ? [] : [way === 'class' && isClassOf(nominalV, realV) ? 0 : away(nominalV, called)]),
		// Energy is reckoned with the real volts, or with whatever the label calls its volts.
		...(impliedV === null
			? []
			: [
					Math.min(
						away(impliedV, called),
						away(impliedV, realV),
						nominalV === null ? Infinity : away(impliedV, nominalV)
					)
				]),
		...(fullV === null ? [] : [away(fullV, peakV)])
	];
	const within = way === 'peak' ? FITS.peak : isCounted ? FITS.counted : FITS.uncounted;
	const prior =
		(way === 'nominal' ? 0 : AGAINST[way]) +
		(USUAL_SERIES.includes(series) ? 0 : AGAINST.unusual) +
		(chemistry === 'LFP' ? 0 : AGAINST.notLfp);
	return {
		chemistry,
		series,
		way,
		cost: prior + deviations.reduce((sum, d) => sum + d, 0),
		fits: deviations.length > 0 && deviations.every((d) => d <= within)
	};
}

/**
 * The ways a label may be meant that fit its volts, likeliest first.
 * @param series cells in series where it says so; @param chemistry only this one where given
 */
export function labelReadings(volts: LabelVolts, series: number | null, chemistry: Chemistry | null): LabelReading[] {
	const counts = series === null ? Array.from({ length: MAX_SERIES }, (_, i) => i + 1) : [series];
	return (chemistry ? [chemistry] : CHEMISTRIES)
		.flatMap((c) =>
			counts.flatMap((n) =>
				(['nominal', 'class', 'peak'] as const).map((way) => readingOf(volts, c, n, way, series !== null))
			)
		)
		.filter((r) => r.fits)
		.sort((a, b) => a.cost - b.cost);
}

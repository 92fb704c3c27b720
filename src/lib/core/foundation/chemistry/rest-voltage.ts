import { CoreError, requireFinite, requireNotNegative } from '../errors';
import { monotoneCurve, type MonotoneCurve } from '../curves';
import { CHEMISTRIES, byChemistry, type Chemistry } from './chemistry';

/** Volts per unit of SoC beyond the ends of the table: below 0 % and above 100 %. */
const SLOPE_BELOW = 100;
const SLOPE_ABOVE = 25;

/** Half-width of the hysteresis loop on the plateau, V (default). */
export const HYSTERESIS_V: Record<Chemistry, number> = byChemistry((kind) => kind.hysteresisV);

/** What a supply is set to for a top balance, V a cell (default). */
export const TOP_BALANCE_V: Record<Chemistry, number> = byChemistry((kind) => kind.topBalanceV);

/** Where the steep end of the curve lies is good to so much of the charge, 95 %: capacity and cut-off differ from cell to cell (default). */
export const BOTTOM_DOUBT = 0.006;

const CURVES = byChemistry(({ restPoints }) =>
	monotoneCurve(
		restPoints.map(([soc]) => soc / 100),
		restPoints.map(([, volts]) => volts),
		SLOPE_BELOW,
		SLOPE_ABOVE
	)
);

/** Rest-voltage curve of a chemistry: V over SoC (fraction), PCHIP through the default table. */
export function restVoltageCurve(chemistry: Chemistry): MonotoneCurve {
	return CURVES[chemistry];
}

/** What a cell did before it was left alone. */
export const LAST_MOVES = ['charge', 'discharge'] as const;
export type LastMove = (typeof LAST_MOVES)[number];

export interface SocBounds {
	/** Lowest and highest state of charge (fraction 0..1) the reading fits. */
	lowFraction: number;
	highFraction: number;
	/** `resolved`: narrow enough to act on. `wide`: on the plateau, cannot tell. The rest: outside any healthy rest. */
	verdict: 'resolved' | 'wide' | 'below-empty' | 'above-full';
	/** The half-width in volts the bounds were widened by, and what it is made of. */
	widenedByV: number;
	parts: { meterV: number; hysteresisV: number; curveV: number; restV: number };
	/** Charge that surface and bulk may still differ by, fraction; it widens the bounds beside the volts. */
	unmixedFraction: number;
}

/** Bounds no wider than this fraction count as resolved. */
const RESOLVED_WIDTH = 0.15;
/** Bounds cover this many standard deviations: two-sided 95 %. */
const BOUND_SDS = 1.96;
/** Where in its loop a cell rests is anybody's guess, and how wide the loop is good to a factor of 1.5: 95 % of that, in half-widths. */
const HYSTERESIS_95 = 1.33;
/** Doubt of the typical curve, one sd: on the plateau and its edges, and at the steep top (default), V. */
const CURVE_SD_V = { plateau: 0.005, top: 0.015 };
/** The steep top begins here, fraction. */
const TOP_SOC = 0.985;
/** Voltage still to settle right after a load is removed (V), decaying with this time constant (s): default. */
const UNSETTLED_V = 0.03;
const SETTLE_S = 1500;
/**
 * Surface and bulk of a cell differ by so much charge after a charge or discharge, 95 %, for some hours; the difference goes with the time
 * constant below (default). On the plateau it is nothing, at the steep ends everything.
 */
const UNMIXED = { share: 0.025, holdsS: 3 * 3600, goesS: 12 * 3600 };
/** Known to rest on the side of its last move, a cell may stand this far to the other side of the middle of its loop, in half-widths. */
const OTHER_SIDE = 0.25;
/** A rested full cell keeps surface charge for days; readings up to this far above the table's end are full, not over-full (V). */
const FULL_MARGIN_V = 0.19;

/**
 * The states of charge a rest voltage can mean: an interval, never a point, that holds the truth with 95 %. Widened by the meter,
 * by hysteresis and by the doubt of the curve itself, in quadrature; by what an incomplete rest leaves unsettled; and by the charge that
 * surface and bulk still differ by.
 * @param restVoltageV volts at the cell's terminals, no current
 * @param meterSdV one standard deviation of the meter at this reading, V
 * @param restS seconds without current; 0 when unknown
 * @param lastMove what it did before it rested: it then stands on that side of its loop; null when unknown
 * @throws CoreError `not-a-number`, `negative`, `chemistry`
 */
export function socBounds(
	chemistry: Chemistry,
	restVoltageV: number,
	meterSdV: number,
	restS: number,
	lastMove: LastMove | null = null
): SocBounds {
	if (!CHEMISTRIES.includes(chemistry))
		throw new CoreError(
			'chemistry',
			'chemistry',
			`chemistry requires one of ${CHEMISTRIES.join(', ')}, got ${chemistry}`
		);
	requireFinite(restVoltageV, 'restVoltageV');
	requireNotNegative(meterSdV, 'meterSdV');
	requireNotNegative(restS, 'restS');
	const curve = CURVES[chemistry];
	const parts = {
		meterV: BOUND_SDS * meterSdV,
		hysteresisV: HYSTERESIS_95 * HYSTERESIS_V[chemistry],
		curveV: BOUND_SDS * (restVoltageV > curve.at(TOP_SOC) ? CURVE_SD_V.top : CURVE_SD_V.plateau),
		restV: UNSETTLED_V * Math.exp(-restS / SETTLE_S)
	};
	// What an incomplete rest leaves goes one way only: added, not in quadrature.
	const widenedByV = Math.hypot(parts.meterV, parts.hysteresisV, parts.curveV) + parts.restV;
	const side = Math.hypot(parts.meterV, OTHER_SIDE * HYSTERESIS_V[chemistry], parts.curveV) + parts.restV;
	const unmixed = UNMIXED.share * Math.exp(-Math.max(0, restS - UNMIXED.holdsS) / UNMIXED.goesS);
	const soc = curve.xOf(restVoltageV);
	const clamp = (share: number) => Math.min(1, Math.max(0, share));
	// After a discharge it reads lower than it is, after a charge higher.
	const lowV = restVoltageV - (lastMove === 'discharge' ? side : widenedByV);
	const highV = restVoltageV + (lastMove === 'charge' ? side : widenedByV);
	const lowFraction = clamp(soc - Math.hypot(soc - curve.xOf(lowV), lastMove === 'discharge' ? 0 : unmixed));
	const highFraction = clamp(soc + Math.hypot(curve.xOf(highV) - soc, lastMove === 'charge' ? 0 : unmixed));
	return {
		lowFraction,
		highFraction,
		verdict: boundsVerdict(curve, restVoltageV, widenedByV, highFraction - lowFraction),
		widenedByV,
		parts,
		unmixedFraction: unmixed
	};
}

function boundsVerdict(
	curve: MonotoneCurve,
	voltageV: number,
	widenedByV: number,
	width: number
): SocBounds['verdict'] {
	if (voltageV + widenedByV < curve.at(0)) return 'below-empty';
	if (voltageV - widenedByV > curve.at(1) + FULL_MARGIN_V) return 'above-full';
	return width <= RESOLVED_WIDTH ? 'resolved' : 'wide';
}

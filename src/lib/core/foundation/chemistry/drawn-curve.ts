import { normalDraw, type Random } from '../statistics';
import type { MonotoneCurve } from '../curves';

/** The rest-voltage curve of one drawn world. */
export interface DrawnCurve {
	/** State of charge at a rest voltage, fraction; within what a cell can hold. */
	socOf(restV: number): number;
	/** Rest voltage at a state of charge, V. */
	voltsAt(soc: number): number;
}

/** Doubt of the typical curve, one sd: on the plateau and its edges, and on the steep ends (default). */
const CURVE_SD_V = { plateau: 0.0045, steep: 0.012 };
/** Where an end begins to be steep, and its width, fraction. */
const STEEP = { top: 0.97, bottom: 0.03, width: 0.03 };
/** What a cell can hold: below empty, and forced above full. */
const MIN_SOC = -0.02;
const MAX_SOC = 1.05;
/** Below what a cell can hold the curve falls so many V per unit of charge. */
const BEYOND_EMPTY_V = 100;

/** States of charge the drawn curve is made at: close together at both ends. */
const SOCS: readonly number[] = [
	...steps(MIN_SOC, 0.1, 0.004),
	...steps(0.1, 0.9, 0.02),
	...steps(0.9, MAX_SOC, 0.0025),
	MAX_SOC
];
function steps(from: number, to: number, by: number): number[] {
	return Array.from({ length: Math.round((to - from) / by) }, (_, i) => from + i * by);
}

const smooth = (x: number): number => {
	const t = Math.min(1, Math.max(0, x));
	return t * t * (3 - 2 * t);
};
/** How much of the doubt of a steep end holds at a state of charge, 0…1: at the top, at the bottom. */
const atTop = SOCS.map((soc) => smooth((soc - STEEP.top) / STEEP.width));
const atBottom = SOCS.map((soc) => smooth((STEEP.bottom - soc) / STEEP.width + 1) * (soc < STEEP.bottom * 2 ? 1 : 0));
/** Between five knots at 0, 25 … 100 %: which one, and how far on to the next. */
const knotOf = SOCS.map((soc) => {
	const scaled = Math.min(1, Math.max(0, soc)) * 4;
	const k = Math.min(3, Math.floor(scaled));
	return { k, share: smooth(scaled - k) };
});
const tables = new WeakMap<MonotoneCurve, Float64Array>();

/** The typical curve moved as a world's own may be: smoothly through five knots, and at each steep end. It never falls. */
export function drawnCurve(typical: MonotoneCurve, random: Random): DrawnCurve {
	const known = tables.get(typical) ?? Float64Array.from(SOCS, (soc) => typical.at(soc));
	tables.set(typical, known);
	const knots = [0, 1, 2, 3, 4].map(() => normalDraw(random, 0, CURVE_SD_V.plateau));
	const extra = Math.sqrt(CURVE_SD_V.steep ** 2 - CURVE_SD_V.plateau ** 2);
	const [topV, bottomV] = [normalDraw(random, 0, extra), normalDraw(random, 0, extra)];
	const volts = new Float64Array(SOCS.length);
	let before = -Infinity;
	for (let i = 0; i < SOCS.length; i++) {
		const { k, share } = knotOf[i]!;
		const own = known[i]! + knots[k]! * (1 - share) + knots[k + 1]! * share + topV * atTop[i]! + bottomV * atBottom[i]!;
		before = Math.max(before, own);
		volts[i] = before;
	}
	return { socOf: (restV) => inverse(volts, restV), voltsAt: (soc) => forward(volts, soc) };
}

/** The last of the ascending states of charge that is not above. */
function placeOf(list: ArrayLike<number>, value: number): number {
	let low = 0;
	let high = list.length - 1;
	while (high - low > 1) {
		const middle = (low + high) >> 1;
		if (list[middle]! <= value) low = middle;
		else high = middle;
	}
	return low;
}

function forward(volts: Float64Array, soc: number): number {
	const last = SOCS.length - 1;
	if (soc <= SOCS[0]!) return volts[0]! + (soc - SOCS[0]!) * BEYOND_EMPTY_V;
	if (soc >= SOCS[last]!) return volts[last]!;
	const low = placeOf(SOCS, soc);
	const share = (soc - SOCS[low]!) / (SOCS[low + 1]! - SOCS[low]!);
	return volts[low]! + share * (volts[low + 1]! - volts[low]!);
}

function inverse(volts: Float64Array, restV: number): number {
	const last = volts.length - 1;
	if (restV <= volts[0]!) return SOCS[0]!;
	if (restV >= volts[last]!) return SOCS[last]!;
	const low = placeOf(volts, restV);
	const high = low + 1;
	const rise = volts[high]! - volts[low]!;
	const share = rise > 0 ? (restV - volts[low]!) / rise : 0;
	return SOCS[low]! + share * (SOCS[high]! - SOCS[low]!);
}

/** The same beyond both ends, as steeply as the typical one goes on there: next to no charge lies in it, and yet volts that are read. */
export function beyondEnds(curve: DrawnCurve, typical: MonotoneCurve): DrawnCurve {
	const [emptyV, fullV] = [curve.voltsAt(0), curve.voltsAt(1)];
	const [below, above] = [typical.slopeAt(-1), typical.slopeAt(2)];
	return {
		socOf: (v) => (v < emptyV ? (v - emptyV) / below : v > fullV ? 1 + (v - fullV) / above : curve.socOf(v)),
		voltsAt: (soc) => (soc < 0 ? emptyV + below * soc : soc > 1 ? fullV + above * (soc - 1) : curve.voltsAt(soc))
	};
}

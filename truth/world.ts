import { USUAL_NATURE, completeCell, type CellNature, type CellParameters } from '$lib/core/world/cell-model';
import { normalDraw, type Random } from '$lib/core/foundation/statistics';

/** A world to be judged: cells nobody can look into, and how they differ from the cell the judgements are made by. */
export interface TruthWorld {
	nature: CellNature;
	ratedAh: number;
	/** Draws all that happens in this world. */
	random: Random;
}

const RATED_AH = [50, 105, 206, 280, 304];
/** A maker's cells scatter so much about a little more than rated. */
const CAPACITY = { mean: 1.01, sd: 0.015 };

export const between = (random: Random, low: number, high: number): number => low + random() * (high - low);
/** As likely by any factor. */
const factorBetween = (random: Random, low: number, high: number): number =>
	Math.exp(between(random, Math.log(low), Math.log(high)));
export const oneOf = <T>(random: Random, list: readonly T[]): T => list[Math.floor(random() * list.length)]!;

/** The offset of the rest-voltage curve lies within this at each of its five knots, V. */
const CURVE_OFFSET_V = 0.008;

/** A world whose cells differ from the model: a smooth offset of the curve, hysteresis, resistance, surface charge, cold, leak. */
export function drawWorld(random: Random): TruthWorld {
	return {
		random,
		ratedAh: oneOf(random, RATED_AH),
		nature: {
			...USUAL_NATURE,
			curveOffsetV: [0, 1, 2, 3, 4].map(() => between(random, -CURVE_OFFSET_V, CURVE_OFFSET_V)),
			hysteresis: factorBetween(random, 0.5, 2),
			resistance: factorBetween(random, 0.7, 1.5),
			kappa: factorBetween(random, 0.5, 2),
			coldShare: between(random, 0.4, 1.4),
			selfDischarge: factorBetween(random, 0.3, 3)
		}
	};
}

/** A cell of a world, as it was made. */
export function drawCell({ random, ratedAh }: TruthWorld, more: Partial<CellParameters> = {}): CellParameters {
	return completeCell({
		chemistry: 'LFP',
		capacityAh: ratedAh * normalDraw(random, CAPACITY.mean, CAPACITY.sd),
		resistanceFactor: Math.exp(normalDraw(random, 0, 0.03)),
		...more
	});
}

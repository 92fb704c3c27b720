import { mean, variance } from 'd3-array';
import { chiSquareShare, normalDraw, type Random } from '../../foundation/statistics';
import type { MatchCell } from './problem';

/** What was read of a cell. */
export type ReadCapacity = Pick<MatchCell, 'id' | 'capacityAh' | 'capacitySdAh'>;

/** Fewer cells tell nothing of how such cells scatter. */
const MIN_CELLS = 6;

/**
 * A world’s true capacities, one draw after the other, Ah by id: what a reading’s own doubt adds to the scatter of all is taken out (shrinkage
 * to their mean by the variance that is left), since a cell that reads lowest is seldom as low as it reads. Mean and scatter of such cells are
 * drawn too, as so few tell them.
 * @param cells all that were read, spares too: they tell how such cells scatter
 */
export function trueCapacities(cells: readonly ReadCapacity[], random: Random): () => Map<number | string, number> {
	const sdOf = (c: ReadCapacity) => c.capacitySdAh ?? 0;
	const asRead = (c: ReadCapacity) => normalDraw(random, c.capacityAh, sdOf(c));
	const n = cells.length;
	if (n < MIN_CELLS) return () => new Map(cells.map((c) => [c.id, asRead(c)]));
	const centre = mean(cells, (c) => c.capacityAh)!;
	const seen = variance(cells, (c) => c.capacityAh)!;
	const doubt = mean(cells, (c) => sdOf(c) ** 2)!;
	return () => {
		const scatter = Math.max(doubt / 20, seen / chiSquareShare(random, n - 1) - doubt);
		const middle = normalDraw(random, centre, Math.sqrt((scatter + doubt) / n));
		return new Map(
			cells.map((c) => {
				const kept = sdOf(c) === 0 ? 1 : scatter / (scatter + sdOf(c) ** 2);
				return [c.id, normalDraw(random, middle + kept * (c.capacityAh - middle), Math.sqrt(kept) * sdOf(c))];
			})
		);
	};
}

import { median } from 'd3-array';
import { capacityOfTheRest, mostBad, testsNeeded } from './sampling';

/** A cell of the sample: its capacity with one sd, and what was judged of it. */
export interface SampledCell {
	capacityAh: number;
	sdAh: number;
	outcome: 'short' | 'meets' | 'unsure' | null;
}

export interface SampleSays {
	all: number;
	tested: number;
	/** Of the tested: below rating for sure, and undecided. */
	below: number;
	undecided: number;
	/** At most so many of all are below rating, 95 %: the undecided are counted as below. */
	mostBelow: number;
	/** Nine in ten of all hold at least this, 95 %, Ah; null where too few are tested to say. */
	nineInTenAh: number | null;
	/** So many found good in all would leave one below rating at most; null where one is below already. */
	neededForOne: number | null;
}

const SHARE = 0.9;
/** One-sided 95 %. */
const ONE_SIDED_SDS = 1.645;

/**
 * What the cells tested so far say of the whole lot, if they were taken from it at random: how many can be below rating (hypergeometric),
 * and what nine in ten hold (normal tolerance limit). What the cells' results share, the gain of the tester, is not made smaller by
 * testing more of them: it goes beside the tolerance in quadrature.
 * @throws CoreError `not-positive` for a capacity of 0 or less, `out-of-range` where more are tested than there are
 */
export function whatSampleSays(all: number, cells: readonly SampledCell[]): SampleSays {
	const below = cells.filter((c) => c.outcome === 'short').length;
	const undecided = cells.filter((c) => c.outcome === 'unsure' || c.outcome === null).length;
	const bad = below + undecided;
	const { meanAh, lowerAh } = capacityOfTheRest(
		cells.map((c) => c.capacityAh),
		SHARE
	);
	const sharedAh = ONE_SIDED_SDS * (median(cells, (c) => c.sdAh) ?? 0);
	return {
		all,
		tested: cells.length,
		below,
		undecided,
		mostBelow: mostBad({ all, tested: cells.length, bad }),
		nineInTenAh: lowerAh === null ? null : Math.max(0, meanAh - Math.hypot(meanAh - lowerAh, sharedAh)),
		neededForOne: bad === 0 && all > 0 ? testsNeeded(all, 1) : null
	};
}

import { coldShareAt } from '../../foundation/chemistry';
import { trueCapacities } from '../groups';
import { intervalOf, normalDraw, seededRandom, type Interval } from '../../foundation/statistics';
import { requireFinite, requireNotNegative } from '../../foundation/errors';
import {
	forecast,
	forecastOf,
	type Balance,
	type Forecast,
	type ForecastCell,
	type ForecastId,
	type Group
} from './forecast';

/** A cell with what is in doubt of it, one sd each. */
export interface DoubtedCell extends ForecastCell {
	/** Of its capacity, its own part; {@link OWN_SHARE} of it when missing. */
	capacitySdAh?: number | null;
	/** Of its charge; {@link SOC_SD} when missing. */
	socSd?: number | null;
}

export interface DoubtedForecast extends Forecast {
	/** 95 % of `usableAh`. */
	usable: Interval;
}

/** Draws, fewer where there are many cells: so many cells are drawn in all. */
const DRAWS = { least: 100, most: 300, cells: 200_000 };
const SEED = 20_261_201;
/** What one tester read all cells too much by, and each run by itself, one sd as shares (default). */
const TESTER_SHARE = 0.01;
const OWN_SHARE = 0.003;
/** A charge that somebody told without its doubt, one sd (default). */
const SOC_SD = 0.03;
/** Where the ends of charge and discharge are, one sd as a share (default). */
const ENDS_SD = 0.004;
/** What the cold takes is known to a third of itself (default). */
const COLD_DOUBT = 1 / 3;
const RATED_C = 25;

/** What the cold keeps back of a discharge, 95 %, as a share (models §3). @param temperatureC of the cells */
export function coldLoss(temperatureC: number): Interval {
	const likely = coldShareAt(requireFinite(temperatureC, 'temperatureC'));
	const half = 1.96 * COLD_DOUBT * likely;
	return { low95: Math.max(0, likely - half), likely, high95: Math.min(1, likely + half) };
}

/**
 * {@link forecast} with its doubt, and in the cold: capacities read by one tester, charges, ends and what the cold takes drawn together.
 * @param temperatureC of the cells while they are discharged; 25 when missing
 * @throws CoreError as {@link forecast}; `negative`, `not-a-number`
 */
export function forecastInDoubt(
	cells: readonly DoubtedCell[],
	groups: readonly (readonly ForecastId[])[],
	balance: Balance,
	temperatureC: number | null = null
): DoubtedForecast {
	const told = forecast(cells, groups, balance);
	cells.forEach((c, i) => {
		if (c.capacitySdAh != null) requireNotNegative(c.capacitySdAh, `cells.${i}.capacitySdAh`);
		if (c.socSd != null) requireNotNegative(c.socSd, `cells.${i}.socSd`);
	});
	const cold = coldShareAt(requireFinite(temperatureC ?? RATED_C, 'temperatureC'));
	const random = seededRandom(SEED);
	const about = (value: number, sd: number) => normalDraw(random, value, sd);
	// What the readings of all cells say of each: of the smallest read, part is chance.
	const capacityOf = trueCapacities(
		cells.map((c) => ({ ...c, capacitySdAh: c.capacitySdAh ?? OWN_SHARE * c.capacityAh })),
		random
	);
	const byId = new Map(cells.map((c) => [c.id, c]));
	const draws = Math.max(DRAWS.least, Math.min(DRAWS.most, Math.floor(DRAWS.cells / cells.length)));
	const drawn = Array.from({ length: draws }, () => {
		const tester = Math.exp(about(0, TESTER_SHARE));
		const capacities = capacityOf();
		const own = groups.map((ids): Group => {
			let [ah, chargeAh] = [0, 0];
			for (const id of ids) {
				const { soc, socSd } = byId.get(id)!;
				const capacityAh = Math.max(0, tester * capacities.get(id)!);
				ah += capacityAh;
				if (soc != null) chargeAh += capacityAh * Math.min(1, Math.max(0, about(soc, socSd ?? SOC_SD)));
			}
			return { ah, chargeAh };
		});
		const kept = 1 - Math.min(1, Math.max(0, cold * about(1, COLD_DOUBT)));
		return forecastOf(own, balance).usableAh * kept * Math.exp(about(0, ENDS_SD));
	});
	return { ...told, usableAh: told.usableAh * (1 - cold), usable: intervalOf(drawn) };
}

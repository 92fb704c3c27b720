import { deviation, mean, range, rollups, sum } from 'd3-array';
import { restVoltageCurve, socBounds, type Chemistry } from '../../foundation/chemistry';
import { trueCapacities, type ReadCapacity } from '../groups';
import {
	chiSquareShare,
	intervalOf,
	normalDraw,
	seededRandom,
	type Interval,
	type Random
} from '../../foundation/statistics';
import { TRANSFER_EFFICIENCY, forecast, forecastOf, type Balance, type Forecast, type ForecastId } from './forecast';
import type { RestRead } from '../../picture';

const DRAWS = 1000;

const SEED = 20_261_127;

/** How good the efficiency of a balancer is known, and what it can be at all (default). */
const EFFICIENCY = { sd: 0.05, least: 0.6, most: 0.97 };

/** Less likely ones are not named. */
const NAMED_FROM = 0.1;

/** A charge to the limit goes a little beyond full, a discharge at 0.2 C leaves about as much; no better is it known where the ends are (default). */
const ENDS = { share: 1.001, sd: 0.004 };

const BOUND_SDS = 1.96;

const TABLE_STEP_V = 0.0005;

/** Fewer cells tell nothing of how their readings scatter. */
const MIN_CELLS = 4;

/** So often (beyond 1, of its whole) all that readings scatter is no charge at all. */
const NOTHING_REAL = 1.6;

export interface KnownCell extends ReadCapacity {
	/** Read with nothing done to it since; null or missing: not read. */
	rest?: RestRead | null;
}

/** Of several batteries, counted from 1, the group at this position: how likely it is that it ends it. */
export interface Ender {
	battery: number;
	position: number;
	probability: number;
}

export interface ForecastRange {
	/** Of all batteries together at 0.2 C and 25 °C, Ah. */
	usableAh: Interval;
	/** Who may end the charge, and the discharge, the likeliest first. */
	endsCharge: Ender[];
	endsDischarge: Ender[];
	/** Most that is left in a group when the discharge ends, Ah. */
	mostLeftAh: Interval;
}

/** A cell as far as its charge goes. */
export interface RestedCell {
	id: ForecastId;
	rest?: RestRead | null;
}

/** Charge by rest voltage, fraction, from a table: so many draws ask for it. */
function socTable(chemistry: Chemistry): (voltageV: number) => number {
	const curve = restVoltageCurve(chemistry);
	const [lowV, highV] = [curve.at(0), curve.at(1)];
	const table = range(Math.ceil((highV - lowV) / TABLE_STEP_V) + 1).map((i) => curve.xOf(lowV + i * TABLE_STEP_V));
	return (voltageV) => {
		const at = Math.min(table.length - 1, Math.max(0, (voltageV - lowV) / TABLE_STEP_V));
		const below = Math.min(table.length - 2, Math.floor(at));
		return Math.min(1, table[below]! + (at - below) * (table[below + 1]! - table[below]!));
	};
}

/**
 * Charges that cells may hold (fraction, by id), one draw after the other. Part of a rest voltage's doubt is common to all of them (the curve, the
 * branch of its loop they came by), and moves them together. What is each cell's own cannot be more than their readings scatter: every draw takes
 * another share of that scatter for it, up to all of it, and the rest for charge that really differs.
 */
export function drawnCharges(
	cells: readonly RestedCell[],
	chemistry: Chemistry,
	random: Random
): () => Map<ForecastId, number> {
	const socAt = socTable(chemistry);
	const volts = cells.map((c) => c.rest!.voltageV);
	const doubtV = Math.max(...cells.map(({ rest }) => widenedV(chemistry, rest!))) / BOUND_SDS;
	const centreV = mean(volts)!;
	const seenV = cells.length < MIN_CELLS ? doubtV : deviation(volts)!;
	return () => {
		const scatterV = seenV / Math.sqrt(chiSquareShare(random, Math.max(1, cells.length - 1)));
		// More than the doubt of a reading is charge that differs, whatever else.
		const most = scatterV > 0 ? Math.min(1, (doubtV / scatterV) ** 2) : 1;
		const own = most * Math.min(1, random() * NOTHING_REAL);
		const ownV = scatterV * Math.sqrt(own);
		const commonV = normalDraw(random, 0, Math.sqrt(Math.max(0, doubtV ** 2 - ownV ** 2)));
		return new Map(
			cells.map(({ id, rest }) => {
				const real = centreV + (1 - own) * (rest!.voltageV - centreV);
				return [id, socAt(normalDraw(random, real, Math.sqrt(1 - own) * ownV) - commonV)];
			})
		);
	};
}

const widenedV = (chemistry: Chemistry, { voltageV, sdV, restS }: RestRead): number =>
	socBounds(chemistry, voltageV, sdV, restS).widenedByV;

/** Who ended it in the draws, the likeliest first: one at least. */
function enders(named: readonly { battery: number; position: number }[]): Ender[] {
	return rollups(
		named,
		(all) => ({ ...all[0]!, probability: all.length / named.length }),
		({ battery, position }) => `${battery}/${position}`
	)
		.map(([, ender]) => ender)
		.sort((a, b) => b.probability - a.probability)
		.filter((e, i) => i === 0 || e.probability >= NAMED_FROM);
}

/**
 * What a string gives as far as its cells are known, 95 %: {@link forecast} in many worlds that the readings allow.
 * @param cells all that were read, spares too
 * @param batteries of each its groups, most negative first, as ids of the cells; batteries in parallel give together
 * @returns null where nothing balances and a cell of the groups has no rest voltage: cannot tell
 * @throws CoreError as {@link forecast}
 */
export function forecastRange(
	cells: readonly KnownCell[],
	batteries: readonly (readonly (readonly ForecastId[])[])[],
	balance: Balance,
	chemistry: Chemistry
): ForecastRange | null {
	const used = new Set(batteries.flat(2));
	const built = cells.filter((c) => used.has(c.id));
	if (balance === 'none' && built.some((c) => !c.rest)) return null;
	// Once with all that is checked.
	const charged = built.map(({ id, capacityAh }) => ({ id, capacityAh, soc: 0.5 }));
	batteries.forEach((groups) => forecast(charged, groups, balance));
	const random = seededRandom(SEED);
	const capacityOf = trueCapacities(cells, random);
	const chargeOf = balance === 'none' ? drawnCharges(built, chemistry, random) : null;
	const drawn = Array.from({ length: DRAWS }, (): Forecast[] => {
		const [ah, soc] = [capacityOf(), chargeOf?.()];
		const so = typeof balance === 'string' ? balance : { ...balance, efficiency: efficiency(random) };
		const ends = normalDraw(random, ENDS.share, ENDS.sd);
		return batteries.map((groups) => {
			const own = groups.map((ids) => ({
				ah: sum(ids, (id) => Math.max(0, ah.get(id)!)),
				chargeAh: sum(ids, (id) => Math.max(0, ah.get(id)!) * (soc?.get(id) ?? 0))
			}));
			const found = forecastOf(own, so);
			return { ...found, usableAh: found.usableAh * ends };
		});
	});
	// Of several batteries the one that gives least speaks of who ends it.
	const weakest = (batteryForecasts: readonly Forecast[]) => {
		const at = batteryForecasts.reduce((w, f, i) => (f.usableAh < batteryForecasts[w]!.usableAh ? i : w), 0);
		return { battery: at + 1, ...batteryForecasts[at]! };
	};
	const worst = drawn.map(weakest);
	return {
		usableAh: intervalOf(drawn.map((all) => all.reduce((total, f) => total + f.usableAh, 0))),
		endsCharge: enders(worst.map(({ battery, endsCharge }) => ({ battery, position: endsCharge }))),
		endsDischarge: enders(worst.map(({ battery, endsDischarge }) => ({ battery, position: endsDischarge }))),
		mostLeftAh: intervalOf(drawn.map((all) => Math.max(...all.flatMap((f) => f.leftAh))))
	};
}

const efficiency = (random: Random): number =>
	Math.min(EFFICIENCY.most, Math.max(EFFICIENCY.least, normalDraw(random, TRANSFER_EFFICIENCY, EFFICIENCY.sd)));

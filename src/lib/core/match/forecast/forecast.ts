import { max, mean, min, sum } from 'd3-array';
import { CoreError, requireAlike, requireNotNegative, requirePositive } from '../../foundation/errors';

export type ForecastId = string | number;

export interface ForecastCell {
	id: ForecastId;
	capacityAh: number;
	/** Needed where nothing balances. */
	soc?: number | null;
}

/** How the groups are kept together; active: so many A in so many hours in which it really works. */
export type Balance =
	| 'none'
	| 'top'
	| 'bottom'
	| {
			activeA: number;
			hours: number;
			/** What reaches the weak group of what the strong one gives; 0.85 (default). */
			efficiency?: number;
	  };

export interface Forecast {
	usableAh: number;
	/** Position (from 1) of the group that ends the charge, and of the one that ends the discharge. */
	endsCharge: number;
	endsDischarge: number;
	/** Left in each group when the discharge ends, Ah, position 1 first. */
	leftAh: number[];
}

/** Of an active balancer (default). */
export const TRANSFER_EFFICIENCY = 0.85;
const SEARCH_STEPS = 60;

export interface Group {
	ah: number;
	/** In it now. */
	chargeAh: number;
}

function groupsOf(
	cells: readonly ForecastCell[],
	groups: readonly (readonly ForecastId[])[],
	needsSoc: boolean
): Group[] {
	const byId = new Map<ForecastId, ForecastCell>();
	cells.forEach((cell, i) => {
		requirePositive(cell.capacityAh, `cells.${i}.capacityAh`);
		if (byId.has(cell.id)) throw new CoreError('twice', `cells.${i}.id`, `cells.${i}.id ${cell.id} is there twice`);
		if (cell.soc != null && !(cell.soc >= 0 && cell.soc <= 1))
			throw new CoreError('out-of-range', `cells.${i}.soc`, `cells.${i}.soc requires 0 to 1, got ${cell.soc}`);
		if (needsSoc && cell.soc == null)
			throw new CoreError('missing', `cells.${i}.soc`, `cells.${i}.soc is required where nothing balances the groups`);
		byId.set(cell.id, cell);
	});
	requireAlike(
		cells.map((c) => c.capacityAh),
		(i) => `cells.${i}.capacityAh`
	);
	if (groups.length === 0) throw new CoreError('too-few', 'groups', 'groups requires one group or more, got none');
	const used = new Set<ForecastId>();
	return groups.map((ids, g) => {
		if (ids.length === 0)
			throw new CoreError('too-few', `groups.${g}`, `groups.${g} requires one cell or more, got none`);
		const own = ids.map((id, k) => {
			const cell = byId.get(id);
			if (!cell)
				throw new CoreError(
					'unknown',
					`groups.${g}.${k}`,
					`groups.${g}.${k} names ${id}, which is not among the cells`
				);
			if (used.has(id)) throw new CoreError('twice', `groups.${g}.${k}`, `groups.${g}.${k}: ${id} sits in two places`);
			used.add(id);
			return cell;
		});
		return { ah: sum(own, (c) => c.capacityAh), chargeAh: sum(own, (c) => (c.soc ?? 0) * c.capacityAh) };
	});
}

const positionOf = (values: readonly number[], wanted: number): number => values.indexOf(wanted) + 1;

/**
 * What a series string of these groups gives (models §9). Unbalanced: what still goes into the fullest and what is in the emptiest. Balanced
 * at an end: its smallest group, and every group meets that end together (the smallest, whose voltage moves first, is named for it).
 * Actively: the weakest are lifted together by all that the balancer moves, never past what the strong ones can give for it.
 * @throws CoreError `not-positive`, `negative`, `out-of-range`, `missing`, `unknown`, `twice`, `too-few`
 */
export function forecast(
	cells: readonly ForecastCell[],
	groups: readonly (readonly ForecastId[])[],
	balance: Balance
): Forecast {
	return forecastOf(groupsOf(cells, groups, balance === 'none'), balance);
}

/** {@link forecast} of groups that are known to be sound. @param own position 1 first */
export function forecastOf(own: readonly Group[], balance: Balance): Forecast {
	const capacities = own.map((g) => g.ah);
	const smallest = min(capacities)!;
	const at = positionOf(capacities, smallest);
	if (balance === 'none') {
		const charges = own.map((g) => g.chargeAh);
		const room = own.map((g) => g.ah - g.chargeAh);
		const [least, emptiest] = [min(room)!, min(charges)!];
		return {
			usableAh: least + emptiest,
			endsCharge: positionOf(room, least),
			endsDischarge: positionOf(charges, emptiest),
			leftAh: charges.map((q) => q - emptiest)
		};
	}
	const together = { usableAh: smallest, endsCharge: at, endsDischarge: at };
	if (balance === 'top') return { ...together, leftAh: capacities.map((c) => c - smallest) };
	if (balance === 'bottom') return { ...together, leftAh: capacities.map(() => 0) };
	const moved =
		requireNotNegative(balance.activeA, 'balance.activeA') * requireNotNegative(balance.hours, 'balance.hours');
	const { efficiency = TRANSFER_EFFICIENCY } = balance;
	const level = lifted(capacities, moved, requirePositive(efficiency, 'balance.efficiency'));
	const given = sum(capacities, (c) => Math.max(0, level - c)) / efficiency;
	const kept = lowered(capacities, given);
	return { ...together, usableAh: level, leftAh: capacities.map((c) => Math.max(0, Math.min(c, kept) - level)) };
}

/** The height to which the weakest are lifted by so many Ah moved, where the strong ones can still give them and stay above it. */
function lifted(capacities: readonly number[], movedAh: number, efficiency: number): number {
	let [low, high] = [min(capacities)!, mean(capacities)!];
	for (let i = 0; i < SEARCH_STEPS; i++) {
		const middle = (low + high) / 2;
		const wanted = sum(capacities, (c) => Math.max(0, middle - c));
		const there = sum(capacities, (c) => Math.max(0, c - middle));
		if (wanted <= efficiency * movedAh && wanted / efficiency <= there) low = middle;
		else high = middle;
	}
	return low;
}

/** What the strongest are drawn down to by giving so many Ah. */
function lowered(capacities: readonly number[], givenAh: number): number {
	let [low, high] = [min(capacities)!, max(capacities)!];
	for (let i = 0; i < SEARCH_STEPS; i++) {
		const middle = (low + high) / 2;
		if (sum(capacities, (c) => Math.max(0, c - middle)) > givenAh) low = middle;
		else high = middle;
	}
	return high;
}

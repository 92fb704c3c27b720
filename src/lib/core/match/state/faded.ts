import { isInService, type BankPicture, type PictureBattery } from '../../picture';
import type { CellCapacity } from '../../test/capacities';

/** Cells of one battery fade unlike by so much of their capacity, one sd (default). */
const UNLIKE_FADE = 0.01;

/** A capacity and its doubt, Ah. */
interface Known {
	capacityAh: number;
	sdAh: number;
}

/** The sum of a group by its cells' own runs; null where one has none. */
function groupAh(cellIds: readonly number[], byCell: ReadonlyMap<number, CellCapacity>): number | null {
	const own = cellIds.map((id) => byCell.get(id)?.capacityAh ?? null);
	return own.length === 0 || own.includes(null) ? null : own.reduce<number>((sum, ah) => sum + ah!, 0);
}

/** How a battery's latest test stands to its smallest group by the cells' own, older runs; null where it tells nothing newer. */
function fadeOf(
	{ batteryTests }: BankPicture,
	battery: PictureBattery,
	byCell: ReadonlyMap<number, CellCapacity>
): { share: number; sd: number } | null {
	const test = batteryTests.find((t) => t.battery === battery.number);
	const groups = battery.groups.map((g) => groupAh(g.cellIds, byCell));
	if (!test || groups.length === 0 || groups.includes(null)) return null;
	const ranAt = battery.groups.flatMap((g) => g.cellIds.map((id) => Date.parse(byCell.get(id)!.run!.testedAt)));
	if (ranAt.some((at) => at >= Date.parse(test.testedAt))) return null;
	const smallestAh = Math.min(...(groups as number[]));
	return { share: Math.min(1, test.capacityAh / smallestAh), sd: test.sdAh / smallestAh };
}

/**
 * What the cells of a bank in service hold by the newest there is: cells that were run by themselves years ago are brought to the latest
 * test of their battery, all by the share its smallest group has lost. A cell that was run since, or sits in no battery, keeps its own.
 * @returns by cell id; only those that are brought
 */
export function fadedCapacities(picture: BankPicture, capacities: readonly CellCapacity[]): Map<number, Known> {
	if (!isInService(picture)) return new Map();
	const byCell = new Map(capacities.map((c) => [c.cell.id, c]));
	return new Map(
		picture.batteries.flatMap((battery) => {
			const fade = fadeOf(picture, battery, byCell);
			if (!fade) return [];
			return battery.groups
				.flatMap((g) => g.cellIds)
				.map((id): [number, Known] => {
					const { capacityAh, sdAh } = byCell.get(id)!;
					const own = capacityAh! * fade.share;
					return [
						id,
						{ capacityAh: own, sdAh: Math.hypot((sdAh ?? 0) * fade.share, capacityAh! * fade.sd, UNLIKE_FADE * own) }
					];
				});
		})
	);
}

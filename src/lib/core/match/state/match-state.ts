import { oncePerPicture, wantedCells, type RestRead, type BankPicture } from '../../picture';
import { readCellCode, type CellCode } from '../../receive/identity';
import { refusalsOf, type BuildableCell, type MatchCell, type Refusal } from '../groups';
import { fadedCapacities } from './faded';
import { judgedTrays, stoppedCells } from '../../receive/trays';
import { bankCapacities, type CellCapacity } from '../../test/capacities';

export interface MatchCandidate extends MatchCell {
	id: number;
	label: string;
	/** Its resistance is out of line, and there are enough others: a search leaves it out. */
	leftOut: boolean;
	/** Its plus is on the other side than printed. */
	plusTurned: boolean;
	/** As it came; null: not read, or only after something was done to it. */
	rest: RestRead | null;
}

export interface PlacedGroup {
	battery: number;
	position: number;
	cellIds: readonly number[];
	/** Null while a cell of it has no capacity. */
	capacityAh: number | null;
	sdAh: number | null;
}

export interface MatchState {
	/** Tested cells, in order of arrival, ready for matching. */
	candidates: MatchCandidate[];
	untested: number;
	/** Groups that hold cells, by battery then position. */
	groups: PlacedGroup[];
}

/** The cells that can be matched, and the groups as they are. */
export const matchState = oncePerPicture((picture): MatchState => {
	const capacities = bankCapacities(picture);
	const odd = resistiveCells(picture);
	const arrivedWith = new Map(judgedTrays(picture).flatMap((t) => [...t.restByCell]));
	const measuredCells = capacities.filter((c) => c.capacityAh !== null);
	const faded = fadedCapacities(picture, capacities);
	const spareable = measuredCells.filter((c) => !odd.has(c.cell.id)).length >= wantedCells(picture);
	const candidates = capacities.flatMap(({ cell, capacityAh, sdAh }) =>
		capacityAh === null
			? []
			: [
					{
						id: cell.id,
						label: cell.label,
						capacityAh: faded.get(cell.id)?.capacityAh ?? capacityAh,
						capacitySdAh: faded.get(cell.id)?.sdAh ?? sdAh,
						resistanceMohm: cell.readings.acResistance?.value ?? null,
						batch: cell.batch,
						leftOut: spareable && odd.has(cell.id),
						plusTurned: cell.plusTurned,
						rest: arrivedWith.get(cell.id) ?? null
					}
				]
	);
	return { candidates, untested: capacities.length - candidates.length, groups: placedGroups(picture, capacities) };
});

/** Cells whose AC resistance is out of line upwards, and by what share of the others' median. */
export const resistiveCells = oncePerPicture((picture): Map<number, number> => {
	const outliers = judgedTrays(picture).flatMap((t) => t.verdicts.filter((v) => v.code === 'resistance-outlier'));
	return new Map(
		outliers.flatMap(({ subject, facts }) =>
			(facts.relativeDifference as number) > 0 ? [[Number(subject.id), facts.relativeDifference as number]] : []
		)
	);
});

/** Sum of a group, and its doubt in quadrature; null while one is not known. */
function together(values: readonly (number | null)[], combine: (known: readonly number[]) => number): number | null {
	return values.some((v) => v === null) ? null : combine(values as number[]);
}

function placedGroups({ batteries }: BankPicture, capacities: readonly CellCapacity[]): PlacedGroup[] {
	const byCell = new Map(capacities.map((c) => [c.cell.id, c]));
	return batteries.flatMap(({ number, groups }) =>
		groups
			.filter((g) => g.cellIds.length > 0)
			.map(({ position, cellIds }) => {
				const known = cellIds.map((id) => byCell.get(id));
				return {
					battery: number,
					position,
					cellIds,
					capacityAh: together(
						known.map((c) => c?.capacityAh ?? null),
						(ah) => ah.reduce((a, b) => a + b, 0)
					),
					sdAh: together(
						known.map((c) => c?.sdAh ?? null),
						(sd) => Math.hypot(...sd)
					)
				};
			})
	);
}

/** Why these groups should not be built in series, by all that is known of their cells. @param groups cell ids, any order */
export function buildRefusals(picture: BankPicture, groups: readonly (readonly number[])[]): Refusal[] {
	const byCell = new Map(bankCapacities(picture).map((c) => [c.cell.id, c]));
	const stopped = stoppedCells(picture);
	const deliveries = new Map(picture.deliveries.map((d) => [d.id, d]));
	const buildable = (id: number): BuildableCell[] => {
		const own = byCell.get(id);
		if (!own) return [];
		const { cell, capacityAh } = own;
		const delivery = deliveries.get(cell.deliveryId);
		const code = cell.code ? codeOf(cell.code) : null;
		return [
			{
				id,
				label: cell.label,
				isStopped: stopped.has(id),
				isUsed: delivery?.used ?? false,
				capacityAh,
				resistanceMohm: cell.readings.acResistance?.value ?? null,
				terminalKind: cell.inspection?.terminalKind ?? null,
				grade: delivery?.promisedGrade?.trim() || null,
				producedOn: code?.productionDate ?? null,
				chemistry: code?.chemistry ?? null
			}
		];
	};
	return refusalsOf(
		groups.map((ids) => ids.flatMap(buildable)),
		picture.bank.chemistry
	);
}

/** What a code says; null where nothing is read from it. */
function codeOf(text: string): CellCode | null {
	try {
		return readCellCode(text);
	} catch {
		return null;
	}
}

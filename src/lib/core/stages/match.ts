import type { RestRead } from '../match/forecast';
import { readCellCode, type CellCode } from '../receive/identity';
import {
	arrivalOrderSummary,
	judgeMatch,
	refusalsOf,
	knownOf,
	tooFewCells,
	type BuildableCell,
	type MatchCell,
	type Refusal
} from '../match/groups';
import { cellSubject, say, type Verdict } from '../foundation/verdicts';
import { fadedCapacities } from './faded';
import { oncePerPicture } from './once-per-picture';
import type { BankPicture } from './picture';
import { bankSubject, batterySubject, concernedCells, isInService, placedCells, wantedCells } from './picture-parts';
import { judgedTrays, stoppedCells } from './receive';
import type { StageJudgement } from './stage-judgement';
import { bankCapacities, type CellCapacity } from './test';

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
const resistiveCells = oncePerPicture((picture): Map<number, number> => {
	const outliers = judgedTrays(picture).flatMap((t) => t.verdicts.filter((v) => v.code === 'resistance-outlier'));
	return new Map(
		outliers.flatMap(({ subject, facts }) =>
			(facts.relativeDifference as number) > 0 ? [[Number(subject.id), facts.relativeDifference as number]] : []
		)
	);
});

/** A cell with too much resistance that is built in although a sound one is at hand. */
function resistiveVerdicts(picture: BankPicture, { candidates }: MatchState): Verdict[] {
	const odd = resistiveCells(picture);
	const builtIn = placedCells(picture).filter((c) => odd.has(c.id));
	const used = new Set(placedCells(picture).map((c) => c.id));
	const spares = candidates.filter((c) => !used.has(c.id) && !odd.has(c.id));
	if (builtIn.length === 0 || spares.length === 0) return [];
	const facts = {
		mostShare: Math.max(...builtIn.map((c) => odd.get(c.id)!)),
		spares: spares.map((c) => c.label)
	};
	return [say('match-resistive', 'look', bankSubject(picture), facts, builtIn.map(cellSubject))];
}

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
				...{ id, label: cell.label, isStopped: stopped.has(id), isUsed: delivery?.used ?? false, capacityAh },
				resistanceMohm: cell.readings.acResistance?.value ?? null,
				terminalKind: cell.inspection?.terminalKind ?? null,
				grade: delivery?.promisedGrade?.trim() || null,
				...{ producedOn: code?.productionDate ?? null, chemistry: code?.chemistry ?? null }
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

/** Batteries built here although something speaks against it, with the reason somebody wrote; it stays as long as that is so. */
function refusalVerdicts(picture: BankPicture): Verdict[] {
	return picture.batteries
		.filter((b) => b.kind === 'built' && b.groups.some((g) => g.cellIds.length))
		.flatMap((battery) => {
			const refusals = buildRefusals(
				picture,
				battery.groups.map((g) => g.cellIds)
			);
			if (refusals.length === 0) return [];
			const facts = { refusals: refusals.map(({ why, found }) => ({ why, found })), despite: battery.builtDespite };
			const cells = new Set(refusals.flatMap((r) => r.cellIds));
			const members = picture.cells.filter((c) => cells.has(c.id)).map(cellSubject);
			const warmth = battery.builtDespite ? 'calm' : 'look';
			return [say('match-refused', warmth, batterySubject(picture, battery), facts, members)];
		});
}

/** What can be said of the groups as they are placed; nothing while they are not whole or a cell is not measured. */
function placedVerdicts(picture: BankPicture, { candidates, groups }: MatchState): Verdict[] {
	const { bank, cellType } = picture;
	const ah = groups.map((g) => g.capacityAh);
	const built = picture.batteries.filter((b) => b.kind === 'built').reduce((sum, b) => sum + b.series, 0);
	if (groups.length !== built || groups.some((g) => g.cellIds.length !== bank.parallel) || ah.includes(null)) return [];
	const problem = { series: built, parallel: bank.parallel, cells: candidates };
	return judgeMatch(
		{
			...knownOf(
				problem,
				groups.map((g) => g.cellIds)
			),
			arrivalSmallestAh: arrivalOrderSummary(problem).smallestGroupAh,
			proof: null
		},
		cellType ? cellType.ratedAh * bank.parallel : null,
		bankSubject(picture)
	);
}

/** The verdicts on the groups as they are, or what keeps the cells from having any. */
export function judgeMatchStage(picture: BankPicture): StageJudgement {
	const state = matchState(picture);
	const placed = placedCells(picture).length;
	const wanted = wantedCells(picture);
	const subject = bankSubject(picture);
	if (wanted === 0) return { verdicts: [], done: true };
	if (placed > 0 && placed < wanted)
		return { verdicts: [say('match-partly', 'look', subject, { placed, wanted })], done: false };
	const resistive = isInService(picture) ? [] : resistiveVerdicts(picture, state);
	if (placed > 0)
		return { verdicts: [...resistive, ...refusalVerdicts(picture), ...placedVerdicts(picture, state)], done: true };
	if (isInService(picture)) return { verdicts: [], done: false };
	const measured = state.candidates.length;
	if (concernedCells(picture).length === 0) return { verdicts: [], done: false };
	const few = tooFewCells(measured, wanted, state.untested, subject);
	// Nobody is told to match while cells are still on the tester.
	const ready = few === null && state.untested === 0;
	return {
		verdicts: few ? [few] : ready ? [say('match-waiting', 'open', subject, { measured, wanted })] : [],
		done: false
	};
}

import { group } from 'd3-array';
import { cellSubject, type Subject, type Verdict } from '../../foundation/verdicts';
import { say } from '../verdicts';
import type { TerminalKind } from '../../picture';
import type { InspectedCell } from './judge-inspections';

/** A cell as it is held against the others it is to be built with. */
export interface ComparedCell extends InspectedCell {
	batch: string | null;
	/** Cells of one group carry one number; null: not placed. */
	groupId: number | null;
}

const SEEN = ['terminalKind', 'sleeveKind', 'ventKind'] as const;
export type Unlike = (typeof SEEN)[number] | 'batch';

const kindOf = (cell: ComparedCell, what: Unlike): string | null =>
	what === 'batch' ? cell.batch?.trim() || null : (cell.inspection?.[what] ?? null);

/**
 * Cells of one bank that are not made alike, the few named against the many, and in how many groups they already meet. What is not known of a
 * cell is held against nobody.
 */
export function judgeUnlike(cells: readonly ComparedCell[], bank: Subject): Verdict[] {
	return (['batch', ...SEEN] as const).flatMap((what) => {
		const known = cells.filter((cell) => kindOf(cell, what) !== null);
		const kinds = [...group(known, (cell) => kindOf(cell, what)!)].sort((a, b) => b[1].length - a[1].length);
		if (kinds.length < 2) return [];
		const placed = known.filter((cell) => cell.groupId !== null);
		const mixedGroups = [...group(placed, (cell) => cell.groupId)].filter(
			([, own]) => new Set(own.map((cell) => kindOf(cell, what))).size > 1
		).length;
		const facts = { what, kinds: kinds.map(([kind, own]) => ({ kind, cells: own.length })), mixedGroups };
		const others = kinds.slice(1).flatMap(([, own]) => own);
		return [say('cells-unlike', 'look', bank, facts, others.map(cellSubject))];
	});
}

/** Cells of a delivery whose terminals are not the ones that were promised. */
export function judgePromisedTerminals(
	cells: readonly InspectedCell[],
	promised: TerminalKind | null,
	delivery: Subject
): Verdict[] {
	if (promised === null) return [];
	const others = cells.filter((c) => c.inspection?.terminalKind && c.inspection.terminalKind !== promised);
	if (others.length === 0) return [];
	const found = [...new Set(others.map((c) => c.inspection!.terminalKind!))];
	return [say('terminals-not-promised', 'look', delivery, { promised, found }, others.map(cellSubject))];
}

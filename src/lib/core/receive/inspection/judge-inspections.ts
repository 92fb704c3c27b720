import { cellSubject, type Subject, type Verdict } from '../../foundation/verdicts';
import { say } from '../verdicts';
import { ALSO_FELT, INSPECTED, type Inspection } from '../../picture';
import { isLifted, stopReasons, swelling } from './inspection';

export interface InspectedCell {
	id: number;
	label: string;
	/** The latest; null: nobody has looked at it. */
	inspection: Inspection | null;
	/** It sits in a battery that is in use. */
	atWork?: boolean;
}

const LOOKED = ['dent', 'terminals', 'thread', 'sleeve'] as const;

/**
 * What was seen on the cells of a delivery: what stops a cell, what to look at, what somebody was not sure of. Nothing is asked while nobody has begun to look.
 * @param nominalMm thickness by the cell's sheet; null: not known
 */
export function judgeInspections(
	cells: readonly InspectedCell[],
	nominalMm: number | null,
	delivery: Subject
): Verdict[] {
	const seen = cells.filter((c): c is InspectedCell & { inspection: Inspection } => c.inspection !== null);
	if (seen.length === 0) return [];
	const own = seen.flatMap((c) => ofCell(c, c.inspection, nominalMm));
	const unseen = cells.filter((c) => c.inspection === null);
	return [
		...own,
		...(unseen.length
			? [
					say(
						'not-inspected',
						'open',
						delivery,
						{ unseen: unseen.length, total: cells.length },
						unseen.map(cellSubject)
					)
				]
			: []),
		...(own.length === 0 && unseen.length === 0
			? [say('inspected-sound', 'calm', delivery, { cells: seen.length })]
			: [])
	];
}

function ofCell(cell: InspectedCell, inspection: Inspection, nominalMm: number | null): Verdict[] {
	const subject = cellSubject(cell);
	const stops = stopReasons(inspection, nominalMm);
	const looks = LOOKED.filter((key) => inspection[key] === 'bad');
	const renewed = inspection.sleeveKind === 'renewed';
	const unsure = [...INSPECTED, ...ALSO_FELT].filter((key) => inspection[key] === 'unsure');
	const thickness = swelling(inspection.thicknessMm, nominalMm);
	const facts = { outMm: thickness?.outMm ?? null, mostMm: thickness?.mostMm ?? null, nominalMm };
	return [
		...(stops.length
			? [
					say('inspection-stop', isLifted(inspection, stops) ? 'calm' : 'stop', subject, {
						reasons: stops,
						resolved: inspection.resolved ?? null,
						lifted: isLifted(inspection, stops),
						atWork: cell.atWork === true,
						...facts
					})
				]
			: []),
		...(looks.length || renewed ? [say('inspection-look', 'look', subject, { seen: looks, renewed })] : []),
		...(unsure.length ? [say('inspection-unsure', 'open', subject, { unsure })] : [])
	];
}

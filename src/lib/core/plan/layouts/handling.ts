import { LIFT_KG } from '../verdicts';
import { requireNotNegative, requirePositive } from '../../foundation/errors';

/** Bars, box, BMS and cables beside the cells, share of their mass (default). */
const REST_MASS = 0.15;
/** Cells with what is built around them, kg. */
export const builtMassKg = (cellsKg: number): number => cellsKg * (1 + REST_MASS);

export interface LiftInput {
	/** What is carried in one piece. */
	massKg: number;
	/** What it stands on, m²; null: not known. */
	footprintM2: number | null;
	/** Between the points a sling would hold, mm; null: not known. */
	spanMm: number | null;
	people: number;
}

export interface LiftPlan {
	/** `alone`, `two`, or not by hand: a hoist, or built where it stays. */
	by: 'alone' | 'two' | 'hoist';
	/** As many as are there can lift it by hand. */
	canLift: boolean;
	/** Pieces it must come in for these people: cells carried in lots of so many kg. */
	lotsForPeople: number;
	/** kg a square metre of floor; null while its footprint is not known. */
	floorKgPerM2: number | null;
	/** Hook above the points held, with slings at 60° from level, mm; null while the span is not known. */
	slingHeightMm: number | null;
}

const SLING_ANGLE = Math.PI / 3;

/** Who carries it, and how. @throws CoreError `not-positive`, `negative` */
export function planLift({ massKg, footprintM2, spanMm, people }: LiftInput): LiftPlan {
	requirePositive(massKg, 'massKg');
	requireNotNegative(people, 'people');
	const by = massKg <= LIFT_KG.one ? 'alone' : massKg <= LIFT_KG.two ? 'two' : 'hoist';
	const most = people >= 2 ? LIFT_KG.two : LIFT_KG.one;
	return {
		by,
		canLift: massKg <= (people >= 1 ? most : 0),
		lotsForPeople: Math.ceil(massKg / most),
		floorKgPerM2: footprintM2 === null ? null : massKg / requirePositive(footprintM2, 'footprintM2'),
		slingHeightMm: spanMm === null ? null : (spanMm / 2) * Math.tan(SLING_ANGLE)
	};
}

import { DECISION_PROBABILITY, say } from '../verdicts';
import { resistanceAt } from '../../foundation/reading';
import { normalCdf } from '../../foundation/statistics';
import { cellSubject, type Subject, type Verdict } from '../../foundation/verdicts';

/** The line a person draws for a grade; null: nothing is asked of that quantity. */
export interface GradeLine {
	/** As it was sold: `A`. */
	name: string;
	leastAh: number | null;
	mostMohm: number | null;
}

export interface GradedCell {
	id: number;
	label: string;
	/** One sd of each, in its unit; null: not measured. */
	capacityAh: number | null;
	capacitySdAh: number | null;
	resistanceMohm: number | null;
	resistanceSdMohm: number | null;
	/** While its resistance was read, °C; null: nobody took it. */
	temperatureC: number | null;
}

export type GradeOutcome = 'within' | 'outside' | 'unsure';

/** The temperature a line for resistance is meant at, °C: that of data sheets. */
const SHEET_C = 25;
/** What not knowing the temperature adds to a resistance, one sd as a fraction: about 9 K either way (models §3). */
const UNKNOWN_WARMTH_SD = 0.25;

/** How likely a figure is over the line to the bad side. @param beyond how far it reads over it, in its unit */
const chanceBeyond = (beyond: number, sd: number): number => (sd === 0 ? Number(beyond > 0) : normalCdf(beyond / sd));

/** How likely a cell's resistance is over the line; null where it was not read. */
function chanceOver(cell: GradedCell, mostMohm: number): number | null {
	const { resistanceMohm: read, resistanceSdMohm, temperatureC } = cell;
	if (read === null) return null;
	const { mohm, sdMohm } =
		temperatureC === null
			? { mohm: read, sdMohm: Math.hypot(resistanceSdMohm ?? 0, UNKNOWN_WARMTH_SD * read) }
			: resistanceAt(read, resistanceSdMohm ?? 0, temperatureC, SHEET_C);
	return chanceBeyond(mohm - mostMohm, sdMohm);
}

/**
 * A cell against the line: outside when one quantity surely is, within when all that are asked surely are together: their chances of being
 * outside add up to less than 5 %.
 */
export function gradeOf(cell: GradedCell, { leastAh, mostMohm }: GradeLine): GradeOutcome {
	const chances = [
		...(leastAh === null
			? []
			: [cell.capacityAh === null ? null : chanceBeyond(leastAh - cell.capacityAh, cell.capacitySdAh ?? 0)]),
		...(mostMohm === null ? [] : [chanceOver(cell, mostMohm)])
	];
	const known = chances.filter((p) => p !== null);
	if (known.some((p) => p > DECISION_PROBABILITY)) return 'outside';
	const together = known.reduce((a, b) => a + b, 0);
	return known.length === chances.length && together < 1 - DECISION_PROBABILITY ? 'within' : 'unsure';
}

/** What the cells of a delivery are against the grade they were sold as; nothing is said without a line, or of nothing measured. */
export function judgeGrade(cells: readonly GradedCell[], line: GradeLine, delivery: Subject): Verdict[] {
	if (line.leastAh === null && line.mostMohm === null) return [];
	const outcomes = cells.map((cell) => gradeOf(cell, line));
	const of = (outcome: GradeOutcome) => cells.filter((_, i) => outcomes[i] === outcome);
	const [outside, unsure, within] = [of('outside'), of('unsure'), of('within')];
	if (outside.length + within.length === 0) return [];
	const facts = {
		grade: line.name,
		leastAh: line.leastAh,
		mostMohm: line.mostMohm,
		outside: outside.length,
		unsure: unsure.length,
		within: within.length
	};
	return outside.length
		? [say('outside-grade', 'look', delivery, facts, outside.map(cellSubject))]
		: [say('within-grade', unsure.length ? 'open' : 'calm', delivery, facts, unsure.map(cellSubject))];
}

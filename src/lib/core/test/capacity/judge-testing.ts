import { WHOLE_BANK, cellSubject, measured, type Subject, type Verdict } from '../../foundation/verdicts';
import { say } from '../verdicts';
import type { CapacityJudgement } from './judge-capacity';

/** Why a run gave no capacity: too far from standard conditions, or not from full to the end, so that it is a lower bound. */
export type RefusedRun =
	| { why: 'conditions'; reason: string }
	| { why: 'not-full' | 'ended-early'; atLeastAh: number }
	/** Runs that exclude each other: none is used. */
	| { why: 'contradict'; runsAh: readonly number[] }
	/** A single result so far from the rating that a digit slipped; what may have been meant. */
	| { why: 'slipped'; capacityAh: number; meantAh: number | null };

export interface TestedCell {
	id: number;
	label: string;
	/** Null while there is no capacity to judge, or nothing to judge it against. */
	judgement: CapacityJudgement | null;
	/** Null when a run gave a capacity, or when there is no run. */
	refused: RefusedRun | null;
	/** Temperature of the run its capacity comes from, °C; null when nobody wrote it down. */
	temperatureC: number | null;
	tested: boolean;
	/** What it is rated; null or missing: not known. */
	ratedAh?: number | null;
}

/** From so many on, cells that nothing speaks against are one verdict. */
const TOGETHER_FROM = 3;

function refusedVerdict(cell: TestedCell, refused: RefusedRun): Verdict {
	const subject = cellSubject(cell);
	switch (refused.why) {
		case 'conditions':
			return say('correction-refused', 'look', subject, { reason: refused.reason });
		case 'contradict':
			return say('runs-contradict', 'look', subject, { runsAh: refused.runsAh });
		case 'slipped':
			return say('run-slipped', 'look', subject, {
				capacityAh: refused.capacityAh,
				meantAh: refused.meantAh,
				ratedAh: cell.ratedAh ?? 0
			});
		default:
			return say('capacity-at-least', 'look', subject, { atLeastAh: refused.atLeastAh, why: refused.why });
	}
}

/** A cell that is short with this probability has something against it. */
const AGAINST_FROM = 0.8;

/** Cells whose doubt alone leaves them undecided: not probably short, and their testers do not disagree. */
const isUndecided = ({ judgement: own }: TestedCell): boolean =>
	own?.outcome === 'unsure' && own.testersApartAh === null && own.probabilityShort < AGAINST_FROM;

function undecidedTogether(cells: readonly TestedCell[], subject: Subject): Verdict {
	const lowest = cells.map((c) => c.judgement!).reduce((a, b) => (b.capacityAh < a.capacityAh ? b : a));
	const facts = {
		lowestAh: measured(lowest.capacityAh, lowest.sdAh),
		ratedAh: lowest.ratedAh,
		cells: cells.length,
		withoutTemperature: cells.filter((c) => c.temperatureC === null).length
	};
	return say('capacity-undecided', 'open', subject, facts, cells.map(cellSubject));
}

/**
 * The verdicts on a tray of cells under test: each against rated, those that nothing speaks against together, runs that must be
 * repeated, cells still waiting.
 * @param subject the bank they are tested for
 */
export function judgeTesting(cells: readonly TestedCell[], subject: Subject = WHOLE_BANK): Verdict[] {
	const waiting = cells.filter((c) => !c.tested && c.refused === null);
	const undecided = cells.filter(isUndecided);
	const together = undecided.length >= TOGETHER_FROM ? undecided : [];
	return [
		...cells.flatMap((c) => (c.judgement && !together.includes(c) ? [c.judgement.verdict] : [])),
		...(together.length ? [undecidedTogether(together, subject)] : []),
		...cells.flatMap((c) => (c.refused ? [refusedVerdict(c, c.refused)] : [])),
		...(waiting.length ? [say('untested', 'open', subject, { waiting: waiting.length }, waiting.map(cellSubject))] : [])
	];
}

import { WHOLE_BANK, cellSubject, say, type Subject, type Verdict } from '../verdicts';
import type { CapacityJudgement } from './judge-capacity';

export interface TestedCell {
	id: number;
	label: string;
	/** Null while there is no capacity to judge, or nothing to judge it against. */
	judgement: CapacityJudgement | null;
	/** Why a run gave no capacity; null when it did, or when there is no run. */
	refused: string | null;
	tested: boolean;
}

/**
 * The verdicts on a tray of cells under test: each against rated, runs that must be repeated, cells still waiting.
 * @param subject the bank they are tested for
 */
export function judgeTesting(cells: readonly TestedCell[], subject: Subject = WHOLE_BANK): Verdict[] {
	const waiting = cells.filter((c) => !c.tested && c.refused === null);
	return [
		...cells.flatMap((c) => (c.judgement ? [c.judgement.verdict] : [])),
		...cells
			.filter((c) => c.refused !== null)
			.map((c) => say('correction-refused', 'look', cellSubject(c), { reason: c.refused! })),
		...(waiting.length ? [say('untested', 'open', subject, { waiting: waiting.length }, waiting.map(cellSubject))] : [])
	];
}

import type { Verdict } from '../shared';
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

/** The verdicts on a tray of cells under test: each against rated, runs that must be repeated, cells still waiting. */
export function judgeTesting(cells: readonly TestedCell[]): Verdict[] {
	const waiting = cells.filter((c) => !c.tested && c.refused === null);
	return [
		...cells.flatMap((c) => (c.judgement ? [c.judgement.verdict] : [])),
		...cells.filter((c) => c.refused !== null).map(repeatVerdict),
		...(waiting.length ? [waitingVerdict(waiting)] : [])
	];
}

function repeatVerdict(cell: TestedCell): Verdict {
	return {
		code: 'correction-refused',
		warmth: 'look',
		title: `${cell.label}: test again`,
		finding: cell.refused!,
		doubt: null,
		rule: 'Corrections larger than 5 % are refused.',
		next: 'Warm the cell and run it again.',
		cellIds: [cell.id]
	};
}

function waitingVerdict(waiting: readonly TestedCell[]): Verdict {
	return {
		code: 'untested',
		warmth: 'open',
		title: `${waiting.length} ${waiting.length === 1 ? 'cell' : 'cells'} not tested`,
		finding: 'Matching uses measured capacity only.',
		doubt: null,
		rule: 'No capacity is assumed from print.',
		next: `Put ${waiting[0].label} on the tester.`,
		cellIds: waiting.map((c) => c.id)
	};
}

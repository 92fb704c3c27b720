import {
	askingNothing,
	WARMTHS,
	warmestOf,
	type Stage,
	type StageStatus,
	cellsOf,
	type Verdict
} from '../foundation/verdicts';

/** What one stage of a bank is judged to be. */
export interface StageJudgement {
	verdicts: Verdict[];
	done: boolean;
}

const wantsLook = (v: Verdict) => WARMTHS.indexOf(v.warmth) >= WARMTHS.indexOf('look');

/** What the rail shows of a stage: how many verdicts want a look, else how much is open. */
export function statusOf(stage: Stage, { verdicts, done }: StageJudgement): StageStatus {
	const looks = verdicts.filter(wantsLook).length;
	const open = verdicts.filter((v) => v.warmth === 'open').reduce((sum, v) => sum + Math.max(1, cellsOf(v).length), 0);
	const count = looks || open;
	return { stage, open: count ? String(count) : null, warmth: warmestOf(verdicts), done };
}

/**
 * A verdict on a cell that is of no concern to this bank any more: it is said, and asks nothing. One that says stop goes on
 * doing so, wherever the cell lies, until a person sets it apart or no longer considers the cell.
 */
export function setAside(verdicts: readonly Verdict[], concerned: ReadonlySet<number>): Verdict[] {
	return verdicts.map((v) => {
		const cells = cellsOf(v);
		const asks = v.warmth === 'stop' || cells.length === 0 || cells.some((id) => concerned.has(id));
		return asks ? v : askingNothing(v);
	});
}

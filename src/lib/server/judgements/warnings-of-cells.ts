import type { StageVerdict } from '$lib/core/foundation/verdicts';

export type CellWarning = Pick<StageVerdict, 'code' | 'warmth' | 'facts' | 'title'>;

/** Stages that judge single cells. */
const STAGES = new Set(['receive', 'test']);
const HEAT = { stop: 2, look: 1, open: 0, calm: 0 } as const;

/** What is said of single cells that wants a look, the warmest of each, by cell id. */
export function warningsOfCells(verdicts: readonly StageVerdict[]): Record<number, CellWarning> {
	const warnings: Record<number, CellWarning> = {};
	for (const { stage, subject, code, warmth, facts, title } of verdicts) {
		if (!STAGES.has(stage) || subject.kind !== 'cell' || HEAT[warmth] === 0) continue;
		const known = warnings[subject.id as number];
		if (!known || HEAT[known.warmth] < HEAT[warmth]) warnings[subject.id as number] = { code, warmth, facts, title };
	}
	return warnings;
}

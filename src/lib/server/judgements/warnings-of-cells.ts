import { worded, type KeptStageVerdict } from '$lib/core/bank';
import type { StageVerdict } from '$lib/core/foundation/verdicts';

export type CellWarning = Pick<StageVerdict, 'code' | 'warmth' | 'facts' | 'title'>;
/** The same as it is stored. */
export type KeptWarning = Pick<KeptStageVerdict, 'stage' | 'code' | 'warmth' | 'subject' | 'members' | 'facts'>;

export function inWords(kept: KeptWarning): CellWarning {
	const { code, warmth, facts, title } = worded<StageVerdict>(kept);
	return { code, warmth, facts, title };
}

/** Stages that judge single cells. */
const STAGES = new Set(['receive', 'test']);
const HEAT = { stop: 2, look: 1, open: 0, calm: 0 } as const;

/** What is said of single cells that wants a look, the warmest of each, by cell id. */
export function warningsOfCells(verdicts: readonly KeptWarning[]): Record<number, KeptWarning> {
	const warnings: Record<number, KeptWarning> = {};
	for (const { stage, subject, members, code, warmth, facts } of verdicts) {
		if (!STAGES.has(stage) || subject.kind !== 'cell' || HEAT[warmth] === 0) continue;
		const known = warnings[subject.id as number];
		if (!known || HEAT[known.warmth] < HEAT[warmth])
			warnings[subject.id as number] = { stage, code, warmth, subject, members, facts };
	}
	return warnings;
}

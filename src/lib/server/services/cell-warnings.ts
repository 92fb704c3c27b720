import type { StageVerdict } from '$lib/core/verdicts';
import { refreshSoon } from '../judgements/behind';
import { verdictsSaidLast } from '../judgements/store';

export type CellWarning = Pick<StageVerdict, 'code' | 'warmth' | 'facts' | 'title'>;

/** Stages that judge single cells. */
const STAGES = new Set(['receive', 'test']);
const HEAT = { stop: 2, look: 1, open: 0, calm: 0 } as const;

/** Judging what is out of date holds a list of cells up for so long, ms. */
const PATIENCE_MS = 250;

/**
 * What some banks say of single cells that wants a look, the warmest of each by cell id.
 * `beingJudged`: banks of which this is what was said before; they are judged behind it.
 */
export async function cellWarnings(
	bankIds: readonly number[],
	patienceMs = PATIENCE_MS
): Promise<{ warnings: Map<number, CellWarning>; beingJudged: number[] }> {
	const beingJudged = await refreshSoon(patienceMs, bankIds);
	const warnings = new Map<number, CellWarning>();
	for (const bankId of new Set(bankIds))
		for (const { stage, subject, code, warmth, facts, title } of await verdictsSaidLast(bankId)) {
			if (!STAGES.has(stage) || subject.kind !== 'cell' || HEAT[warmth] === 0) continue;
			const known = warnings.get(subject.id as number);
			if (!known || HEAT[known.warmth] < HEAT[warmth])
				warnings.set(subject.id as number, { code, warmth, facts, title });
		}
	return { warnings, beingJudged };
}

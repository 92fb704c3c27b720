import type { Stage, StageVerdict } from '$lib/core/foundation/verdicts';
import { bankVerdicts } from '../judgements/store';

/** What every stage's page shows: its verdicts, as Home and the rail know them. */
export interface StagePage {
	verdicts: StageVerdict[];
}

/** Marks and buttons are made from the facts of what wants a look, acknowledged or not; of the calm ones a page shows the words alone. */
const shownVerdict = (v: StageVerdict): StageVerdict => (v.warmth === 'calm' && !v.setApart ? { ...v, facts: {} } : v);

/** The page of a stage: its own state, and the judgement that is shown everywhere. */
export async function pageOf<Own extends object>(
	bankId: number,
	stage: Stage,
	own: Promise<Own>
): Promise<Own & StagePage> {
	const [state, verdicts] = await Promise.all([own, bankVerdicts(bankId, stage)]);
	return { ...state, verdicts: verdicts.map(shownVerdict) };
}

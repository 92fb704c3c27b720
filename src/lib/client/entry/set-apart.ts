import { lookAgain } from '$lib/client/tabs/look-again';
import type { Stage, ShownVerdict } from '$lib/core/foundation/verdicts';
import { announce, attempt } from './announce';
import { api } from '../api/api';
import type { AnswerFor } from '../api/api-shapes';

type Acknowledgement = AnswerFor<'get', 'acknowledgements'>['items'][number];

const isOf = (a: Acknowledgement, { code, subject }: ShownVerdict) =>
	a.code === code && a.subjectKind === subject?.kind && a.subjectId === String(subject?.id);

/** How the pages of a bank's stage set a verdict apart: with a reason, or without to let it glow again. */
export function settingApart(bankId: number, stage: Stage) {
	return async (verdict: ShownVerdict, reason: string | null): Promise<void> => {
		const { code, subject } = verdict;
		if (!subject) return;
		const done = await attempt(async () => {
			if (reason !== null) {
				const about = { bankId, stage, code, subjectKind: subject.kind, subjectId: subject.id };
				await api.post('acknowledgements', { ...about, reason });
				return;
			}
			const { items } = await api.get('acknowledgements', { bankId, stage, size: 500 });
			const own = items.find((a) => isOf(a, verdict));
			if (own) await api.remove(`acknowledgements/${own.id}`, own.version);
		});
		if (!done) return;
		announce(reason === null ? 'It glows again.' : 'Set apart.');
		await lookAgain();
	};
}

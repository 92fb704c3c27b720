import type { Scenario } from '$lib/core/world/bench';
import type { Finding, RehearsalJudgement } from '$lib/core/world/rehearsal';
import { createRepository, type Recorded } from '../../db/repository';

export type Rehearsal = Recorded & {
	bankId: number;
	scenario: Scenario;
	saved: string | null;
	conclusions: Finding[] | null;
	judgement: RehearsalJudgement | null;
	revealedAt: string | null;
};
export const rehearsals = createRepository<Rehearsal>('rehearsals', 'rehearsal', 'id', {
	json: ['scenario', 'conclusions', 'judgement']
});

import type { Stage, SubjectKind, VerdictFacts } from '$lib/core/foundation/verdicts';
import { createRepository, type Recorded } from '../../db/repository';

export type Acknowledgement = Recorded & {
	bankId: number;
	stage: Stage;
	code: string;
	subjectKind: SubjectKind;
	subjectId: string;
	reason: string;
	/** What the verdict stood on when it was set apart. */
	facts: VerdictFacts;
	acknowledgedAt: string;
};
export const acknowledgements = createRepository<Acknowledgement>('acknowledgements', 'acknowledgement', 'id', {
	json: ['facts']
});

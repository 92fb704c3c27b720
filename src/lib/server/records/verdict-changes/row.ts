import { keptVerdict, worded } from '$lib/core/bank';
import { createRepository, type Recorded } from '../../db/repository';
import type { Cause } from '../causes';
import type { Verdict } from '$lib/core/foundation/verdicts';

/** A verdict that says something else than before: what it said, what it says, since when and why. */
export type VerdictChange = Recorded & {
	bankId: number;
	stage: string;
	code: string;
	subjectKind: string;
	subjectId: string;
	subjectLabel: string;
	/** Cells it speaks or spoke of. */
	memberIds: number[];
	saidBefore: Verdict | null;
	saysNow: Verdict | null;
	cause: (Cause & { happenedAt: string })[];
	changedAt: string;
};
/** Kept as code and facts; its words are made when it is read. */
const NAMED = ['saidBefore', 'saysNow'] as const;
const each = <Fields extends object>(fields: Fields, make: (verdict: Verdict) => unknown): Fields => {
	const known = fields as Partial<Record<(typeof NAMED)[number], Verdict | null>>;
	const made = NAMED.flatMap((name) => (known[name] ? [[name, make(known[name])]] : []));
	return { ...fields, ...Object.fromEntries(made) };
};

export const verdictChanges = createRepository<VerdictChange>('verdict_changes', 'change of a verdict', 'changedAt', {
	json: ['memberIds', 'saidBefore', 'saysNow', 'cause'],
	whenRead: (row) => each(row, worded),
	asStored: (fields) => each(fields, keptVerdict)
});

import type { SubjectKind } from '$lib/core/foundation/verdicts';

/** The kind of record each subject of a verdict is; a joint or a lead is named by its battery. */
export const RECORDS_OF_SUBJECTS: Record<SubjectKind, string> = {
	bank: 'banks',
	battery: 'batteries',
	group: 'groups',
	cell: 'cells',
	delivery: 'deliveries',
	module: 'modules',
	run: 'runs',
	balance: 'balance-runs',
	method: 'method-runs',
	joint: 'batteries',
	lead: 'batteries',
	instrument: 'instruments'
};

/** A subject's id taken apart: the record it names, and what stands behind it (`/position` of a joint or lead). */
export function recordOfSubject(kind: SubjectKind, id: string): { name: string; recordId: number; rest: string } {
	const [record, ...rest] = id.split('/');
	return { name: RECORDS_OF_SUBJECTS[kind], recordId: Number(record), rest: rest.map((r) => `/${r}`).join('') };
}

import type { Knex } from 'knex';
import type { Verdict } from '$lib/core/foundation/verdicts';
import { InputError } from '$lib/input/validate';
import { defineKind } from '../kind';
import { AcknowledgementInput, StoredAcknowledgementInput } from './input';
import { acknowledgements, type Acknowledgement } from './row';

/** The verdict as it was last judged. @throws InputError when it does not stand (any more) */
async function standing(input: AcknowledgementInput, tx: Knex): Promise<Verdict> {
	const row = await tx('bank_judgements').where({ bank_id: input.bankId }).first('verdicts');
	const verdicts = JSON.parse(row?.verdicts ?? '[]') as (Verdict & { stage: string })[];
	const found = verdicts.find(
		(v) =>
			v.stage === input.stage &&
			v.code === input.code &&
			v.subject.kind === input.subjectKind &&
			String(v.subject.id) === String(input.subjectId)
	);
	if (!found)
		throw new InputError([
			{ path: 'code', message: 'this verdict does not stand (any more): reload to see what does' }
		]);
	return found;
}

/** A verdict set apart stays, calm, until its facts change. Taking the acknowledgement out lets it glow again. */
export const acknowledgementKind = defineKind<Acknowledgement>({
	name: 'acknowledgements',
	repository: acknowledgements,
	createInput: AcknowledgementInput,
	changeInput: null,
	parents: { bankId: 'banks' },
	filters: ['bankId', 'stage'],
	columns: null,
	keyed: true,
	names: { kindField: 'subjectKind', idField: 'subjectId' },
	storedInput: StoredAcknowledgementInput,
	archivedWith: 'bankId',
	async prepare(input: AcknowledgementInput, tx) {
		const { facts } = await standing(input, tx);
		return { ...input, subjectId: String(input.subjectId), facts, acknowledgedAt: new Date().toISOString() };
	},
	banksOf: async ({ bankId }) => [bankId]
});

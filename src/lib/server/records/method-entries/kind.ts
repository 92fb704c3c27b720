import type { Knex } from 'knex';
import { followMethod, refuseEntry } from '$lib/core/balance/steps';
import { CoreError } from '$lib/core/foundation/shared';
import { InputError } from '$lib/input/validate';
import { banks } from '../banks/row';
import { defineKind } from '../kind';
import { methodOf } from '../method-runs/follow';
import { methodRuns } from '../method-runs/row';
import { MethodEntryInput } from './input';
import { methodEntries, type MethodEntryRow } from './row';

/** A phone’s clock may be ahead by so much, ms. */
const AHEAD_MS = 300_000;

/** Each in its turn, one after the other however many tabs are open. @throws InputError for what is not its turn, too early or lacks a figure */
async function inItsTurn(fields: MethodEntryInput, tx: Knex) {
	const { run, world } = await methodOf(await methodRuns.hold(fields.methodRunId, tx, 'update'), tx);
	const entry = {
		...{ cellId: fields.cellId ?? null, unit: fields.unit ?? null, step: fields.step },
		doneAt: fields.doneAt ?? new Date().toISOString(),
		...{ voltageV: fields.voltageV ?? null, currentA: fields.currentA ?? null },
		...{ ah: fields.ah ?? null, wh: fields.wh ?? null },
		...{
			volts: fields.volts ?? null,
			passings: fields.passings ?? null,
			asked: fields.asked ?? null,
			words: fields.words ?? null
		}
	};
	// A rehearsal’s clock may be ahead of ours; a bench’s is not.
	const { rehearsal } = await banks.get(run.bankId, tx);
	if (!rehearsal && Date.parse(entry.doneAt) > Date.now() + AHEAD_MS)
		throw new InputError([
			{ path: 'doneAt', message: 'That has not come yet: a step is written down when it is done.' }
		]);
	if (entry.passings && entry.passings.groups.length !== entry.volts?.length)
		throw new InputError([{ path: 'passings', message: 'passings requires as many groups as there are volts' }]);
	const refused = refuseEntry(run, world, entry);
	if (refused) throw new InputError([{ path: refused.field, message: refused.message }]);
	return { ...fields, doneAt: entry.doneAt };
}

export const methodEntryKind = defineKind<MethodEntryRow>({
	name: 'method-entries',
	repository: methodEntries,
	called: ({ step, doneAt }) => `${step} at ${doneAt.slice(0, 16).replace('T', ' ')}`,
	createInput: MethodEntryInput,
	changeInput: MethodEntryInput,
	parents: { methodRunId: 'method-runs', cellId: 'cells?' },
	filters: ['methodRunId'],
	columns: ['id', 'methodRunId', 'cellId', 'unit', 'step', 'doneAt', 'voltageV', 'currentA', 'ah', 'wh', 'words'],
	keyed: true,
	archivedWith: 'methodRunId',
	prepare: inItsTurn,
	async check({ methodRunId }, tx) {
		const { run, world } = await methodOf(await methodRuns.get(methodRunId, tx), tx);
		try {
			followMethod(run, world);
		} catch (error) {
			if (!(error instanceof CoreError)) throw error;
			throw new InputError([{ path: 'volts', message: `Nothing follows from these figures: ${error.message}` }]);
		}
	},
	banksOf: async ({ methodRunId }, tx) => tx('method_runs').where({ id: methodRunId }).pluck('bank_id')
});

import type { Knex } from 'knex';
import { followMethod, refuseEntry } from '$lib/core/balance/steps';
import { CoreError } from '$lib/core/foundation/errors';
import { InputError } from '$lib/input/validate';
import { methodOf } from '../../bank-picture/method-run';
import { ServiceError } from '../../errors';
import { balanceRuns, banks, cells, methodRuns, type MethodEntryRow, type MethodRunRow } from '../../records';
import { defineHooks, type HooksByKind } from '../../records/hooks';
import type { MethodEntryInput } from '../../records/method-entries/input';
import type { MethodRunInput } from '../../records/method-runs/input';
import { placedIn } from './row-of-cells';

/** A phone’s clock may be ahead by so much, ms. */
const AHEAD_MS = 300_000;

/** Each in its turn, one after the other however many tabs are open. @throws InputError for what is not its turn, too early or lacks a figure */
async function inItsTurn(fields: MethodEntryInput, tx: Knex) {
	const { run, world } = await methodOf(await methodRuns.hold(fields.methodRunId, tx, 'update'), tx);
	const entry = {
		cellId: fields.cellId ?? null,
		unit: fields.unit ?? null,
		step: fields.step,
		doneAt: fields.doneAt ?? new Date().toISOString(),
		voltageV: fields.voltageV ?? null,
		currentA: fields.currentA ?? null,
		ah: fields.ah ?? null,
		wh: fields.wh ?? null,
		volts: fields.volts ?? null,
		passings: fields.passings ?? null,
		asked: fields.asked ?? null,
		words: fields.words ?? null
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
	return { doneAt: entry.doneAt };
}

/** @throws ServiceError 409 while a charge side by side goes on */
async function refuseWhileCharging(bankId: number, tx: Knex): Promise<void> {
	const charging = (await balanceRuns.all({ bankId }, tx)).some((r) => r.startedAt !== null && r.endedAt === null);
	if (charging)
		throw new ServiceError(409, 'charging', 'A charge side by side goes on: end it first, then begin this.');
}

/** @throws InputError for a cell there is not */
async function refuseUnknownCells(cellIds: readonly number[], tx: Knex): Promise<void> {
	const known = new Set((await cells.all({ id: [...cellIds] }, tx)).map((c) => c.id));
	const strange = cellIds.find((id) => !known.has(id));
	if (strange !== undefined) throw new InputError([{ path: 'cellIds', message: `There is no cell ${strange}.` }]);
}

/** Balancing by steps: its cells are those of the bank, and every step is done in its turn. */
export const STEPS_HOOKS: HooksByKind = {
	'method-runs': defineHooks<MethodRunRow>({
		prepare: async ({ bankId, cellIds, method }: MethodRunInput, tx) => ({
			cellIds: cellIds ?? (method === 'ready-made' ? [] : await placedIn(bankId, tx))
		}),
		async check({ bankId, cellIds, method }, tx, before) {
			if (before !== null) return;
			if (method === 'bottom' || method === 'fast') await refuseWhileCharging(bankId, tx);
			if (cellIds?.length) await refuseUnknownCells(cellIds, tx);
		}
	}),
	'method-entries': defineHooks<MethodEntryRow>({
		prepare: inItsTurn,
		async check({ methodRunId }, tx) {
			const { run, world } = await methodOf(await methodRuns.get(methodRunId, tx), tx);
			try {
				followMethod(run, world);
			} catch (error) {
				if (!(error instanceof CoreError)) throw error;
				throw new InputError([{ path: 'volts', message: `Nothing follows from these figures: ${error.message}` }]);
			}
		}
	})
};

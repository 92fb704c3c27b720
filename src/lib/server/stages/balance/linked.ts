import type { Knex } from 'knex';
import { followMethod } from '$lib/core/balance/steps';
import { methodOf } from '../../bank-picture/method-run';
import { ServiceError } from '../../errors';
import { methodRuns } from '../../records';

/** @throws ServiceError 409 while a charge in series goes on or its links are not proved off: nothing is joined side by side */
export async function refuseWhileLinked(bankId: number, tx?: Knex): Promise<void> {
	// One that was only ended has proved nothing: the string may still stand.
	const latest = (await methodRuns.all({ bankId }, tx)).findLast((r) => r.method === 'fast');
	if (!latest) return;
	const { run, world } = await methodOf(latest, tx);
	if (followMethod(run, world).locksJoining)
		throw new ServiceError(
			409,
			'links-not-off',
			'These cells stand in series. Take every series link off and prove it, pair by pair, in Balance, Step by step: one that stays in makes a short circuit of the row.'
		);
}

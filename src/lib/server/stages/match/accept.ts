import type { Knex } from 'knex';
import type { MatchGroupsInput } from '$lib/input/compute';
import { InputError } from '$lib/input/validate';
import { buildRefusals } from '$lib/core/match/state';
import { refusalWords } from '$lib/core/match/verdicts';
import { cellsInPlay, loadBankPicture } from '../../bank-picture/load';
import { inTransaction } from '../../db/transaction';
import { ServiceError } from '../../errors';
import { banks, batteries, groups, placements, type Placement } from '../../records';
import { currentPlacements } from '../../bank-picture/placements';
import { noteCause } from '../../records/causes';

/** Groups of the batteries built here, battery by battery, and how many cells each takes. */
async function builtGroups(bankId: number, tx: Knex): Promise<number[]> {
	const built = (await batteries.all({ bankId, kind: 'built' }, tx)).map((b) => b.id);
	const all = built.length ? await groups.all({ batteryId: built }, tx) : [];
	return built.flatMap((batteryId) => all.filter((g) => g.batteryId === batteryId).map((g) => g.id));
}

const refused = (message: string) => new InputError([{ path: 'groups', message }]);
const sorted = (ids: readonly number[]) => [...ids].sort((a, b) => a - b).join();

/**
 * Records which cell sits in which group. A cell that stays in its group is left alone; those that leave are ended on the same date.
 * What should not be built in series is refused unless a reason is written, which stays on the batteries.
 * @throws InputError when groups do not fit the layout or name a cell twice; ServiceError 409 when a cell is in another bank,
 * or when the bank was matched by somebody else since
 */
export async function acceptMatch(bankId: number, input: MatchGroupsInput): Promise<Placement[]> {
	const replaces = input.replaces ?? (await currentPlacements(bankId)).map((p) => p.id);
	const despite = input.despite?.trim() || null;
	const picture = await loadBankPicture(bankId);
	const { series } = picture.bank;
	// What stands in series is one battery: others beside it may be of other cells.
	const byBattery = Array.from({ length: Math.ceil(input.groups.length / series) }, (_, b) =>
		buildRefusals(picture, input.groups.slice(b * series, (b + 1) * series))
	);
	const refusals = byBattery.flat();
	return inTransaction(async (tx) => {
		const bank = await banks.hold(bankId, tx, 'update');
		const groupIds = await builtGroups(bankId, tx);
		if (input.groups.length !== groupIds.length || input.groups.some((g) => g.length !== bank.parallel))
			throw refused(
				`requires ${groupIds.length} groups of ${bank.parallel} for ${bank.series}S${bank.parallel}P × ${bank.batteries}`
			);
		const ids = input.groups.flat();
		if (new Set(ids).size !== ids.length) throw refused('a cell is named twice');
		const open = await currentPlacements(bankId, tx);
		if (sorted(open.map((p) => p.id)) !== sorted(replaces))
			throw new ServiceError(
				409,
				'matched-meanwhile',
				'The cells of this bank were placed elsewhere since you looked. Nothing was changed: reload to see it, then match again.'
			);
		await refuseStrangers(bankId, ids, tx);
		if (refusals.length && !despite)
			throw new ServiceError(
				409,
				'should-not-be-built',
				`${refusalWords(refusals)} Exchange those cells, or write why they are built all the same.`
			);
		const placedAt = input.placedAt ?? new Date().toISOString();
		const wanted = input.groups.flatMap((group, g) =>
			group.map((cellId) => ({ cellId, groupId: groupIds[g]!, placedAt }))
		);
		const placeOf = new Map(wanted.map((w) => [w.cellId, w.groupId]));
		// A cell that stays where it is has not been touched: its years there go on.
		const stays = new Set(open.filter((p) => placeOf.get(p.cellId) === p.groupId).map((p) => p.cellId));
		const leaving = open.filter((p) => !stays.has(p.cellId));
		if (leaving.length) await placements.updateAll({ id: leaving.map((p) => p.id) }, { removedAt: placedAt }, tx);
		const coming = wanted.filter((w) => !stays.has(w.cellId));
		if (coming.length) await placements.insertMany(coming, tx);
		await batteries.updateAll({ bankId, kind: 'built' }, { builtDespite: refusals.length ? despite : null }, tx);
		await noteCause([bankId], { kind: 'placements', recordId: null, deed: 'create' }, tx);
		return currentPlacements(bankId, tx);
	});
}

/** Only cells in play here; the ones that sit elsewhere are named as such. */
async function refuseStrangers(bankId: number, ids: readonly number[], tx: Knex): Promise<void> {
	// In one order, so that two who want the same cells wait for each other.
	await tx('cells')
		.whereIn('id', [...ids])
		.orderBy('id')
		.forUpdate()
		.select('id');
	const elsewhere = (await placements.all({ cellId: ids, removedAt: null }, tx)).find((p) => p.bankId !== bankId);
	if (elsewhere)
		throw new ServiceError(
			409,
			'already-placed',
			`Cell ${elsewhere.cellId} is built into another bank. Take it out there first.`
		);
	const own = new Set((await cellsInPlay(bankId, tx)).map((c) => c.id));
	const stranger = ids.find((id) => !own.has(id));
	if (stranger !== undefined) throw refused(`cell ${stranger} does not belong to this bank`);
}

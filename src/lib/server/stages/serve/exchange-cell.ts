import { buildRefusals } from '$lib/core/match/state';
import { refusalWords } from '$lib/core/match/verdicts';
import type { ExchangeInput } from '$lib/input/compute';
import { InputError } from '$lib/input/validate';
import { loadBankPicture } from '../../bank-picture/load';
import { inTransaction } from '../../db/transaction';
import { ServiceError } from '../../errors';
import { batteries, candidates, cells, placements, type Placement } from '../../records';
import { noteCause } from '../../records/causes';
import { pickCells } from '../../stock/stock';

/**
 * Takes one cell out of its group and puts another in its place, or none; every other cell of the bank stays as it is.
 * What should not be built beside the others is refused unless a reason is written, which stays on the battery.
 * @returns the place that is filled now; null when it is left empty
 * @throws InputError when a cell is not where it is said to be; ServiceError 409 when the new one sits elsewhere or should not be built
 */
export async function exchangeCell(bankId: number, input: ExchangeInput): Promise<Placement | null> {
	const { outCellId, intoCellId = null } = input;
	if (outCellId === intoCellId)
		throw new InputError([{ path: 'intoCellId', message: 'Choose another cell than the one that is taken out.' }]);
	if (intoCellId !== null) await takeForBank(bankId, intoCellId);
	const refusals = await refusalsOf(bankId, outCellId, intoCellId);
	const despite = input.despite?.trim() || null;
	if (refusals && !despite)
		throw new ServiceError(
			409,
			'should-not-be-built',
			`${refusals} Choose another, or write why it is built in all the same.`
		);
	const at = input.at ?? new Date().toISOString();
	return inTransaction(async (tx) => {
		const ids = [outCellId, ...(intoCellId === null ? [] : [intoCellId])].sort((a, b) => a - b);
		await tx('cells').whereIn('id', ids).orderBy('id').forUpdate().select('id');
		const open = await placements.all({ cellId: ids, removedAt: null }, tx);
		const out = open.find((p) => p.cellId === outCellId && p.bankId === bankId);
		if (!out) throw new InputError([{ path: 'outCellId', message: 'This cell sits in no group of this bank.' }]);
		if (out.placedAt > at)
			throw new InputError([
				{ path: 'at', message: `The cell was placed later, on ${out.placedAt.slice(0, 10)}. Choose a later day.` }
			]);
		const elsewhere = open.find((p) => p.cellId === intoCellId);
		if (elsewhere)
			throw new ServiceError(409, 'already-placed', 'The new cell is built in already. Take it out there first.');
		await placements.update(out.id, out.version, { removedAt: at }, tx);
		if (refusals) {
			const battery = await batteries.hold(out.batteryId, tx, 'update');
			await batteries.update(battery.id, battery.version, { builtDespite: despite }, tx);
		}
		const into =
			intoCellId === null
				? null
				: await placements.insert({ cellId: intoCellId, groupId: out.groupId, placedAt: at, removedAt: null }, tx);
		await noteCause([bankId], { kind: 'placements', recordId: out.id, deed: 'change' }, tx);
		return into;
	});
}

/** A loose cell of the stock becomes one this bank considers. */
async function takeForBank(bankId: number, cellId: number): Promise<void> {
	await cells.get(cellId);
	const [known] = await candidates.all({ bankId, cellId });
	if (!known) await pickCells(bankId, { cellIds: [cellId] });
}

/** Why the battery should not be built with the new cell in place of the old, in words; null: nothing speaks against it. */
async function refusalsOf(bankId: number, outCellId: number, intoCellId: number | null): Promise<string | null> {
	if (intoCellId === null) return null;
	const picture = await loadBankPicture(bankId);
	const battery = picture.batteries.find((b) => b.groups.some((g) => g.cellIds.includes(outCellId)));
	if (!battery) return null;
	const before = buildRefusals(
		picture,
		battery.groups.map((g) => g.cellIds)
	);
	const after = buildRefusals(
		picture,
		battery.groups.map((g) => g.cellIds.map((id) => (id === outCellId ? intoCellId : id)))
	);
	// What spoke against the battery before is not this exchange's.
	const fresh = after.filter((r) => r.cellIds.includes(intoCellId) || !before.some((b) => b.why === r.why));
	return fresh.length ? refusalWords(fresh) : null;
}

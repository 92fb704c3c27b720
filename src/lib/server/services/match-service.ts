import type { MatchCell } from '$lib/core/matching';
import type { MatchGroupsInput } from '$lib/input/records';
import { InputError } from '$lib/input/validate';
import { database } from '../db/connection';
import { banks, cells, placements, type Placement } from '../db/tables';
import { ServiceError } from '../errors';
import { cellsOfBank, latestReadings } from './delivery-service';
import { bankCapacities } from './run-service';

export interface MatchCandidate extends MatchCell {
	id: number;
	label: string;
}

/** Tested cells of a bank, in order of arrival, ready for matching; and how many have no capacity yet. */
export async function matchCandidates(bankId: number): Promise<{ candidates: MatchCandidate[]; untested: number }> {
	const { capacities } = await bankCapacities(bankId);
	const latest = await latestReadings(capacities.map((c) => c.cell.id));
	const candidates = capacities
		.filter((c) => c.capacityAh !== null)
		.map((c) => ({
			id: c.cell.id,
			label: c.cell.label,
			capacityAh: c.capacityAh!,
			capacitySdAh: c.sdAh,
			resistanceMohm: latest.get(c.cell.id)?.acResistance?.value ?? null,
			batch: c.cell.batch
		}));
	return { candidates, untested: capacities.length - candidates.length };
}

/** Where the cells of a bank are now: open placements by battery and group. */
export async function currentPlacements(bankId: number): Promise<Placement[]> {
	return placements.all({ bankId, removedAt: null });
}

/**
 * Records which cell sits in which group, ending earlier placements of the bank on the same date.
 * @throws InputError when groups do not fit the layout or name a cell twice; ServiceError 409 when a cell is in another bank
 */
export async function acceptMatch(bankId: number, input: MatchGroupsInput): Promise<Placement[]> {
	const bank = await banks.get(bankId);
	const wanted = bank.series * bank.batteries;
	if (input.groups.length !== wanted || input.groups.some((g) => g.length !== bank.parallel))
		throw new InputError([
			{
				path: 'groups',
				message: `requires ${wanted} groups of ${bank.parallel} for ${bank.series}S${bank.parallel}P × ${bank.batteries}`
			}
		]);
	const own = new Set((await cellsOfBank(bankId)).map((c) => c.id));
	const ids = input.groups.flat();
	const stranger = ids.find((id) => !own.has(id));
	if (stranger !== undefined)
		throw new InputError([{ path: 'groups', message: `cell ${stranger} does not belong to this bank` }]);
	if (new Set(ids).size !== ids.length) throw new InputError([{ path: 'groups', message: 'a cell is named twice' }]);
	const placedAt = input.placedAt ?? new Date().toISOString();
	return database().transaction(async (tx) => {
		const open = await placements.all({ cellId: ids, removedAt: null }, tx);
		const elsewhere = open.find((p) => p.bankId !== bankId);
		if (elsewhere)
			throw new ServiceError(
				409,
				'already-placed',
				`Cell ${elsewhere.cellId} is built into another bank. Take it out there first.`
			);
		for (const p of await placements.all({ bankId, removedAt: null }, tx))
			await placements.update(p.id, p.version, { removedAt: placedAt }, tx);
		const rows = input.groups.flatMap((group, g) =>
			group.map((cellId) => ({
				cellId,
				bankId,
				battery: Math.floor(g / bank.series) + 1,
				position: (g % bank.series) + 1,
				placedAt
			}))
		);
		await placements.insertMany(rows, tx);
		return placements.all({ bankId, removedAt: null }, tx);
	});
}

/** Open placements of one battery with the cells' labels, by group. */
export async function placedLabels(
	bankId: number,
	battery: number
): Promise<{ cellId: number; position: number; label: string }[]> {
	const placed = (await currentPlacements(bankId)).filter((p) => p.battery === battery);
	const labels = new Map(
		(placed.length ? await cells.all({ id: placed.map((p) => p.cellId) }) : []).map((c) => [c.id, c.label])
	);
	return placed.map((p) => ({ cellId: p.cellId, position: p.position, label: labels.get(p.cellId) ?? '' }));
}

/** Capacity of each placed group, Ah, by battery then position; null while a cell of it has no capacity. */
export async function placedGroups(
	bankId: number
): Promise<{ battery: number; position: number; cellIds: number[]; capacityAh: number | null }[]> {
	const [placed, { capacities }] = await Promise.all([currentPlacements(bankId), bankCapacities(bankId)]);
	const ahOf = new Map(capacities.map((c) => [c.cell.id, c.capacityAh]));
	const groups = new Map<string, { battery: number; position: number; cellIds: number[]; capacityAh: number | null }>();
	for (const p of placed) {
		const key = `${p.battery}/${p.position}`;
		const group = groups.get(key) ?? { battery: p.battery, position: p.position, cellIds: [], capacityAh: 0 };
		const ah = ahOf.get(p.cellId) ?? null;
		groups.set(key, {
			...group,
			cellIds: [...group.cellIds, p.cellId],
			capacityAh: group.capacityAh === null || ah === null ? null : group.capacityAh + ah
		});
	}
	return [...groups.values()].sort((a, b) => a.battery - b.battery || a.position - b.position);
}

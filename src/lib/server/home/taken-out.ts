import { banks, batteries, cells } from '../records';
import type { Recorded } from '../db/repository';
import { OPEN_KINDS } from '../records/registry';

/** Something that was taken out and may be brought back. */
export interface TakenOut {
	kind: string;
	id: number;
	/** What such a thing is called: `capacity run`. */
	what: string;
	/** This one: `C-04`, `280.4 Ah`. */
	called: string;
	/** What it belonged to; null where it stood by itself, or that is gone too. */
	of: string | null;
	takenOutAt: string;
}

/** So many of a kind are looked at, and so many shown. */
const OF_A_KIND = 50;
const SHOWN = 100;

/** What a record belongs to, by the name a person knows. */
async function ownerOf(row: Recorded): Promise<string | null> {
	const { cellId, bankId, batteryId } = row as Partial<Record<'cellId' | 'bankId' | 'batteryId', number>>;
	if (cellId) return (await cells.find(cellId))?.label ?? null;
	if (bankId) return (await banks.find(bankId))?.name ?? null;
	if (!batteryId) return null;
	const battery = await batteries.find(batteryId);
	return battery ? ownerOf(battery) : null;
}

/** What was taken out, the latest first: every kind that can be brought back from here. */
export async function takenOut(): Promise<TakenOut[]> {
	const lists = await Promise.all(
		OPEN_KINDS.filter((kind) => kind.called).map(async (kind) =>
			(await kind.repository.removed(OF_A_KIND)).map((row) => ({ kind, row }))
		)
	);
	const latest = lists
		.flat()
		.sort((a, b) => b.row.deletedAt!.localeCompare(a.row.deletedAt!))
		.slice(0, SHOWN);
	return Promise.all(
		latest.map(async ({ kind, row }) => ({
			kind: kind.name,
			id: row.id,
			what: kind.repository.what,
			called: kind.called!(row),
			of: await ownerOf(row),
			takenOutAt: row.deletedAt!
		}))
	);
}

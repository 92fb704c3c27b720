import { tellsCharge, type PictureBalanceRun, type PictureReading, type Touch } from '$lib/core/picture';
import { fromColumns } from '../db/case';
import { database } from '../db/connection';
import type { BalanceRun } from '../records';
import { touchesOf } from './touches';

interface Known {
	/** The latest rest voltage of each cell read by itself, null: it never was; a cell without an entry: not looked for. */
	latestRest: ReadonlyMap<number, PictureReading | null>;
	touches: ReadonlyMap<number, readonly Touch[]>;
	calibrated: (reading: PictureReading) => PictureReading;
}

/** One step into an index a cell: the cost does not grow with how often a cell was read. */
async function readBefore(until: ReadonlyMap<number, string>): Promise<Map<number, PictureReading>> {
	if (until.size === 0) return new Map();
	const asked = [...until].map(() => 'select ? as cell_id, cast(? as datetime(3)) as at').join(' union all ');
	const [rows] = (await database().raw(
		`select q.cell_id, r.id, r.version, r.value, r.sd, r.raw_text, r.rest_s, r.taken_at, r.taken_doubt_s, r.meter, r.probe
		from (${asked}) q
		join readings r on r.id = (
			select l.id from readings l force index (latest)
			where l.cell_id = q.cell_id and l.quantity = 'restVoltage' and l.state = 'loose' and l.deleted_at is null
				and l.taken_at <= q.at
			order by l.taken_at desc, l.id desc limit 1
		)`,
		[...until].flatMap(([cellId, at]) => [cellId, new Date(at)]) as never
	)) as [Record<string, unknown>[]];
	return new Map(
		rows.map((row) => {
			const { cellId, ...reading } = fromColumns<PictureReading & { cellId: number }>(row, []);
			return [cellId, reading];
		})
	);
}

/** The last rest voltage of each cell until a moment, null: until now; only where that is not the latest it is looked for. */
async function restsBefore(
	until: ReadonlyMap<number, string | null>,
	{ latestRest, calibrated }: Known
): Promise<Map<number, PictureReading>> {
	const rests = new Map<number, PictureReading>();
	const earlier = new Map<number, string>();
	for (const [cellId, at] of until) {
		const latest = latestRest.get(cellId);
		if (latest === null) continue;
		if (latest && (at === null || Date.parse(latest.takenAt) <= Date.parse(at))) rests.set(cellId, latest);
		else earlier.set(cellId, at ?? '9999-12-31T00:00:00Z');
	}
	for (const [cellId, reading] of await readBefore(earlier)) rests.set(cellId, reading);
	return new Map([...rests].map(([cellId, reading]) => [cellId, calibrated(reading)]));
}

/** The last rest voltage of each cell before anything touched it; a cell that was not read then has no entry. */
export const arrivalRests = (cellIds: readonly number[], known: Known): Promise<Map<number, PictureReading>> =>
	restsBefore(new Map(cellIds.map((id) => [id, known.touches.get(id)?.[0]?.from ?? null])), known);

/** A row with the rest voltages that told the charge of its cells as it began. */
export async function runWithRests(
	run: BalanceRun,
	row: readonly { id: number; label: string }[],
	known: Known
): Promise<PictureBalanceRun> {
	const left = row.filter((c) => !known.latestRest.has(c.id)).map((c) => c.id);
	const [touchesOfLeft, rests] = await Promise.all([
		touchesOf(left),
		restsBefore(new Map(row.map((c) => [c.id, run.startedAt])), known)
	]);
	const restOf = (id: number): PictureReading | null => {
		const rest = rests.get(id);
		const touches = known.touches.get(id) ?? touchesOfLeft.get(id) ?? [];
		return rest && tellsCharge(rest.takenAt, touches, run.startedAt, run.id) ? rest : null;
	};
	return { ...run, cells: row.map((cell) => ({ ...cell, rest: restOf(cell.id) })) };
}

import type { Chemistry } from '$lib/core/foundation/chemistry';
import { judgeInspections } from '$lib/core/receive/inspection';
import type { MeterAccuracy, Quantity } from '$lib/core/foundation/reading';
import { judgeDelivery } from '$lib/core/receive/arrival';
import { CRATE_REST_S } from '$lib/core/picture';
import { bankCapacities } from '$lib/core/test/capacities';
import { judgeLeakage } from '$lib/core/receive/storage';
import { cellSubject, cellsOf, type Verdict } from '$lib/core/foundation/verdicts';
import { loadBankPicture } from '../bank-picture/load';
import { touchesOf } from '../bank-picture/touches';
import { calibrator } from '../bank-picture/calibrated-readings';
import { database } from '../db/connection';
import { bankVerdicts } from '../judgements/store';
import {
	banks,
	calibrationsFor,
	candidates,
	cells,
	deliveries,
	inspections,
	notes,
	placements,
	readings,
	runs,
	storageTests,
	verdictChanges,
	type Bank,
	type Cell,
	type Delivery,
	type InspectionRow,
	type Placement,
	type Reading,
	type Run,
	type StorageTestRow
} from '../records';
import { currentMeters } from '../records/settings/settings';
import { measuringOnThread } from '../threads/measuring';
import { bankOfCell } from '../bank-picture/bank-of-cell';
import { yearsInGroups } from './years-in-group';
import {
	event,
	inspectionEvent,
	placementEvents,
	readingEvent,
	runEvent,
	saidBeforeEvent,
	storageEvents,
	verdictEvent,
	type PassportEvent
} from './events';

export interface Passport {
	cell: Cell;
	delivery: Delivery;
	/** The bank it sits in or is considered for; null while it lies in the stock. */
	bank: Bank | null;
	/** The group it sits in now. */
	place: (Placement & { bankName: string }) | null;
	/** Its capacity results, oldest first, with what each needs to be removed or moved. */
	runs: Pick<Run, 'id' | 'version' | 'source' | 'capacityAh' | 'testedAt' | 'tester' | 'fileName' | 'heldAtC'>[];
	/** Other cells of its delivery, to which a run may belong. */
	siblings: { id: number; label: string }[];
	/** Loose cells that could take its place. */
	replacements: { id: number; label: string; capacityAh: number | null }[];
	/** Banks that consider it. */
	considered: { id: number; version: number; bankName: string }[];
	/** What stops it from being used. */
	stops: { title: string; next: string | null }[];
	/** A test of self-discharge that has not ended. */
	standing: StorageTestRow | null;
	events: PassportEvent[];
}

/** Stages that judge single cells, and the record each of their verdicts rests on last. */
const OF_CELLS = ['receive', 'test'] as const;
/** Lists of what is still to be done say nothing of a cell. */
const TASKS = new Set(['not-read', 'untested', 'not-inspected', 'next-run', 'cells-idle']);

/** What is said of the cell now by the stages that judge cells. */
async function verdictsOf(cellId: number, bank: Bank | null) {
	if (!bank) return { receive: [], test: [] };
	const of = async (stage: (typeof OF_CELLS)[number]) =>
		(await bankVerdicts(bank.id, stage)).filter((v) => cellsOf(v).includes(cellId) && !TASKS.has(v.code));
	return { receive: await of('receive'), test: await of('test') };
}

/** What would be said of a cell that lies in the stock, where no bank judges it, and stops it. */
function stopsOfStock(
	cell: Cell,
	looked: InspectionRow | null,
	read: readonly Reading[],
	chemistry: Chemistry
): Verdict[] {
	const subject = cellSubject(cell);
	const volts = read.findLast((r) => r.quantity === 'restVoltage' && r.state === 'loose');
	const arrived = {
		id: cell.id,
		label: cell.label,
		plusTurned: Boolean(cell.plusTurned),
		restVoltageV: volts?.value ?? null,
		restVoltageSdV: volts?.sd ?? null,
		acResistanceMohm: null,
		acResistanceSdMohm: null
	};
	const context = { chemistry, restS: volts?.restS ?? CRATE_REST_S, ratedResistanceMohm: null };
	return [
		...judgeInspections([{ ...cell, inspection: looked }], null, subject),
		...(volts ? judgeDelivery([arrived], context, subject).verdicts : [])
	].filter((v) => v.warmth === 'stop');
}

/** Changes of what was said of one cell, of the stages that judge cells, oldest first. */
async function changesOf(cellId: number): Promise<PassportEvent[]> {
	const ids = (await database()('verdict_changes')
		.whereRaw('json_contains(member_ids, ?)', [String(cellId)])
		.whereIn('stage', [...OF_CELLS])
		.whereNotNull('said_before')
		.whereNull('deleted_at')
		.pluck('id')) as number[];
	const rows = ids.length ? await verdictChanges.all({ id: ids }) : [];
	return rows.flatMap((row) => (row.saidBefore && !TASKS.has(row.code) ? [saidBeforeEvent(row, row.saidBefore)] : []));
}

/** Rest voltages closer together say nothing of a loss, days. */
const STORED_DAYS = 7;

interface ReadVolts {
	takenAt: string;
	value: number;
	sd: number;
}

/** What rest voltages apart in time prove of a cell that nothing happened to in between; null where there are none. */
async function storedProof(
	cell: Cell,
	chemistry: Chemistry,
	still: readonly ReadVolts[]
): Promise<PassportEvent | null> {
	const [first, last] = [still[0], still.at(-1)];
	if (!first || !last || Date.parse(last.takenAt) - Date.parse(first.takenAt) < STORED_DAYS * 86_400_000) return null;
	const read = still.map((r) => ({ at: r.takenAt, restVoltageV: r.value, sdV: r.sd }));
	const leak = await measuringOnThread({ kind: 'leakage', chemistry, readings: read }, new AbortController().signal);
	return verdictEvent(last.takenAt, judgeLeakage(leak, 'voltages', cellSubject(cell)));
}

/** A cell's readings as typed, and with what its meters show too much taken out. */
async function correctedReadings(bank: Bank | null, read: readonly Reading[], meters: Record<Quantity, MeterAccuracy>) {
	const correct = calibrator(await calibrationsFor(bank), meters);
	return read.map((r) => ({ typed: r, corrected: correct(r.quantity, r) }));
}

/** Cells in play of a bank that sit in no group, with what they are believed to hold. */
async function replacementsFor(bankId: number): Promise<Passport['replacements']> {
	const bank = await banks.find(bankId);
	if (!bank || bank.deletedAt) return [];
	const picture = await loadBankPicture(bankId);
	return bankCapacities(picture)
		.filter(({ cell }) => cell.groupId === null)
		.map(({ cell: { id, label }, capacityAh }) => ({ id, label, capacityAh }));
}

/** Everything that is recorded of a cell, oldest first: arrival, looks, readings, runs, verdicts, placements, notes. */
export async function cellPassport(cellId: number): Promise<Passport> {
	const cell = await cells.get(cellId);
	const delivery = await deliveries.get(cell.deliveryId);
	const bank = await bankOfCell(cellId);
	const [read, run, placed, noted, looked, stood, before, wishes, said, meters] = await Promise.all([
		readings.all({ cellId }),
		runs.all({ cellId }),
		placements.all({ cellId }),
		notes.all({ cellId }),
		inspections.all({ cellId }),
		storageTests.all({ cellId }),
		changesOf(cellId),
		candidates.all({ cellId }),
		verdictsOf(cellId, bank),
		currentMeters()
	]);
	const chemistry = bank?.chemistry ?? 'LFP';
	const measured = await correctedReadings(bank, read, meters);
	// A bank that was put away keeps its name here.
	const nameOf = async (id: number) => (await banks.find(id))?.name ?? 'a bank';
	const bankIds = [...new Set([...placed, ...wishes].map(({ bankId }) => bankId))];
	const bankNames = new Map(await Promise.all(bankIds.map(async (id) => [id, await nameOf(id)] as const)));
	const place = placed.find((p) => p.removedAt === null);
	const touched = (await touchesOf([cellId])).get(cellId) ?? [];
	const disturbedMs = Math.max(
		...[0, ...run.map((r) => Date.parse(r.testedAt)), ...placed.map((p) => Date.parse(p.placedAt))],
		...stood.map((s) => Date.parse(s.refilledAt ?? s.chargedAt)),
		// A charge in a row or by steps disturbs it like a run of its own; one that goes on, until now.
		...touched.map((t) => (t.until === null ? Infinity : Date.parse(t.until)))
	);
	const still = measured
		.filter(
			({ typed: r }) => r.quantity === 'restVoltage' && r.state === 'loose' && Date.parse(r.takenAt) > disturbedMs
		)
		.map((m) => m.corrected)
		.filter((r) => r.value > 0);
	const siblings = await cells.all({ deliveryId: cell.deliveryId });
	const stored = await storedProof(cell, chemistry, still);
	const last = { receive: [read.at(-1)?.takenAt, looked.at(-1)?.inspectedAt], test: [run.at(-1)?.testedAt] };
	const dated = OF_CELLS.flatMap((stage) => {
		const at =
			last[stage]
				.filter((day) => day !== undefined)
				.sort()
				.at(-1) ?? delivery.receivedOn;
		return said[stage].map((v) => verdictEvent(at, v));
	});
	const stops = bank
		? [...said.receive, ...said.test].filter((v) => v.warmth === 'stop' && !v.setApart)
		: stopsOfStock(
				cell,
				looked.at(-1) ?? null,
				measured.map((m) => m.corrected),
				chemistry
			);
	const events = [
		...(stored ? [stored] : []),
		event(
			delivery.receivedOn,
			'arrival',
			`Arrived with ${delivery.name}`,
			delivery.supplier ? `From ${delivery.supplier}` : null
		),
		...measured.map((m) => readingEvent(m.typed, m.corrected, chemistry)),
		...looked.map(inspectionEvent),
		...run.map(runEvent),
		...stood.flatMap(storageEvents),
		...dated,
		...before,
		...placed.flatMap((p) => placementEvents(p, bankNames.get(p.bankId)!)),
		...(await yearsInGroups(placed)),
		...noted.map((n) => event(n.writtenAt, 'note', n.text))
	];
	return {
		cell,
		delivery,
		bank,
		place: place ? { ...place, bankName: bankNames.get(place.bankId)! } : null,
		runs: run.map(({ id, version, source, capacityAh, testedAt, tester, fileName, heldAtC }) => ({
			id,
			version,
			source,
			capacityAh,
			testedAt,
			tester,
			fileName,
			heldAtC
		})),
		siblings: siblings.filter((c) => c.id !== cellId).map(({ id, label }) => ({ id, label })),
		replacements: place ? await replacementsFor(place.bankId) : [],
		considered: wishes.map(({ id, version, bankId }) => ({ id, version, bankName: bankNames.get(bankId)! })),
		stops: stops.map(({ title, next }) => ({ title, next })),
		standing: stood.findLast((s) => s.refilledAt === null) ?? null,
		events: events.sort((a, b) => a.at.localeCompare(b.at))
	};
}

import { socBounds, type Chemistry } from '$lib/core/chemistry';
import { QUANTITY_FIGURES, READ_STATE_NAMES } from '$lib/core/reading';
import { CRATE_REST_S } from '$lib/core/stages';
import { judgeLeakage } from '$lib/core/storage';
import { cellSubject, cellsOf, type Verdict } from '$lib/core/verdicts';
import { database } from '../db/connection';
import { bankVerdicts } from '../judgements/store';
import {
	banks,
	candidates,
	cells,
	deliveries,
	notes,
	placements,
	readings,
	runs,
	verdictChanges,
	type Bank,
	type Cell,
	type Delivery,
	type Placement,
	type Reading,
	type Run,
	type VerdictChange
} from '../records';
import { measuringOnThread } from '../threads/measuring';
import { bankOfCell } from './bank-of-cell';

/** Something that happened to a cell. */
export interface PassportEvent {
	at: string;
	kind: 'arrival' | 'reading' | 'run' | 'verdict' | 'said-before' | 'placement' | 'removal' | 'note';
	title: string;
	detail: string | null;
	/** The run whose curve can be shown. */
	runId: number | null;
}

export interface Passport {
	cell: Cell;
	delivery: Delivery;
	/** The bank it sits in or is considered for; null while it lies in the stock. */
	bank: Bank | null;
	/** The group it sits in now. */
	place: (Placement & { bankName: string }) | null;
	/** Banks that consider it. */
	considered: { id: number; version: number; bankName: string }[];
	events: PassportEvent[];
}

function runDetail(run: Run): string {
	const conditions = [
		run.temperatureC === null ? 'temperature not recorded' : `${run.temperatureC.toFixed(0)} °C`,
		run.cRate === null ? null : `${run.cRate.toFixed(2)} C`
	]
		.filter(Boolean)
		.join(', ');
	if (run.source === 'hand') return `Entered by hand; ${conditions}, as measured`;
	const faults = run.faults?.length ?? 0;
	return `Log ${run.fileName ?? ''}; ${conditions}, as measured${faults ? `; ${faults} ${faults === 1 ? 'thing' : 'things'} found in the log` : ''}`;
}

const event = (
	at: string,
	kind: PassportEvent['kind'],
	title: string,
	detail: string | null = null,
	runId: number | null = null
): PassportEvent => ({ at, kind, title, detail, runId });

function readingEvent(reading: Reading, chemistry: Chemistry): PassportEvent {
	const { label, unit, decimals } = QUANTITY_FIGURES[reading.quantity];
	const title = `${label[0]!.toUpperCase()}${label.slice(1)} ${reading.value.toFixed(decimals)} ± ${reading.sd.toFixed(decimals)} ${unit}`;
	const how = reading.state === 'loose' ? '' : `, read ${READ_STATE_NAMES[reading.state]}`;
	const rough = reading.takenDoubtS ? ', about that time' : '';
	const typed = `Typed "${reading.rawText}"${how}${rough}`;
	// Only a loose cell's voltage tells its own charge.
	if (reading.quantity !== 'restVoltage' || reading.state !== 'loose')
		return event(reading.takenAt, 'reading', title, typed);
	const bounds = socBounds(chemistry, reading.value, reading.sd, reading.restS ?? CRATE_REST_S);
	const percent = (fraction: number) => Math.round(fraction * 100);
	const charge = `Fits ${percent(bounds.lowFraction)} to ${percent(bounds.highFraction)} % of charge`;
	return event(reading.takenAt, 'reading', title, `${typed}. ${charge}`);
}

function verdictEvent(at: string, verdict: Verdict): PassportEvent {
	return event(at, 'verdict', verdict.title, [verdict.finding, verdict.doubt].filter(Boolean).join(' '));
}

function placementEvents(placement: Placement, bankName: string): PassportEvent[] {
	const where = `Battery ${placement.battery}, group ${placement.position}`;
	const placed = event(placement.placedAt, 'placement', `Placed in ${bankName}`, where);
	return placement.removedAt ? [placed, event(placement.removedAt, 'removal', `Taken out of ${bankName}`)] : [placed];
}

/** Stages that judge single cells, and the record each of their verdicts rests on last. */
const OF_CELLS = ['receive', 'test'] as const;
/** Lists of what is still to be done say nothing of a cell. */
const TASKS = new Set(['not-read', 'untested']);

/** What is said of the cell now, dated at the last reading or run it rests on. */
async function verdictEvents(
	cellId: number,
	bank: Bank | null,
	last: { receive: string | undefined; test: string | undefined }
): Promise<PassportEvent[]> {
	if (!bank) return [];
	const events: PassportEvent[] = [];
	for (const stage of OF_CELLS) {
		const at = last[stage];
		const own = (await bankVerdicts(bank.id, stage)).filter((v) => cellsOf(v).includes(cellId) && !TASKS.has(v.code));
		if (at) events.push(...own.map((v) => verdictEvent(at, v)));
	}
	return events;
}

const CAUSE_WORDS: Record<string, string> = {
	readings: 'a reading',
	runs: 'a capacity run',
	settings: 'the meter, as the settings describe it',
	'cell-types': 'the cell type’s figures',
	banks: 'the plan of the bank',
	calibrations: 'a calibration of the meter',
	inspections: 'an inspection',
	cells: 'its code or its name',
	deliveries: 'what was promised of the delivery',
	clauses: 'what its maker promises',
	placements: 'a placement',
	rule: 'a rule of this program',
	time: 'time'
};

/** What a verdict on the cell said before it changed: until when, and why. */
function saidBeforeEvent(change: VerdictChange, saidBefore: Verdict): PassportEvent {
	const causes = [...new Set(change.cause.map((c) => CAUSE_WORDS[c.kind] ?? c.kind))].join(', ');
	const now = change.saysNow ? `Now: ${change.saysNow.title}.` : 'It no longer stands.';
	return event(change.changedAt, 'said-before', `Until here: ${saidBefore.title}`, `${now} Changed by ${causes}.`);
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

/** What rest voltages apart in time prove of a cell that was neither run nor built in between; null where there are none. */
async function storageEvent(
	cell: Cell,
	chemistry: Chemistry,
	read: readonly Reading[],
	disturbedAt: readonly string[]
): Promise<PassportEvent | null> {
	const since = Math.max(0, ...disturbedAt.map((at) => Date.parse(at)));
	const still = read.filter(
		(r) => r.quantity === 'restVoltage' && r.state === 'loose' && r.value > 0 && Date.parse(r.takenAt) > since
	);
	const [first, last] = [still[0], still.at(-1)];
	if (!first || !last || Date.parse(last.takenAt) - Date.parse(first.takenAt) < STORED_DAYS * 86_400_000) return null;
	const readings = still.map((r) => ({ at: r.takenAt, restVoltageV: r.value, sdV: r.sd }));
	const leak = await measuringOnThread({ kind: 'leakage', chemistry, readings }, new AbortController().signal);
	return verdictEvent(last.takenAt, judgeLeakage(leak, 'voltages', cellSubject(cell)));
}

/** Everything that is recorded of a cell, oldest first: arrival, readings, runs, verdicts, placements, notes. */
export async function cellPassport(cellId: number): Promise<Passport> {
	const cell = await cells.get(cellId);
	const delivery = await deliveries.get(cell.deliveryId);
	const bank = await bankOfCell(cellId);
	const [read, run, placed, noted, before, wishes] = await Promise.all([
		readings.all({ cellId }),
		runs.all({ cellId }),
		placements.all({ cellId }),
		notes.all({ cellId }),
		changesOf(cellId),
		candidates.all({ cellId })
	]);
	// A bank that was put away keeps its name here.
	const nameOf = async (id: number) => (await banks.find(id))?.name ?? 'a bank';
	const bankIds = [...new Set([...placed, ...wishes].map(({ bankId }) => bankId))];
	const bankNames = new Map(await Promise.all(bankIds.map(async (id) => [id, await nameOf(id)] as const)));
	const place = placed.find((p) => p.removedAt === null);
	const supplier = delivery.supplier ? `From ${delivery.supplier}` : null;
	const last = { receive: read.at(-1)?.takenAt, test: run.at(-1)?.testedAt };
	const stored = await storageEvent(cell, bank?.chemistry ?? 'LFP', read, [
		...run.map((r) => r.testedAt),
		...placed.map((p) => p.placedAt)
	]);
	const events = [
		...(stored ? [stored] : []),
		event(delivery.receivedOn, 'arrival', `Arrived with ${delivery.name}`, supplier),
		...read.map((r) => readingEvent(r, bank?.chemistry ?? 'LFP')),
		...run.map((r) =>
			event(
				r.testedAt,
				'run',
				`Capacity run: ${r.capacityAh.toFixed(1)} Ah`,
				runDetail(r),
				r.source === 'log' ? r.id : null
			)
		),
		...(await verdictEvents(cellId, bank, last)),
		...before,
		...placed.flatMap((p) => placementEvents(p, bankNames.get(p.bankId)!)),
		...noted.map((n) => event(n.writtenAt, 'note', n.text))
	];
	return {
		cell,
		delivery,
		bank,
		place: place ? { ...place, bankName: bankNames.get(place.bankId)! } : null,
		considered: wishes.map(({ id, version, bankId }) => ({ id, version, bankName: bankNames.get(bankId)! })),
		events: events.sort((a, b) => a.at.localeCompare(b.at))
	};
}

import { QUANTITY_FIGURES } from '$lib/core/reading';
import { socBounds } from '$lib/core/chemistry';
import type { Verdict } from '$lib/core/shared';
import {
	banks,
	cells,
	deliveries,
	notes,
	placements,
	readings,
	runs,
	type Bank,
	type Cell,
	type Delivery,
	type Placement,
	type Reading,
	type Run
} from '../db/tables';
import { CRATE_REST_S, deliveryTrays } from './delivery-service';
import { bankCapacities } from './run-service';

/** Something that happened to a cell. */
export interface PassportEvent {
	at: string;
	kind: 'arrival' | 'reading' | 'run' | 'verdict' | 'placement' | 'removal' | 'note';
	title: string;
	detail: string | null;
	/** The run whose curve can be shown. */
	runId: number | null;
}

export interface Passport {
	cell: Cell;
	delivery: Delivery;
	bank: Bank;
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

function readingEvent(reading: Reading, bank: Bank): PassportEvent {
	const { label, unit, decimals } = QUANTITY_FIGURES[reading.quantity];
	const title = `${label[0].toUpperCase()}${label.slice(1)} ${reading.value.toFixed(decimals)} ± ${reading.sd.toFixed(decimals)} ${unit}`;
	const typed = `Typed "${reading.rawText}"`;
	if (reading.quantity !== 'restVoltage') return event(reading.takenAt, 'reading', title, typed);
	const bounds = socBounds(bank.chemistry, reading.value, reading.sd, reading.restS ?? CRATE_REST_S);
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

/** The verdicts on the cell: as it arrived, dated at its last reading, and against its rating, dated at the run. */
async function verdictEvents(cellId: number, bankId: number, lastReadAt: string | undefined): Promise<PassportEvent[]> {
	const [trays, { capacities }] = await Promise.all([deliveryTrays(bankId), bankCapacities(bankId)]);
	const arrived = trays
		.flatMap((t) => t.judgement.verdicts)
		.filter((v) => v.cellIds.includes(cellId) && v.code !== 'not-read');
	const tested = capacities.find((c) => c.cell.id === cellId);
	return [
		...(lastReadAt ? arrived.map((v) => verdictEvent(lastReadAt, v)) : []),
		...(tested?.judgement && tested.run ? [verdictEvent(tested.run.testedAt, tested.judgement.verdict)] : [])
	];
}

/** Everything that is recorded of a cell, oldest first: arrival, readings, runs, verdicts, placements, notes. */
export async function cellPassport(cellId: number): Promise<Passport> {
	const cell = await cells.get(cellId);
	const delivery = await deliveries.get(cell.deliveryId);
	const bank = await banks.get(delivery.bankId);
	const [read, run, placed, noted] = await Promise.all([
		readings.all({ cellId }),
		runs.all({ cellId }),
		placements.all({ cellId }),
		notes.all({ cellId })
	]);
	const nameOf = async (id: number) => (id === bank.id ? bank.name : (await banks.get(id)).name);
	const bankNames = new Map(await Promise.all(placed.map(async (p) => [p.bankId, await nameOf(p.bankId)] as const)));
	const supplier = delivery.supplier ? `From ${delivery.supplier}` : null;
	const events = [
		event(delivery.receivedOn, 'arrival', `Arrived with ${delivery.name}`, supplier),
		...read.map((r) => readingEvent(r, bank)),
		...run.map((r) =>
			event(
				r.testedAt,
				'run',
				`Capacity run: ${r.capacityAh.toFixed(1)} Ah`,
				runDetail(r),
				r.source === 'log' ? r.id : null
			)
		),
		...(await verdictEvents(cellId, bank.id, read.at(-1)?.takenAt)),
		...placed.flatMap((p) => placementEvents(p, bankNames.get(p.bankId)!)),
		...noted.map((n) => event(n.writtenAt, 'note', n.text))
	];
	return { cell, delivery, bank, events: events.sort((a, b) => a.at.localeCompare(b.at)) };
}

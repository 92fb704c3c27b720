import { QUANTITY_FIGURES } from '$lib/core/reading';
import { socBounds } from '$lib/core/chemistry';
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
	type Run
} from '../db/tables';
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

/** Everything that is recorded of a cell, oldest first: arrival, readings, runs, verdicts, placements, notes. */
export async function cellPassport(cellId: number): Promise<Passport> {
	const cell = await cells.get(cellId);
	const delivery = await deliveries.get(cell.deliveryId);
	const bank = await banks.get(delivery.bankId);
	const [read, run, placed, noted, { capacities }] = await Promise.all([
		readings.all({ cellId }),
		runs.all({ cellId }),
		placements.all({ cellId }),
		notes.all({ cellId }),
		bankCapacities(bank.id)
	]);
	const bankNames = new Map(
		await Promise.all(
			placed.map(async (p) => [p.bankId, p.bankId === bank.id ? bank.name : (await banks.get(p.bankId)).name] as const)
		)
	);
	const judged = capacities.find((c) => c.cell.id === cellId);
	const events = [
		event(
			delivery.receivedOn,
			'arrival',
			`Arrived with ${delivery.name}`,
			delivery.supplier ? `From ${delivery.supplier}` : null
		),
		...read.map((r) => {
			const { label, unit, decimals } = QUANTITY_FIGURES[r.quantity];
			const bounds = r.quantity === 'restVoltage' ? socBounds(bank.chemistry, r.value, r.sd, r.restS ?? 0) : null;
			const charge = bounds
				? `. Fits ${Math.round(bounds.lowFraction * 100)} to ${Math.round(bounds.highFraction * 100)} % of charge`
				: '';
			return event(
				r.takenAt,
				'reading',
				`${label[0].toUpperCase()}${label.slice(1)} ${r.value.toFixed(decimals)} ± ${r.sd.toFixed(decimals)} ${unit}`,
				`Typed "${r.rawText}"${charge}`
			);
		}),
		...run.map((r) =>
			event(
				r.testedAt,
				'run',
				`Capacity run: ${r.capacityAh.toFixed(1)} Ah`,
				runDetail(r),
				r.source === 'log' ? r.id : null
			)
		),
		...(judged?.judgement && judged.run
			? [
					event(
						judged.run.testedAt,
						'verdict',
						judged.judgement.verdict.title,
						`${judged.judgement.verdict.finding} ${judged.judgement.verdict.doubt ?? ''}`
					)
				]
			: []),
		...placed.flatMap((p) => [
			event(
				p.placedAt,
				'placement',
				`Placed in ${bankNames.get(p.bankId)}`,
				`Battery ${p.battery}, group ${p.position}`
			),
			...(p.removedAt ? [event(p.removedAt, 'removal', `Taken out of ${bankNames.get(p.bankId)}`)] : [])
		]),
		...noted.map((n) => event(n.writtenAt, 'note', n.text))
	];
	return { cell, delivery, bank, events: events.sort((a, b) => a.at.localeCompare(b.at)) };
}

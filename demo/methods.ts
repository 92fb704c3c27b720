import { banks, cells } from '$lib/server/records';
import { recordKind } from '$lib/server/records/registry';
import { changeRecord } from '$lib/server/records/write';
import { daysBefore } from './clock';
import { make } from './make';

type Entry = [step: string, daysAgo: number, more?: object];

async function follow(
	bankId: number,
	method: string,
	more: object,
	entries: readonly Entry[],
	now: Date,
	endedDaysAgo: number | null
) {
	const run = await make('method-runs', { bankId, method, setup: {}, ...more });
	for (const [step, daysAgo, figures] of entries)
		await make('method-entries', { methodRunId: run.id, step, doneAt: daysBefore(now, daysAgo), ...figures });
	if (endedDaysAgo === null) return;
	await changeRecord(recordKind('method-runs'), run.id, {
		version: run.version,
		endedAt: daysBefore(now, endedDaysAgo)
	});
}

const HOUR = 1 / 24;
const BUILT = 3 * 365.25 + 20;

/** The other schools of balancing, as they were followed: fast when the orchard's bank was built, its two spares at the bottom, its balancer this autumn. */
export async function loadMethods(now: Date): Promise<void> {
	const [orchard] = await banks.all({ name: 'Damson Rise' });
	const own = await cells.all({});
	const spares = own.filter((c) => c.label === 'D-03' || c.label === 'D-07').map((c) => c.id);
	const top = Array.from({ length: 16 }, (_, i) => Number((3.43 + 0.004 * ((i * 7) % 5)).toFixed(3)));
	await follow(
		orchard!.id,
		'fast',
		{ setup: { currentA: 60, cellSupplyA: 30 } },
		[
			['began', BUILT, { currentA: 60 }],
			['tripped', BUILT - 4 * HOUR, { volts: top.with(11, 3.648), currentA: 18, ah: 196 }],
			['links-read', BUILT - 6 * HOUR, { volts: Array<number>(15).fill(0).with(4, 0.31), asked: true }],
			['finished', BUILT - 30 * HOUR, { voltageV: 3.598, currentA: 8.2 }]
		],
		now,
		BUILT - 1.3
	);
	await follow(
		orchard!.id,
		'bottom',
		{ cellIds: spares, setup: { currentA: 40 } },
		spares
			.flatMap((cellId, i): Entry[] => [
				['stage-1', 240 - 4 * i * HOUR, { cellId, voltageV: 2.7, currentA: 40 }],
				['rested-1', 240 - (4 * i + 1.5) * HOUR, { cellId, voltageV: 2.962 + 0.004 * i }],
				['stage-2', 239.9 - 4 * i * HOUR, { cellId, voltageV: 2.71, currentA: 8 }],
				['rested-2', 239.2 - 4 * i * HOUR, { cellId, voltageV: 2.803 + 0.003 * i }]
			])
			.sort((a, b) => b[1] - a[1]),
		now,
		238
	);
	const evening = Array.from({ length: 16 }, (_, i) => Number((3.43 + 0.003 * ((i * 5) % 4)).toFixed(3))).with(
		8,
		3.512
	);
	await follow(
		orchard!.id,
		'balancer',
		{ setup: { balancerA: 0.6, hoursADay: 2.5, startV: 3.45, triggerV: 0.01, growthAhADay: 0.05 } },
		[
			['read', 40, { volts: evening, currentA: 4 }],
			['clamp', 39, { currentA: 0.56 }],
			['read', 12, { volts: evening.with(8, 3.437), currentA: 4 }]
		],
		now,
		11
	);
	const [fen] = await banks.all({ name: 'Fenwatch' });
	await follow(
		fen!.id,
		'ready-made',
		{ setup: { units: ['Punt, bow', 'Punt, stern'], unitAh: 100, unitCells: 4 } },
		[
			['rest', 60, { unit: 'Punt, bow', voltageV: 13.27 }],
			['rest', 60, { unit: 'Punt, stern', voltageV: 13.31 }],
			['before', 59, { ah: 86.4, wh: 1102, currentA: 20, voltageV: 21 }],
			['low-trip', 59 - HOUR, { unit: 'Punt, bow' }],
			['joined', 58, { asked: true }],
			['full', 57, { voltageV: 14.4, currentA: 1.8 }],
			['after', 55, { ah: 95.2, wh: 1219, currentA: 20.3, voltageV: 21 }],
			['low-trip', 55 - HOUR, { unit: 'Punt, stern' }],
			['series-full', 11, { volts: [14.21, 14.02], currentA: 2 }]
		],
		now,
		null
	);
}

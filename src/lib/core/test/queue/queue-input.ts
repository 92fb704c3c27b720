import { CoreError, requireNotNegative, requirePositive } from '../../foundation/errors';
import { offsetAt, zoneOffsets, type ZoneOffset } from '../../foundation/time';

export type QueueId = string | number;

/** Cells to be tested one by one with what is at hand. */
export interface QueueInput {
	/**
	 * `tested`: discharged already, it only waits to be put back to storage charge. `testBy`: when its test should have ended (a day counts
	 * whole), ISO; missing: at any time.
	 */
	cells: readonly {
		id: QueueId;
		capacityAh: number;
		soc?: number | null;
		tested?: boolean | null;
		testBy?: string | null;
	}[];
	testers: readonly { id: QueueId; currentA: number }[];
	supplies: readonly { id: QueueId; currentA: number }[];
	/** In the warm box before anything else, h. */
	soakH?: number | null;
	/** Between charge and discharge, h. */
	restH?: number | null;
	/** Hours of the day somebody is up, local: `07:00`. Both alike: always. */
	waking: { from: string; to: string };
	/** ISO 8601; its offset is the local time. */
	startAt: string;
	/** IANA name of the place: then local time follows daylight saving; the offset of the start holds all along when missing. */
	timeZone?: string | null;
	/** A discharge may go on with nobody there; without it each one lies within waking hours. */
	unattendedDischarge?: boolean | null;
}

export const QUEUE_KINDS = ['soak', 'charge', 'rest', 'discharge', 'store'] as const;
export type QueueKind = (typeof QUEUE_KINDS)[number];

/** One cell's way through the queue, hours. */
export interface QueuedCell {
	id: QueueId;
	capacityAh: number;
	chargeAh: number;
	storeAh: number;
	tested: boolean;
	/** Hours from the start by which its discharge should have ended; null: nothing presses, or it is past anyhow. */
	testByH: number | null;
}

/** The same with times made plain: hours from the start, which is hour 0. */
export interface Prepared {
	cells: QueuedCell[];
	testers: { id: QueueId; currentA: number }[];
	supplies: { id: QueueId; currentA: number }[];
	soakH: number;
	restH: number;
	clock: WakingClock;
	attended: boolean;
	startMs: number;
	/** How local time stands to UTC, from the start on. */
	offsets: ZoneOffset[];
}

/** As they come out of the crate; left at for storage, fraction (default). */
export const USUAL_SOC = 0.3;
export const STORE_SOC = 0.5;
/** A charge to the tail takes so much longer than Ah ÷ A, h (default). */
export const TAPER_H = 0.7;
export const USUAL_REST_H = 1;
const MAX = { cells: 500, others: 64 };
const HOUR_MS = 3_600_000;
/** Changes of the clock are looked for so far ahead, days. */
const HORIZON_DAYS = 400;

/** Whether somebody is up, by hours from the start. */
export interface WakingClock {
	/** The first moment from `hour` on at which somebody is up. */
	nextAwake(hour: number): number;
	/** The first moment from `hour` on from which somebody stays up for so long. @throws CoreError when no day is long enough */
	nextAwakeFor(hour: number, lengthH: number): number;
	/** Of a day. */
	lengthH: number;
}

const CLOCK = /^([01]?\d|2[0-4]):([0-5]\d)$/;
function hourOf(text: string, path: string): number {
	const match = CLOCK.exec(text);
	const hour = match ? Number(match[1]) + Number(match[2]) / 60 : NaN;
	if (!(hour >= 0 && hour <= 24))
		throw new CoreError('clock', path, `${path} requires a time of day like 07:00, got ${text}`);
	return hour;
}

const EPSILON_H = 1e-9;

/** @param dayHourAt local hour of the day, 0 to 24, by hours from the start */
export function wakingClock(fromH: number, untilH: number, dayHourAt: (hour: number) => number): WakingClock {
	const lengthH = ((((untilH - fromH) % 24) + 24) % 24 || 24) as number;
	/** Hours since somebody got up. */
	const up = (hour: number) => (((dayHourAt(hour) - fromH) % 24) + 24) % 24;
	/** The next getting up after `hour`: a night in which the clocks change is an hour shorter or longer. */
	const gettingUp = (hour: number) => {
		const expected = hour + 24 - up(hour);
		const since = up(expected);
		return expected - (since > 12 ? since - 24 : since);
	};
	const nextAwake = (hour: number) => {
		const since = up(hour);
		if (lengthH >= 24 || since <= lengthH + EPSILON_H || since >= 24 - EPSILON_H) return hour;
		return gettingUp(hour);
	};
	return {
		lengthH,
		nextAwake,
		nextAwakeFor(hour, wantedH) {
			if (lengthH >= 24) return hour;
			const awake = nextAwake(hour);
			const since = up(awake) >= 24 - EPSILON_H ? 0 : up(awake);
			return since + wantedH <= lengthH + EPSILON_H ? awake : gettingUp(awake);
		}
	};
}

function checkIds(list: readonly { id: QueueId }[], path: string, most: number): void {
	if (list.length === 0) throw new CoreError('too-few', path, `${path} requires one or more, got none`);
	if (list.length > most) throw new CoreError('too-many', path, `${path} takes at most ${most}, got ${list.length}`);
	const seen = new Set<QueueId>();
	list.forEach(({ id }, i) => {
		if (seen.has(id)) throw new CoreError('twice', `${path}.${i}.id`, `${path}.${i}.id ${id} is there twice`);
		seen.add(id);
	});
}

/** Minutes of an ISO text's own offset; of `Z` or none, 0. */
function offsetOf(iso: string): number {
	const match = /([+-])(\d{2}):?(\d{2})$/.exec(iso.slice(10));
	return match ? (match[1] === '-' ? -1 : 1) * (Number(match[2]) * 60 + Number(match[3])) : 0;
}

const DAY_ALONE = /^\d{4}-\d{2}-\d{2}$/;

/** Hours from the start to a moment, or to the end of a day; null for none, or one that is past. @throws CoreError `date` */
function hoursUntil(iso: string | null, startMs: number, path: string): number | null {
	if (iso === null) return null;
	const ms = Date.parse(iso);
	if (!Number.isFinite(ms)) throw new CoreError('date', path, `${path} requires a date, got ${iso}`);
	const hours = (ms - startMs) / HOUR_MS + (DAY_ALONE.test(iso) ? 24 : 0);
	return hours > 0 ? hours : null;
}

/** @throws CoreError `too-few`, `too-many`, `twice`, `not-positive`, `negative`, `out-of-range`, `clock`, `date`, `too-long` */
export function prepareQueue(input: QueueInput): Prepared {
	checkIds(input.cells, 'cells', MAX.cells);
	checkIds(input.testers, 'testers', MAX.others);
	checkIds(input.supplies, 'supplies', MAX.others);
	for (const kind of ['testers', 'supplies'] as const)
		input[kind].forEach(({ currentA }, i) => requirePositive(currentA, `${kind}.${i}.currentA`));
	const startMs = Date.parse(input.startAt);
	if (!Number.isFinite(startMs))
		throw new CoreError('date', 'startAt', `startAt requires a date and time, got ${input.startAt}`);
	const offsets = input.timeZone
		? zoneOffsets(input.timeZone, startMs, HORIZON_DAYS)
		: [{ fromMs: startMs, offsetMin: offsetOf(input.startAt) }];
	const dayHourAt = (hour: number) => {
		const ms = startMs + hour * HOUR_MS;
		return (((ms / HOUR_MS + offsetAt(offsets, ms) / 60) % 24) + 24) % 24;
	};
	const clock = wakingClock(hourOf(input.waking.from, 'waking.from'), hourOf(input.waking.to, 'waking.to'), dayHourAt);
	const attended = !input.unattendedDischarge;
	const fastest = Math.max(...input.testers.map((t) => t.currentA));
	const cells = input.cells.map(({ id, capacityAh, soc, tested, testBy }, i): QueuedCell => {
		requirePositive(capacityAh, `cells.${i}.capacityAh`);
		const began = soc ?? (tested ? 0 : USUAL_SOC);
		if (!(began >= 0 && began <= 1))
			throw new CoreError('out-of-range', `cells.${i}.soc`, `cells.${i}.soc requires 0 to 1, got ${soc}`);
		if (!tested && attended && clock.lengthH < 24 && capacityAh / fastest > clock.lengthH)
			throw new CoreError(
				'too-long',
				`cells.${i}.capacityAh`,
				`A discharge of ${capacityAh} Ah at ${fastest} A takes ${(capacityAh / fastest).toFixed(1)} h, longer than anybody is up (${clock.lengthH.toFixed(1)} h). Take a larger load, or one that may run unattended and say unattendedDischarge.`
			);
		if (tested)
			return {
				id,
				capacityAh,
				chargeAh: 0,
				storeAh: Math.max(0, STORE_SOC - began) * capacityAh,
				tested: true,
				testByH: null
			};
		return {
			id,
			capacityAh,
			chargeAh: (1 - began) * capacityAh,
			storeAh: STORE_SOC * capacityAh,
			tested: false,
			testByH: hoursUntil(testBy ?? null, startMs, `cells.${i}.testBy`)
		};
	});
	return {
		cells,
		clock,
		attended,
		startMs,
		offsets,
		testers: [...input.testers],
		supplies: [...input.supplies],
		soakH: requireNotNegative(input.soakH ?? 0, 'soakH'),
		restH: requireNotNegative(input.restH ?? USUAL_REST_H, 'restH')
	};
}

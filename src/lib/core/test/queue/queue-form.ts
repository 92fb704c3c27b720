import type { QueueInput, QueueKind } from './queue-input';

/** What is done with a cell, in words. */
export const QUEUE_KIND_NAMES: Record<QueueKind, string> = {
	soak: 'into the warm',
	charge: 'charge',
	rest: 'rest',
	discharge: 'discharge',
	store: 'back to half'
};

/** Capacity of a cell nobody has named the type of, Ah (default). */
const ASSUMED_AH = 100;
const OFFSET = /^[+-]\d{2}:\d{2}$/;

/** What a queue is planned with, as it stands in the address: so it comes back, and goes into the calendar. */
export interface QueueForm {
	/** A each, of the testers and of the supplies. */
	testers: number[];
	supplies: number[];
	soakH: number;
	restH: number;
	unattended: boolean;
	/** Local, `yyyy-MM-ddTHH:mm`. */
	startAt: string;
	/** Ids of cells that have been charged full already: it went otherwise than planned. */
	full: number[];
	/** Ids of cells that have been tested and stand empty: only the way back to half is left. */
	back: number[];
}

const amps = (text: string | null, usual: number[]): number[] => {
	const list = (text ?? '')
		.split(/[;, ]+/)
		.map(Number)
		.filter((a) => Number.isFinite(a) && a > 0);
	return list.length ? list.slice(0, 64) : usual;
};
const atLeast0 = (text: string | null, usual: number) => {
	const value = Number(text ?? NaN);
	return Number.isFinite(value) && value >= 0 ? value : usual;
};

const ids = (text: string | null): number[] =>
	(text ?? '')
		.split(',')
		.map(Number)
		.filter((id) => Number.isInteger(id) && id > 0)
		.slice(0, 500);

/** Reads it from an address; what is missing or makes no sense is as usual. @param nowLocal `yyyy-MM-ddTHH:mm`; testA: what a tester delivers, by the plan */
export function queueForm(
	params: URLSearchParams,
	usual: { testers: number; nowLocal: string; testA?: number | null }
): QueueForm {
	const startAt = params.get('startAt') ?? '';
	return {
		testers: amps(params.get('testers'), Array<number>(Math.max(1, usual.testers)).fill(usual.testA || 20)),
		supplies: amps(params.get('supplies'), [20]),
		soakH: atLeast0(params.get('soakH'), 0),
		restH: atLeast0(params.get('restH'), 1),
		unattended: params.get('unattended') === 'true',
		full: ids(params.get('full')),
		back: ids(params.get('back')),
		startAt: /^\d{4}-\d{2}-\d{2}T\d{2}:\d{2}/.test(startAt) ? startAt : usual.nowLocal
	};
}

/** The same as an address. */
export const queueParams = ({
	testers,
	supplies,
	soakH,
	restH,
	unattended,
	startAt,
	full,
	back
}: QueueForm): URLSearchParams =>
	new URLSearchParams({
		testers: testers.join(','),
		supplies: supplies.join(','),
		soakH: String(soakH),
		restH: String(restH),
		unattended: String(unattended),
		startAt,
		...(full.length ? { full: full.join(',') } : {}),
		...(back.length ? { back: back.join(',') } : {})
	});

/** A time of day from hours: 7.5 is 07:30; whole minutes. */
export function clockOf(hour: number): string {
	const minutes = Math.round(hour * 60) % 1440;
	const two = (n: number) => String(n).padStart(2, '0');
	return `${two(Math.floor(minutes / 60))}:${two(minutes % 60)}`;
}

/** Of whom a queue is made, and by whose day. */
export interface QueueOf {
	waiting: readonly { id: number }[];
	/** Last day of the claim of cells, and whether something was seen of one already; missing: nothing presses. */
	claims?: readonly { id: number; claimUntil: string; odd: boolean }[];
	/** Tested ones, with what they hold: those of the form’s `back` are put back to half. */
	tested?: readonly { id: number; capacityAh: number }[];
	/** Null: no type is named. */
	ratedAh: number | null;
	wakeFromH: number;
	wakeUntilH: number;
	/** Of local time at its start, `+01:00`; anything else is taken as UTC. */
	offset: string;
	/** IANA name of the place; null or missing: the offset holds all along. */
	timeZone?: string | null;
}

/** With the day of their claim; cells of which something was seen before the others, who keep their order. */
function oddFirst(waiting: QueueOf['waiting'], claims: NonNullable<QueueOf['claims']>) {
	const known = new Map(claims.map((c) => [c.id, c]));
	return waiting
		.map(({ id }) => ({ id, claimUntil: known.get(id)?.claimUntil ?? null, odd: known.get(id)?.odd ?? false }))
		.sort((a, b) => Number(b.odd) - Number(a.odd));
}

/** What is asked of the planner: cells by their ids, since two deliveries may label theirs alike. */
export const queueOf = (
	form: QueueForm,
	{ waiting, claims = [], tested = [], ratedAh, wakeFromH, wakeUntilH, offset, timeZone = null }: QueueOf
): QueueInput & { cells: { id: number; capacityAh: number; soc?: number; tested?: boolean; testBy?: string }[] } => ({
	cells: [
		...oddFirst(waiting, claims).map(({ id, claimUntil }) => ({
			id,
			capacityAh: ratedAh ?? ASSUMED_AH,
			...(claimUntil ? { testBy: claimUntil } : {}),
			...(form.full.includes(id) ? { soc: 1 } : {})
		})),
		...tested.filter(({ id }) => form.back.includes(id)).map((c) => ({ ...c, tested: true, soc: 0 }))
	],
	testers: form.testers.map((currentA, i) => ({ id: `Tester ${i + 1}`, currentA })),
	supplies: form.supplies.map((currentA, i) => ({ id: `Supply ${i + 1}`, currentA })),
	soakH: form.soakH,
	restH: form.restH,
	unattendedDischarge: form.unattended,
	waking: { from: clockOf(wakeFromH), to: clockOf(wakeUntilH) },
	...(timeZone ? { timeZone } : {}),
	startAt: `${form.startAt.slice(0, 16)}:00${OFFSET.test(offset) ? offset : 'Z'}`
});

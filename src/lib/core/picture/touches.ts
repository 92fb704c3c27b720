import type { ChargeMovement } from '../foundation/charge-account';

/** Something that changed a cell's charge: a test, a charge in a row, a step of a balance, work. */
export interface Touch {
	from: string;
	/** Null: it goes on. */
	until: string | null;
	/** The row it was charged in; null: another movement. */
	balanceRunId: number | null;
	/** It is the work of the bank it sits in. */
	atWork: boolean;
	/** What it moved, part by part; missing: nobody counted. */
	movements?: readonly ChargeMovement[] | undefined;
	/** What was read of the row it was charged in; missing: nothing, or no row. */
	row?: ChargedRow | undefined;
}

/** A row of cells in parallel, as far as its log tells. */
export interface ChargedRow {
	cellIds: readonly number[];
	setV: number | null;
	supplyA: number;
	leadOhm: number;
	startedAt: string;
	readings: readonly LoggedReading[];
}

/** One look at a charge that is logged. */
export interface LoggedReading {
	id: number;
	version: number;
	readAt: string;
	supplyV: number | null;
	supplyA: number;
	cellV: number | null;
	deliveredAh: number | null;
	/** The charger has stopped by itself. */
	stopped: boolean | null;
	/** Its counter began at 0 since the count before, or went on; null or missing: nobody said. */
	counterAnew?: boolean | null;
}

/** A cell of a bank at work that is read by itself was taken out of it, and goes back no sooner than after that (default), ms. */
const APART_MS = 7 * 86_400_000;

/**
 * Whether a rest voltage tells a cell's charge at another moment, later or before: nothing has touched the cell in between.
 * @param takenAt ISO, like all moments
 * @param at null: at any time from now on
 * @param except a row that begins at that moment; null: none
 */
export function tellsCharge(
	takenAt: string,
	touches: readonly Touch[],
	at: string | null,
	except: number | null = null
): boolean {
	const takenMs = Date.parse(takenAt);
	const atMs = at === null ? Infinity : Date.parse(at);
	return !touches.some(({ from, until, balanceRunId, atWork }) => {
		if (except !== null && balanceRunId === except) return false;
		const fromMs = Date.parse(from);
		const [lowMs, highMs] = takenMs < atMs ? [takenMs, atMs] : [atMs, takenMs];
		const isApart = atWork && fromMs < takenMs && atMs - takenMs <= APART_MS;
		const untilMs = until !== null ? Date.parse(until) : isApart ? lowMs : Infinity;
		return fromMs < highMs && untilMs > lowMs;
	});
}

import { LIKE_CELLS_SD, APART_SDS, TESTER_GAIN_SD } from '../verdicts';
import { median } from 'd3-array';
import { coldShareAt, RATED_C } from '../../foundation/chemistry';
import { CoreError, requireFinite } from '../../foundation/errors';
import { REPEATS_SD } from './judge-capacity';
import { toStandardConditions } from './standard-conditions';

/** A run at a temperature that was chosen on purpose, a warm box or the cold. */
export interface HeldRun {
	cellId: number;
	tester: string | null;
	/** Chosen, and as it was measured on the cell, °C; null: not written down, taken as chosen. */
	heldAtC: number;
	temperatureC: number | null;
	capacityAh: number;
	/** One sd, that of its tester's gain included. */
	sdAh: number;
	/** Null: not known. */
	cRate: number | null;
	/** What its leads made it miss, as a fraction; missing: four wires. */
	missedShare?: number;
}

/** A run of the same cell at room temperature, brought to 25 °C. */
export interface RoomRun {
	cellId: number;
	tester: string | null;
	capacityAh: number;
	sdAh: number;
	cRate: number | null;
}

/** What one cell gives at one chosen temperature. */
export interface AtTemperature {
	cellId: number;
	/** Chosen, °C, whole. */
	temperatureC: number;
	capacityAh: number;
	sdAh: number;
	/** Of what it gives at 25 °C, by a run at a like rate; null: none was made. */
	share: { value: number; sd: number } | null;
}

/** A run that was not at the temperature it was meant for: it compares with nothing. */
export interface MissedTemperature {
	cellId: number;
	heldAtC: number;
	temperatureC: number;
}

/** A thermometer on the case tells the cell's temperature to so much, K, one sd (default). */
const THERMOMETER_SD_K = 1;
/** Nobody measured on the cell: a box or a garage is held to so much, K, one sd (default). */
const BOX_SD_K = 3;
/** Rates are like when one is at most this many times the other: the cold costs more at a higher one. */
const LIKE_RATES = 1.25;

/** How capacity moves with temperature, relative, per K: what the cold takes, or the little that warmth adds. */
function perKelvin(temperatureC: number): number {
	const given = (t: number) => (t >= RATED_C ? 1 + 0.001 * (t - RATED_C) : 1 - coldShareAt(t));
	return Math.abs(given(temperatureC + 0.5) - given(temperatureC - 0.5)) / given(temperatureC);
}

const likeRates = (a: number | null, b: number | null): boolean =>
	a !== null && b !== null && Math.max(a, b) <= LIKE_RATES * Math.min(a, b);

/** The same tester reads the same way too much twice: in a share its gain falls out. */
function shareOf(held: { tester: string | null; capacityAh: number; relativeSd: number }, room: RoomRun) {
	const value = held.capacityAh / room.capacityAh;
	const ownOf = (relative: number) => Math.sqrt(Math.max(REPEATS_SD ** 2, relative ** 2 - TESTER_GAIN_SD ** 2));
	const sameTester = held.tester !== null && held.tester === room.tester;
	const own = sameTester ? ownOf : (relative: number) => relative;
	return { value, sd: value * Math.hypot(own(held.relativeSd), own(room.sdAh / room.capacityAh)) };
}

/**
 * Runs at a chosen temperature brought to exactly that temperature (by the curve of models §3, over a few kelvin), each cell's
 * share of what it gives at 25 °C by its own run at a like rate. Several runs of one cell at one temperature: the latest.
 * @param held in the order they were made @param room likewise @returns by temperature, then as the runs came
 * @throws CoreError `not-a-number`, `not-positive`, `negative`
 */
export function capacitiesAtTemperature(
	held: readonly HeldRun[],
	room: readonly RoomRun[]
): { cells: AtTemperature[]; missed: MissedTemperature[] } {
	const byCell = new Map<string, AtTemperature>();
	const missed: MissedTemperature[] = [];
	for (const run of held) {
		const temperatureC = Math.round(requireFinite(run.heldAtC, 'heldAtC'));
		const key = `${run.cellId}/${temperatureC}`;
		let brought;
		try {
			brought = toStandardConditions(run, run.temperatureC ?? temperatureC, null, { cRate: 1, temperatureC });
		} catch (error) {
			if (!(error instanceof CoreError) || error.code !== 'correction-too-large') throw error;
			byCell.delete(key);
			missed.push({ cellId: run.cellId, heldAtC: temperatureC, temperatureC: run.temperatureC! });
			continue;
		}
		const thermometer = perKelvin(temperatureC) * (run.temperatureC === null ? BOX_SD_K : THERMOMETER_SD_K);
		const relativeSd = Math.hypot(brought.sdAh / brought.capacityAh, thermometer);
		const own = room.filter((r) => r.cellId === run.cellId && likeRates(r.cRate, run.cRate));
		// One on the same tester tells most.
		const like = own.findLast((r) => r.tester === run.tester) ?? own.at(-1);
		byCell.set(key, {
			cellId: run.cellId,
			temperatureC,
			capacityAh: brought.capacityAh,
			sdAh: brought.capacityAh * relativeSd,
			share: like ? shareOf({ tester: run.tester, capacityAh: brought.capacityAh, relativeSd }, like) : null
		});
	}
	return {
		cells: [...byCell.values()].sort((a, b) => a.temperatureC - b.temperatureC),
		missed: missed.filter((m) => !byCell.has(`${m.cellId}/${m.heldAtC}`))
	};
}

/** What healthy cells give at a temperature, of what they give at 25 °C: what the cold takes is known to a third of itself (default). */
export function usualShare(temperatureC: number): { low: number; high: number } {
	if (temperatureC >= RATED_C) {
		const above = temperatureC - RATED_C;
		return { low: 1 - 0.003 * above, high: 1 + 0.005 * above };
	}
	const lost = coldShareAt(temperatureC);
	return { low: 1 - lost * (1 + 2 / 3), high: 1 - lost * (1 - 2 / 3) };
}

/** Fewer cells at one temperature tell nothing of each other. */
const MIN_TOGETHER = 3;

/**
 * Cells that give less at a temperature than the others that were held at it, each by its share of what it gives at 25 °C.
 * @param cells at one temperature
 */
export function weakAtTemperature(
	cells: readonly AtTemperature[]
): { cellId: number; share: { value: number; sd: number }; othersShare: number }[] {
	const shared = cells.flatMap(({ cellId, share }) => (share ? [{ cellId, share }] : []));
	if (shared.length < MIN_TOGETHER) return [];
	return shared.flatMap(({ cellId, share }) => {
		const others = shared.filter((c) => c.cellId !== cellId).map((c) => c.share.value);
		const othersShare = median(others)!;
		const sd = Math.hypot(share.sd, LIKE_CELLS_SD, share.sd / Math.sqrt(others.length));
		return othersShare - share.value > APART_SDS * sd ? [{ cellId, share, othersShare }] : [];
	});
}

import { judgeProgress, planTopBalance } from '../foundation/parallel-charge';
import {
	chargeAt,
	chargeBefore,
	countedAh,
	type Bounds,
	type ChargeAccount,
	type ChargeMovement,
	type RestedAt
} from '../foundation/charge-account';
import { CHEMISTRY_FIGURES, socBounds, LOST_A_DAY } from '../foundation/chemistry';
import { CoreError } from '../foundation/errors';
import type { BankPicture, PictureCell, PictureReading } from './picture';
import { CRATE_REST_S, ownTypeOf, readingSd } from './picture-parts';
import { readingsInOrder } from './readings-in-order';
import type { ChargedRow, Touch } from './touches';

/** Cells that all began from the same end share what goes into their row alike within so much (default). */
const ALIKE = 0.1;
/** A cell nobody rated is held to be so large, Ah: shares of it are what counts. */
const UNRATED_AH = 100;

type TouchedCell = Pick<PictureCell, 'id' | 'touches'>;

/** What went into a row until its last reading, Ah, and whether it was full then. */
function chargedInto(row: ChargedRow, { bank, cellType }: BankPicture): { ah: Bounds; done: boolean } | null {
	const figures = CHEMISTRY_FIGURES[bank.chemistry];
	const capacityAh = cellType?.ratedAh ?? UNRATED_AH;
	const startMs = Date.parse(row.startedAt);
	try {
		const plan = planTopBalance(
			row.cellIds.map((id) => ({
				id,
				label: '',
				capacityAh,
				socLow: 0,
				socHigh: 1,
				restVoltageV: null,
				resistanceMohm: null
			})),
			{
				chemistry: bank.chemistry,
				chargeLimitV: cellType?.chargeLimitV ?? figures.chargeLimitV,
				chargeCRate: cellType?.chargeCRate ?? figures.chargeCRate,
				supplyA: row.supplyA,
				leadOhm: row.leadOhm,
				setV: row.setV
			}
		);
		const ordered = readingsInOrder(row.readings).map(({ readAt, counterAnew = null, ...read }) => ({
			...read,
			counterAnew,
			timeS: (Date.parse(readAt) - startMs) / 1000
		}));
		const { deliveredWithinAh, done } = judgeProgress(ordered, plan);
		return { ah: deliveredWithinAh, done };
	} catch (error) {
		if (!(error instanceof CoreError)) throw error;
		return null;
	}
}

/** Where a cell stood by its movements before a moment; null: at neither end. */
function endBefore(cell: TouchedCell | undefined, atMs: number, picture: BankPicture): ChargeMovement['end'] {
	const before = (cell?.touches ?? []).filter((t) => Date.parse(t.from) < atMs);
	const last = before.at(-1);
	return last ? (movementsOf(last, picture).at(-1)?.end ?? null) : null;
}

/** What one cell of a row got of what went in: alike where all began at the same end, else anything up to all of it. */
function shareOfRow(row: ChargedRow, ah: Bounds, picture: BankPicture): Bounds {
	const [least, most] = [countedAh(ah.low).low, countedAh(ah.high).high];
	const count = row.cellIds.length;
	if (count <= 1) return { low: least, high: most };
	const byId = new Map(picture.cells.map((c) => [c.id, c]));
	const ends = new Set(row.cellIds.map((id) => endBefore(byId.get(id), Date.parse(row.startedAt), picture)));
	const [end] = ends;
	if (ends.size !== 1 || end === null) return { low: 0, high: most };
	return { low: (least / count) * (1 - ALIKE), high: (most / count) * (1 + ALIKE) };
}

/**
 * What a touch moved, part by part; what nobody counted is told as that. A result that was typed or came from a file leaves the cell
 * anyhow: many testers fill it again by themselves.
 */
function movementsOf(touch: Touch, picture: BankPicture): readonly ChargeMovement[] {
	if (touch.movements?.length) return touch.movements;
	const [fromMs, untilMs] = [Date.parse(touch.from), touch.until === null ? null : Date.parse(touch.until)];
	const uncounted: ChargeMovement = { fromMs, untilMs, end: null, movedAh: null };
	const charged = touch.row && chargedInto(touch.row, picture);
	if (!touch.row || !charged) return [uncounted];
	// Of a full row nobody knows who took how much.
	const isTold = !charged.done || touch.row.cellIds.length === 1;
	const movedAh = isTold ? shareOfRow(touch.row, charged.ah, picture) : null;
	return [{ fromMs, untilMs, end: charged.done ? 'full' : null, movedAh }];
}

const endedBy = (movement: ChargeMovement, ms: number): ChargeMovement => ({
	...movement,
	untilMs: movement.untilMs === null ? ms - 1 : Math.min(movement.untilMs, ms - 1)
});

/**
 * What a cell holds at a moment, by all that was read, charged and discharged until then.
 * @param capacityAh what it holds when full, Ah
 * @param rests rest voltages as the charge they fit
 * @param exceptRow a row that begins at that moment, and what is done in it; null: none
 */
export function chargeOfCell(
	picture: BankPicture,
	cell: TouchedCell,
	capacityAh: number,
	rests: readonly RestedAt[],
	atMs: number,
	exceptRow: number | null = null
): ChargeAccount {
	// A cell of a bank at work that is read by itself was taken out of it for that.
	const apartMs = Math.max(-Infinity, ...rests.map((r) => r.atMs));
	const movements = cell.touches
		.filter((t) => exceptRow === null || t.balanceRunId !== exceptRow)
		.flatMap((t) => movementsOf(t, picture).map((d) => (t.atWork && d.fromMs < apartMs ? endedBy(d, apartMs) : d)));
	return chargeAt({ capacityAh, movements, rests, lostADay: LOST_A_DAY }, atMs);
}

/** The charge a rest voltage fits; null where none was read. */
function restedAt({ bank, meters }: BankPicture, reading: PictureReading | null | undefined): RestedAt[] {
	if (!reading) return [];
	const sdV = readingSd(reading, meters.restVoltage);
	const fits = socBounds(bank.chemistry, Math.abs(reading.value), sdV, reading.restS ?? CRATE_REST_S);
	return [{ atMs: Date.parse(reading.takenAt), share: { low: fits.lowFraction, high: fits.highFraction } }];
}

/** What a cell of the picture holds at a moment, or when all that is known of it has happened. @param at ISO; null: then */
export function chargeNow(picture: BankPicture, cell: PictureCell, at: string | null): ChargeAccount {
	const rests = [cell.arrivalRead, cell.readings.restVoltage].flatMap((r) => restedAt(picture, r));
	const lastMs = Math.max(
		...[0, ...rests.map((r) => r.atMs)],
		...cell.touches.map((t) => Date.parse(t.until ?? t.from) + (t.until === null ? 1 : 0))
	);
	return chargeOfCell(
		picture,
		cell,
		capacityNear(picture, cell) ?? UNRATED_AH,
		rests,
		at === null ? lastMs : Date.parse(at)
	);
}

/** What a cell holds as far as anybody knows, Ah: its latest run, else its rating. */
export const capacityNear = (picture: BankPicture, cell: PictureCell): number | null =>
	cell.runs.at(-1)?.capacityAh ?? ownTypeOf(picture, cell)?.ratedAh ?? null;

/** What a cell arrived with, worked back from its own first charges, share of full; null where they do not tell. */
export function arrivedWith(picture: BankPicture, cell: PictureCell): Bounds | null {
	const capacityAh = capacityNear(picture, cell) ?? UNRATED_AH;
	const movements = cell.touches.flatMap((t) => movementsOf(t, picture));
	return movements.length ? chargeBefore({ capacityAh, movements }) : null;
}

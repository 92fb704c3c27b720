import { cellSubject, type Verdict } from '../../foundation/verdicts';
import { say } from '../verdicts';
import {
	chargeNow,
	bankSubject,
	deliverySubject,
	isInService,
	type BankPicture,
	type PictureCell
} from '../../picture';

const DAY_MS = 86_400_000;
/** A cell that nobody has read, charged or tested for so long is asked about (default), days. */
const IDLE_DAYS = 90;
/** Below this share of its charge at the least it is charged soon (default). */
const NEARLY_EMPTY = 0.1;

/** What time takes by itself is told in steps: a verdict is not another one every day. */
const inSteps = (share: number): number => Math.round(share * 20) / 20;

/** When anybody last read, charged or tested a cell, or it came, ms. */
const lastSeenMs = (cell: PictureCell, receivedOn: string): number =>
	Math.max(
		Date.parse(receivedOn),
		...Object.values(cell.readings).flatMap((r) => (r ? [Date.parse(r.takenAt)] : [])),
		...cell.touches.map((t) => Date.parse(t.until ?? t.from)),
		...(cell.joined ? [Date.parse(cell.joined.takenAt)] : [])
	);

/**
 * Cells that have stood for a season with nobody looking at them, with what they may still hold. Of a bank at work, and of a rehearsal,
 * whose bench has a clock of its own, nobody asks. @param nowIso when it is looked at
 */
export function idleVerdict(picture: BankPicture, concerned: readonly PictureCell[], nowIso: string): Verdict[] {
	if (isInService(picture) || picture.bank.rehearsal) return [];
	const receivedOn = new Map(picture.deliveries.map((d) => [d.id, d.receivedOn]));
	const idle = concerned.flatMap((cell) => {
		if (cell.touches.some((t) => t.until === null)) return [];
		const seenMs = lastSeenMs(cell, receivedOn.get(cell.deliveryId)!);
		if ((Date.parse(nowIso) - seenMs) / DAY_MS <= IDLE_DAYS) return [];
		return [{ cell, seenMs, account: chargeNow(picture, cell, nowIso) }];
	});
	if (idle.length === 0) return [];
	const known = idle.filter((i) => i.account.by !== 'nothing');
	const chargeLow = known.length === idle.length ? Math.min(...known.map((i) => i.account.share.low)) : null;
	const facts = {
		cells: idle.length,
		since: new Date(Math.min(...idle.map((i) => i.seenMs))).toISOString().slice(0, 10),
		afterDays: IDLE_DAYS,
		chargeLow: chargeLow === null ? null : inSteps(chargeLow),
		chargeHigh: chargeLow === null ? null : inSteps(Math.max(...known.map((i) => i.account.share.high)))
	};
	const warmth = chargeLow !== null && chargeLow < NEARLY_EMPTY ? 'look' : 'open';
	return [
		say(
			'cells-idle',
			warmth,
			bankSubject(picture),
			facts,
			idle.map((i) => cellSubject(i.cell))
		)
	];
}

/** Deliveries that came later than they were promised. */
export const lateVerdicts = ({ deliveries }: BankPicture): Verdict[] =>
	deliveries.flatMap((d) => {
		const daysLate = d.promisedOn === null ? 0 : (Date.parse(d.receivedOn) - Date.parse(d.promisedOn)) / DAY_MS;
		if (daysLate < 1 || d.promisedOn === null) return [];
		const facts = { promisedOn: d.promisedOn.slice(0, 10), receivedOn: d.receivedOn.slice(0, 10), daysLate };
		return [say('delivery-late', 'calm', deliverySubject(d), facts)];
	});

import { claimUntilOf, type WaitingForTest } from '../claim';
import { cellsOf } from '../../foundation/verdicts';
import type { BankPicture } from '../../picture';
import { judgedTrays } from './trays';

/** The cells of a bank with the last day of their claim, and whether Receive saw or read anything odd of them. */
export function waitingForTest(picture: BankPicture): WaitingForTest[] {
	const deliveries = new Map(picture.deliveries.map((d) => [d.id, d]));
	const isOdd = ({ warmth }: { warmth: string }) => warmth === 'look' || warmth === 'stop';
	const odd = new Set(judgedTrays(picture).flatMap((tray) => tray.verdicts.filter(isOdd).flatMap(cellsOf)));
	return picture.cells.flatMap(({ id, deliveryId }) => {
		const delivery = deliveries.get(deliveryId);
		return delivery ? [{ id, claimUntil: claimUntilOf(delivery), odd: odd.has(id) }] : [];
	});
}

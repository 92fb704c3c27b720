import { ordersOf } from './orders';
import { deliveryTrays, type DeliveryTray } from '$lib/core/receive/trays';
import { modulesOf, type BankPicture } from '$lib/core/picture';
import { loadBankPicture } from '../../bank-picture/load';
import { readSettings } from '../../records/settings/settings';
import { instrumentChoices } from '../../address-book/instruments';
import { pageOf } from '../page';

/** A tray as its page draws it: what was judged of it comes with the verdicts. */
const shownTray =
	(picture: BankPicture) =>
	({ delivery, cells }: DeliveryTray) => ({
		delivery,
		modules: modulesOf(delivery, picture).map((m) => ({ ...m, cells: m.cells.length })),
		cells: cells.map(({ id, label, plusTurned, readings, code, printedMonth, inspection }) => ({
			id,
			label,
			plusTurned,
			readings,
			code,
			printedMonth,
			inspection
		}))
	});

export const receivePage = (bankId: number) =>
	pageOf(
		bankId,
		'receive',
		(async () => {
			const picture = await loadBankPicture(bankId);
			return {
				...(await ordersOf(picture)),
				trays: deliveryTrays(picture).map(shownTray(picture)),
				instruments: await instrumentChoices(),
				currency: (await readSettings()).currency
			};
		})()
	);

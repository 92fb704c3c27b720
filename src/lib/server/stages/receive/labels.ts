import { toDataURL } from 'qrcode';
import { loadBankPicture } from '../../bank-picture/load';
import { ServiceError } from '../../errors';

/** Our own label of a cell: its name, where it came from, and a code that opens its passport. */
export interface CellLabel {
	id: number;
	label: string;
	from: string;
	/** The code as a picture, in a data address. */
	code: string;
}

/** Sharp on paper at 28 mm. */
const CODE_PX = 330;

/** @param origin where this application answers: what the code opens. @throws ServiceError 404 */
export async function cellLabels(bankId: number, deliveryId: number, origin: string): Promise<CellLabel[]> {
	const { cells, deliveries } = await loadBankPicture(bankId);
	const delivery = deliveries.find((d) => d.id === deliveryId);
	if (!delivery) throw new ServiceError(404, 'not-found', 'No cell of this delivery is in play in this bank.');
	const own = cells.filter((c) => c.deliveryId === deliveryId);
	return Promise.all(
		own.map(async ({ id, label }) => ({
			id,
			label,
			from: `${delivery.name}, ${delivery.receivedOn.slice(0, 10)}`,
			code: await toDataURL(`${origin}/cells/${id}`, { margin: 0, width: CODE_PX, errorCorrectionLevel: 'Q' })
		}))
	);
}

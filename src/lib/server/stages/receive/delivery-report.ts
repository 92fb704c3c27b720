import type { Tick } from '$lib/core/test/clauses';
import type { ClaimReason } from '$lib/core/receive/claim';
import { readCellCode } from '$lib/core/receive/identity';
import { bankCapacities, protocolStrip, type CellCapacity } from '$lib/core/test/capacities';
import { deliveryClaim, judgedTrays } from '$lib/core/receive/trays';
import { cellsOf } from '$lib/core/foundation/verdicts';
import { database } from '../../db/connection';
import { loadBankPicture } from '../../bank-picture/load';
import { ServiceError } from '../../errors';
import { attachments, deliveries } from '../../records';

/** One cell of a report: what was measured, how, what is claimed for it and what is not, and why. */
export interface ReportedCell {
	id: number;
	label: string;
	code: string | null;
	producedOn: string | null;
	restVoltageV: number | null;
	acResistanceMohm: number | null;
	capacityAh: number | null;
	sdAh: number | null;
	outcome: 'short' | 'meets' | 'unsure' | null;
	/** What its latest run kept of the clause, and what not. */
	strip: Tick[];
	tester: string | null;
	/** Null: nothing. */
	claimed: { why: ClaimReason; shortAh: number } | null;
	/** What was found against it, in words. */
	found: string[];
	/** Why nothing is claimed of it, where something is open. */
	notClaimed: string | null;
	photos: { id: number; name: string }[];
}

/** The bank a delivery is judged with: what it came for, else one its cells sit in or are considered for. */
async function bankOfDelivery(id: number): Promise<number> {
	const delivery = await deliveries.get(id);
	if (delivery.bankId !== null) return delivery.bankId;
	const row = await database()('candidates')
		.join('cells', 'cells.id', 'candidates.cell_id')
		.where({ 'cells.delivery_id': id, 'candidates.deleted_at': null })
		.first('candidates.bank_id');
	if (!row)
		throw new ServiceError(
			409,
			'no-bank',
			'These cells lie in the stock: pick them for a bank first, so that it is known what they are measured against.'
		);
	return row.bank_id as number;
}

/** The report to a supplier on one delivery. @throws ServiceError 404, 409 `no-bank` */
export async function deliveryReport(id: number) {
	const picture = await loadBankPicture(await bankOfDelivery(id));
	const tray = judgedTrays(picture).find((t) => t.delivery.id === id);
	if (!tray) throw new ServiceError(409, 'no-cells', 'No cell of this delivery is in play in its bank.');
	const { claim, terms, wanted, verdicts } = deliveryClaim(picture, tray);
	const capacities = new Map(bankCapacities(picture).map((c) => [c.cell.id, c]));
	const photos = await attachments.all({ subjectKind: 'cell', subjectId: tray.cells.map((c) => c.id) });
	const cells = tray.cells.map((cell): ReportedCell => {
		const capacity = capacities.get(cell.id) ?? null;
		const found = tray.verdicts.filter(
			(v) =>
				(v.warmth === 'look' || v.warmth === 'stop' || v.code === 'voltage-outlier' || v.code === 'polarity') &&
				cellsOf(v).includes(cell.id)
		);
		return {
			id: cell.id,
			label: cell.label,
			code: cell.code,
			producedOn: cell.code ? readCellCode(cell.code).productionDate : null,
			restVoltageV: cell.arrivalRead?.value ?? null,
			acResistanceMohm: cell.readings.acResistance?.value ?? null,
			capacityAh: capacity?.capacityAh ?? null,
			sdAh: capacity?.sdAh ?? null,
			outcome: capacity?.judgement?.outcome ?? null,
			strip: capacity ? protocolStrip(picture, capacity) : [],
			tester: capacity?.run?.tester ?? null,
			claimed: claim.byCell.get(cell.id) ?? null,
			found: found.map((v) => `${v.title}. ${v.finding}`),
			notClaimed: notClaimed(capacity),
			photos: photos.filter((p) => p.subjectId === String(cell.id)).map(({ id: photo, name }) => ({ id: photo, name }))
		};
	});
	const { bank, delivery } = { bank: picture.bank, delivery: tray.delivery };
	return {
		bank: { id: bank.id, name: bank.name },
		delivery,
		cellType: picture.cellType && { name: picture.cellType.name, ratedAh: picture.cellType.ratedAh },
		wanted,
		sentence:
			verdicts[0]?.title ??
			'Nothing is claimed yet: no cell is tested, and nothing was seen that is sure without a test.',
		verdict: verdicts[0] ?? null,
		good: claim.good,
		toReturn: claim.toReturn,
		cannotTell: claim.cannotTell,
		untested: claim.untested,
		shortAh: claim.shortAh,
		worth: claim.worth,
		currency: terms.currency,
		claimUntil: terms.claimUntil,
		method:
			'Charge counted from full to the cut-off, brought to the conditions of the clause; each tester with a gain of 0 ± 1 % until cells compare it. A cell is called short when the probability that it is exceeds 95 %; the shortfall claimed is what is sure at 95 %.',
		cells
	};
}
export type DeliveryReport = Awaited<ReturnType<typeof deliveryReport>>;

function notClaimed(capacity: CellCapacity | null): string | null {
	if (!capacity?.run) return 'Not tested.';
	if (capacity.judgement?.outcome === 'unsure')
		return 'The measurement cannot tell on which side of the promise it lies.';
	return capacity.refused ? 'Its run was made under conditions from which nothing is reckoned back.' : null;
}

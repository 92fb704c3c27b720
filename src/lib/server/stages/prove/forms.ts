import { recordKind } from '../../records/registry';
import { createRecord } from '../../records/write';
import { batteryIn } from '../../bank-picture/battery-in';

/** Keeps what was counted in and out between the same two ends of charge. */
export async function keepChargeCount(bankId: number, fields: Record<string, unknown>): Promise<void> {
	const { id: batteryId } = await batteryIn(bankId, fields.batteryId);
	await createRecord(recordKind('charge-counts'), {
		...fields,
		batteryId,
		countedAt: fields.countedAt ?? new Date().toISOString()
	});
}

import { recordKind } from '../../records/registry';
import { createRecord } from '../../records/write';

/** Doubt of a capacity nobody stated a doubt of: the gain of a usual tester, one sd of it (default). */
const USUAL_DOUBT = 0.01;

/** Logs a capacity test of a battery. @param fields as typed; without a doubt of its own it takes the usual one, without a time now */
export async function logCapacityTest(bankId: number, fields: Record<string, unknown>): Promise<void> {
	const { capacityAh, sdAh, testedAt } = fields;
	const doubt = sdAh ?? (typeof capacityAh === 'number' ? capacityAh * USUAL_DOUBT : null);
	await createRecord(recordKind('capacity-tests'), {
		...fields,
		bankId,
		sdAh: doubt,
		testedAt: testedAt ?? new Date().toISOString()
	});
}

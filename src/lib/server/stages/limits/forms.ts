import { inTransaction } from '../../db/transaction';
import { ServiceError } from '../../errors';
import { batteries, limitPlans } from '../../records';
import { recordKind } from '../../records/registry';
import { changeRecord, createRecord } from '../../records/write';

/** What a bank follows until somebody chooses. */
const USUAL_STRATEGY = 'middle-road';
type Fields = Record<string, unknown>;

/** Chooses a bank's strategy. @param fields `strategy`, and the `version` of the plan that was seen where there was one */
export async function keepStrategy(bankId: number, { strategy, version }: Fields): Promise<void> {
	const kind = recordKind('limit-plans');
	const [plan] = await limitPlans.all({ bankId });
	await (plan ? changeRecord(kind, plan.id, { strategy, version }) : createRecord(kind, { bankId, strategy }));
}

/** Keeps fuse, cable and BMS of one battery; the strategy shown beside them is kept with them where nobody had chosen one. */
export async function keepWiring(bankId: number, batteryId: number, fields: Fields): Promise<void> {
	await inTransaction(async (tx) => {
		const battery = await batteries.get(batteryId, tx);
		if (battery.bankId !== bankId) throw new ServiceError(404, 'not-found', 'This bank has no such battery.');
		await changeRecord(recordKind('batteries'), batteryId, fields, tx);
		const plans = await limitPlans.all({ bankId }, tx);
		if (plans.length === 0) await createRecord(recordKind('limit-plans'), { bankId, strategy: USUAL_STRATEGY }, tx);
	});
}

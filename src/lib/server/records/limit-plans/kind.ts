import type { Knex } from 'knex';
import { batteries } from '../batteries/row';
import { defineKind, type Fields } from '../kind';
import { LimitPlanInput } from './input';
import { limitPlans, type LimitPlan } from './row';

const OF_BATTERY = ['bmsA', 'bmsResolutionV', 'fuseA', 'cableA'] as const;

/** Fuse, cable and BMS hang on the batteries, wherever they are sent. */
async function handOn(plan: LimitPlan, fields: Fields, tx: Knex): Promise<void> {
	const given = Object.fromEntries(OF_BATTERY.filter((f) => fields[f] !== undefined).map((f) => [f, fields[f]]));
	if (Object.keys(given).length) await batteries.updateAll({ bankId: plan.bankId }, given, tx);
}

const withoutBatteryFields = (fields: Fields): Fields =>
	Object.fromEntries(Object.entries(fields).filter(([name]) => !OF_BATTERY.some((f) => f === name)));

export const limitPlanKind = defineKind<LimitPlan>({
	name: 'limit-plans',
	repository: limitPlans,
	createInput: LimitPlanInput,
	changeInput: LimitPlanInput,
	parents: { bankId: 'banks' },
	filters: ['bankId'],
	columns: null,
	archivedWith: 'bankId',
	prepare: async (fields: LimitPlanInput) => withoutBatteryFields({ ...fields }),
	derive: async () => Object.fromEntries(OF_BATTERY.map((f) => [f, undefined])),
	async after(plan, tx, deed, fields) {
		if (deed !== 'restore' && deed !== 'remove') await handOn(plan, fields, tx);
	},
	banksOf: async ({ bankId }) => [bankId]
});

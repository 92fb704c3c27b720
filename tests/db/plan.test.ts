import type { Knex } from 'knex';
import { afterAll, beforeAll, describe, expect, it } from 'vitest';
import { plans, type Bank, type Plan, type PlanItemRow } from '$lib/server/records';
import { bankVerdicts } from '$lib/server/judgements/store';
import { bankCalendar } from '$lib/server/stages/plan/calendar';
import { freshDatabase } from '../support/database';
import { change, make, remove } from '../support/records';

let pool: Knex;
beforeAll(async () => {
	pool = await freshDatabase('plan');
});
afterAll(() => pool.destroy());

async function bankWithCells(name: string): Promise<Bank> {
	const type = await make<{ id: number }>('cell-types', {
		name,
		chemistry: 'LFP',
		ratedAh: 230,
		massKg: 4.1,
		widthMm: 174,
		thicknessMm: 54,
		heightMm: 207,
		chargeLimitV: 3.65,
		dischargeLimitV: 2.5,
		chargeColdC: 0,
		dischargeColdC: -20,
		chargeCRate: 0.5,
		dischargeCRate: 1
	});
	return make<Bank>('banks', { name, bankUse: 'cabin', chemistry: 'LFP', series: 8, parallel: 1, cellTypeId: type.id });
}

describe('a plan', () => {
	it('is one a bank, comes back as it was written, and refuses a stale change', async () => {
		const bank = await bankWithCells('One');
		const load = { name: 'Lamp', w: 6, hours: [18, 19], dc: true };
		const plan = await make<Plan>('plans', { bankId: bank.id, loads: [load], latitudeDeg: 52.9, cellPrice: 78.25 });
		expect(await plans.get(plan.id)).toMatchObject({
			loads: [{ ...load, count: 1, share: 1, months: null, surgeW: null }],
			cellPrice: 78.25,
			kit: {},
			box: null,
			studsPerPole: 1
		});
		await expect(make('plans', { bankId: bank.id })).rejects.toMatchObject({ status: 409 });
		await change('plans', plan.id, { version: plan.version, people: 2 });
		await expect(change('plans', plan.id, { version: plan.version, people: 3 })).rejects.toMatchObject({ status: 409 });
		await remove('plans', plan.id, plan.version + 1);
		await make('plans', { bankId: bank.id });
	});
	it.each([
		[{ sunHours: [1, 2, 3] }, /12 values/],
		[{ generator: { w: 1000, startSoc: 0.8, stopSoc: 0.2 } }, /stopSoc/],
		[{ loads: [{ name: 'x', w: 5, hours: [24] }] }, /hours/],
		[{ kit: { bar: -1 } }, /bar/],
		[{ box: { lengthMm: 0, widthMm: 1, heightMm: 1 } }, /lengthMm/]
	])('refuses %j', async (fields, message) => {
		const bank = await bankWithCells('Refused');
		const refusal = await make('plans', { bankId: bank.id, ...fields }).catch((error: unknown) => error);
		expect(JSON.stringify([(refusal as Error).message, refusal])).toMatch(message);
	});
	it('is judged before anything is bought, and nothing of it while nothing is written', async () => {
		const bank = await bankWithCells('Judged');
		const codes = async () => (await bankVerdicts(bank.id, 'plan')).map((v) => v.code);
		expect(await codes()).toEqual(['plan-complete']);
		const plan = await make<Plan>('plans', {
			bankId: bank.id,
			loads: [{ name: 'Hob', w: 14_000, hours: [12], share: 0.5 }],
			kit: { bar: 12 },
			box: { lengthMm: 445, widthMm: 190, heightMm: 262, lidMm: 40 },
			people: 1,
			supplies: [{ name: 'Car charger', a: 8, lowestV: 12, highestV: 15, leadOhm: 0.02 }],
			chargers: [{ name: 'MPPT', kind: 'solar', a: 20, absorbV: 28, panelOpenV: 92, mostPanelV: 100 }]
		});
		expect((await codes()).sort()).toEqual(
			[
				'box-short',
				'hardware-short',
				'lift-heavy',
				'no-supply',
				'panels-too-high',
				'plan-amps',
				'plan-complete',
				'plan-short-energy'
			].sort()
		);
		await change('plans', plan.id, {
			version: plan.version,
			loads: [],
			kit: {},
			box: null,
			people: null,
			supplies: [],
			chargers: []
		});
		expect(await codes()).toEqual(['plan-complete']);
	});
});

describe('what is to be bought', () => {
	it('keeps money to the hundredth', async () => {
		const bank = await bankWithCells('Money');
		const item = await make<PlanItemRow>('plan-items', {
			bankId: bank.id,
			name: 'Cells',
			quantity: 8,
			unitPrice: 78.1,
			shipping: 63.99
		});
		expect(item).toMatchObject({ unitPrice: 78.1, shipping: 63.99, used: false });
		const [row] = (
			await pool.raw('select sum(quantity * unit_price + shipping) as total from plan_items where bank_id = ?', [
				bank.id
			])
		)[0];
		expect(row.total).toBe(688.79);
	});
});

describe('the calendar', () => {
	it('is a file any calendar reads: each step a whole day or more, ids that stay', async () => {
		const bank = await bankWithCells('Days');
		await make('plans', { bankId: bank.id, orderOn: '2026-12-01', cellLeadDays: 40 });
		const file = await bankCalendar(bank.id);
		expect(file).toMatch(/^BEGIN:VCALENDAR\r\n/);
		expect(file.match(/BEGIN:VEVENT/g)).toHaveLength(10);
		expect(file).toMatch(new RegExp(`UID:bank-${bank.id}-arrive\\r\\n[\\s\\S]*DTSTART;VALUE=DATE:20261201`));
		expect(file).toContain('DTEND;VALUE=DATE:20270110');
		const bare = await make<Bank>('banks', { name: 'Bare', bankUse: 'van', chemistry: 'LFP', series: 4, parallel: 1 });
		await expect(bankCalendar(bare.id)).rejects.toMatchObject({ status: 409 });
	});
});

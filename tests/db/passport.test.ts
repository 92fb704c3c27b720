import type { Knex } from 'knex';
import { afterAll, beforeAll, describe, expect, it } from 'vitest';
import { bankCapacities } from '$lib/core/test/capacities';
import { loadBankPicture } from '$lib/server/bank-picture/load';
import { bankVerdicts } from '$lib/server/judgements/store';
import { cells, instruments, runs, type Bank, type Cell, type Delivery } from '$lib/server/records';
import { calibrationChanges } from '$lib/server/address-book/calibration-changes';
import { bankCalendar } from '$lib/server/stages/plan/calendar';
import { acceptMatch } from '$lib/server/stages/match/accept';
import { cellPassport } from '$lib/server/passport/passport';
import { freshDatabase } from '../support/database';
import { change, make, remove } from '../support/records';

let pool: Knex;
beforeAll(async () => {
	pool = await freshDatabase('passport');
});
afterAll(() => pool.destroy());

async function bankOf(name: string, count: number, promised: object = {}) {
	const type = await make<{ id: number }>('cell-types', { name: `${name} cell`, chemistry: 'LFP', ratedAh: 200 });
	const layout = { series: count, parallel: 1, cellTypeId: type.id };
	const bank = await make<Bank>('banks', { name, bankUse: 'cabin', chemistry: 'LFP', ...layout });
	const crate = { bankId: bank.id, name: 'Crate', receivedOn: '2026-06-01', cellCount: count, labelPrefix: 'P' };
	const delivery = await make<Delivery>('deliveries', { ...crate, ...promised });
	return { bank, delivery, own: await cells.all({ deliveryId: delivery.id }) };
}
const receive = async (bankId: number) => bankVerdicts(bankId, 'receive');
const titles = async (cell: Cell) => (await cellPassport(cell.id)).events.map((e) => e.title);

describe('the passport of a cell', () => {
	it('says first what stops it, wherever it lies, and no longer once the answer is corrected', async () => {
		const { own } = await bankOf('Stops', 2);
		const seen = await make<{ id: number; version: number }>('inspections', {
			cellId: own[0]!.id,
			leak: 'bad',
			dent: 'good'
		});
		expect((await cellPassport(own[0]!.id)).stops.map((s) => s.title)).toEqual(['P-01 must not be used: it leaks']);
		expect((await cellPassport(own[1]!.id)).stops).toEqual([]);
		const loose = await make<Delivery>('deliveries', {
			name: 'Stock',
			receivedOn: '2026-06-01',
			cellCount: 1,
			labelPrefix: 'L'
		});
		const [cell] = await cells.all({ deliveryId: loose.id });
		await make('inspections', { cellId: cell!.id, smell: 'bad' });
		expect((await cellPassport(cell!.id)).stops.map((s) => s.title)).toEqual(['L-01 must not be used: it smells']);
		await make('readings', { cellId: cell!.id, quantity: 'restVoltage', rawText: '1.2', takenAt: '2026-06-02' });
		expect((await cellPassport(cell!.id)).stops).toHaveLength(2);
		await change('inspections', seen.id, { version: seen.version, leak: 'good' });
		expect((await cellPassport(own[0]!.id)).stops).toEqual([]);
	});
	it('tells what was seen on it, and readings as their calibrated meter means them, with what was typed', async () => {
		const { own } = await bankOf('Seen', 1);
		const [cell] = own;
		await make('inspections', { cellId: cell!.id, dent: 'unsure', vent: 'good', thicknessMm: [72, 73, 72] });
		await make('readings', { cellId: cell!.id, quantity: 'restVoltage', rawText: '3.300', takenAt: '2026-06-03' });
		const pairs = [{ shown: 3.3, truth: 3.31 }];
		const kept = await make<{ id: number; version: number }>('calibrations', {
			quantity: 'restVoltage',
			calibratedOn: '2026-06-01',
			truthSd: 0.0005,
			pairs
		});
		const { events } = await cellPassport(cell!.id);
		expect(events.find((e) => e.kind === 'inspection')!.detail).toBe(
			'Not sure: dent; 1 good; 72.0 / 73.0 / 72.0 mm at foot, middle, top.'
		);
		const reading = events.find((e) => e.kind === 'reading')!;
		expect(reading.title).toMatch(/^Rest voltage 3\.310 ± 0\.00\d V$/);
		expect(reading.detail).toContain('Typed "3.300", corrected by the calibration of its meter');
		await remove('calibrations', kept.id, kept.version);
		expect((await titles(cell!)).join()).toContain('Rest voltage 3.300');
	});
});

describe('a test of self-discharge', () => {
	it('stands in the calendar until its day, and is judged by what the cell took', async () => {
		const { bank, own } = await bankOf('Stands', 2);
		const [cell] = own;
		const body = { cellId: cell!.id, chargedAt: '2026-06-01T12:00:00Z', dueOn: '2026-07-02' };
		const kept = await make<{ id: number; version: number }>('storage-tests', body);
		expect((await receive(bank.id)).map((v) => v.code)).toContain('self-discharge-waits');
		expect((await cellPassport(cell!.id)).standing?.id).toBe(kept.id);
		const ics = await bankCalendar(bank.id);
		expect(ics).toContain('SUMMARY:Stands: Charge P-01 again');
		expect(ics).toMatch(/DTSTART[^\n]*:20260702/);
		// 20 Ah of 200 in a month, 0.3 of them counted too much: where three per cent are healthy.
		await change('storage-tests', kept.id, {
			version: kept.version,
			refillAh: 20,
			refillSdAh: 0.3,
			refilledAt: '2026-07-01T22:30:00Z'
		});
		const [judged] = (await receive(bank.id)).filter((v) => v.code === 'self-discharge-high');
		const { percentPerMonth } = judged!.facts as unknown as {
			percentPerMonth: { low95: number; likely: number; high95: number };
		};
		expect(percentPerMonth.likely).toBeCloseTo(9.85, 1);
		expect(judged!.subject.id).toBe(cell!.id);
		expect((await cellPassport(cell!.id)).standing).toBeNull();
		expect(await titles(cell!)).toEqual(
			expect.arrayContaining(['Charged full, to stand', 'Charged again: it took 20.00 Ah'])
		);
		expect(await bankCalendar(bank.id)).not.toContain('Charge P-01 again');
	});
	it.each([
		[{ dueOn: '2026-05-01' }, 'dueOn'],
		[{ dueOn: '2026-07-01', refillAh: 2 }, 'refilledAt'],
		[{ dueOn: '2026-07-01', refilledAt: '2026-07-01' }, 'refillAh'],
		[{ dueOn: '2026-07-01', refillAh: 2, refilledAt: '2026-05-01' }, 'refilledAt']
	])('%j is refused at %s', async (wrong, path) => {
		const { own } = await bankOf(`Refused ${path} ${JSON.stringify(wrong).length}`, 1);
		const body = { cellId: own[0]!.id, chargedAt: '2026-06-01', ...wrong };
		await expect(make('storage-tests', body)).rejects.toMatchObject({ faults: [{ path }] });
	});
});

describe('what came against what was promised', () => {
	it('batches of one bank, terminals and a grade by one’s own line are told', async () => {
		const line = { promisedGrade: 'A', gradeCapacityAh: 200, promisedTerminals: 'stud' };
		const { bank, own } = await bankOf('Promised', 3, line);
		for (const [i, batch] of ['K1', 'K1', 'K2'].entries())
			await change('cells', own[i]!.id, { version: own[i]!.version, batch });
		await make('inspections', { cellId: own[1]!.id, terminalKind: 'thread' });
		for (const [i, capacityAh] of [190, 210].entries())
			await make('runs', {
				cellId: own[i]!.id,
				capacityAh,
				sdAh: 1,
				temperatureC: 25,
				currentA: -40,
				startedFull: true,
				testedAt: '2026-06-05'
			});
		const said = await receive(bank.id);
		const unlike = said.find((v) => v.code === 'cells-unlike')!;
		expect(unlike).toMatchObject({ subject: { kind: 'bank' }, facts: { what: 'batch', mixedGroups: 0 } });
		expect(unlike.members.map((m) => m.label)).toEqual(['P-03']);
		expect(said.find((v) => v.code === 'terminals-not-promised')!.members.map((m) => m.label)).toEqual(['P-02']);
		const grade = (await bankVerdicts(bank.id, 'test')).find((v) => v.code === 'outside-grade')!;
		expect(grade.facts).toMatchObject({ grade: 'A', outside: 1, within: 1, unsure: 1 });
		expect(grade.members.map((m) => m.label)).toEqual(['P-01']);
	});
	it('terminals that do not exist are refused', async () => {
		await expect(bankOf('No such', 1, { promisedTerminals: 'M6' })).rejects.toMatchObject({
			faults: [{ path: 'promisedTerminals' }]
		});
	});
});

describe('a tester held against a better one', () => {
	it('reads less from then on, and what that changed is one list over all banks', async () => {
		const { bank, own } = await bankOf('Tester', 1);
		const run = { capacityAh: 204, sdAh: 2.04, temperatureC: 25, currentA: -40, startedFull: true };
		await make('runs', { cellId: own[0]!.id, ...run, testedAt: '2026-06-05', tester: 'Shed' });
		const saidFirst = await bankVerdicts(bank.id, 'test');
		expect(saidFirst.map((v) => v.code)).toContain('capacity-meets');
		const kept = await make<{ id: number; version: number }>('calibrations', {
			quantity: 'capacity',
			meter: 'Shed',
			calibratedOn: '2026-06-04',
			truthSd: 0.3,
			pairs: [{ shown: 206, truth: 200 }]
		});
		// Whoever cannot wait is told what is not judged yet, and it is judged behind the answer.
		const atOnce = await calibrationChanges(kept.id, -1);
		expect(atOnce.changes).toEqual([]);
		expect(atOnce.beingJudged).toBeGreaterThan(0);
		const { changes, more, beingJudged } = await calibrationChanges(kept.id, Infinity);
		expect({ more, beingJudged }).toEqual({ more: false, beingJudged: 0 });
		expect(changes).toContainEqual({
			bankId: bank.id,
			bankName: 'Tester',
			stage: 'test',
			subjectLabel: 'P-01',
			before: null,
			now: 'P-01 is below its rated capacity'
		});
		const short = (await bankVerdicts(bank.id, 'test')).find((v) => v.code === 'capacity-short')!;
		const { capacityAh } = short.facts as unknown as { capacityAh: { value: number; sd: number } };
		// 204 Ah by a tester that shows 206 for 200.
		expect(capacityAh.value).toBeCloseTo((204 * 200) / 206, 6);
		// The gain is known: no longer one per cent.
		expect(capacityAh.sd).toBeLessThan(1);
		await remove('calibrations', kept.id, kept.version);
		expect((await bankVerdicts(bank.id, 'test')).map((v) => v.code)).toContain('capacity-meets');
	});
	it('a run that is not to be corrected by its tester stays as it was read', async () => {
		const { bank, own } = await bankOf('Off', 1);
		const run = { capacityAh: 204, sdAh: 2.04, temperatureC: 25, currentA: -40, startedFull: true };
		const body = { cellId: own[0]!.id, ...run, testedAt: '2026-06-05', tester: 'Hut', correctionsOff: ['tester'] };
		await make('runs', body);
		const kept = await make<{ id: number; version: number }>('calibrations', {
			quantity: 'capacity',
			meter: 'Hut',
			calibratedOn: '2026-06-04',
			truthSd: 0.3,
			pairs: [{ shown: 206, truth: 200 }]
		});
		expect((await bankVerdicts(bank.id, 'test')).map((v) => v.code)).toContain('capacity-meets');
		await remove('calibrations', kept.id, kept.version);
		await expect(make('runs', { ...body, correctionsOff: ['luck'] })).rejects.toMatchObject({
			faults: [{ path: 'correctionsOff' }]
		});
	});
});

describe('an instrument found to count too much', () => {
	it('changes what its live runs are judged by, and not what they counted', async () => {
		const { bank, own } = await bankOf('Found later', 1);
		const load = await make<{ id: number; version: number }>('instruments', {
			name: 'Shed load',
			kind: 'load',
			host: '127.0.0.1',
			port: 5025
		});
		const counted = await runs.insert({
			cellId: own[0]!.id,
			source: 'live',
			capacityAh: 204,
			sdAh: 0.6,
			energyWh: null,
			meanVoltageV: null,
			currentA: -40,
			cRate: 0.2,
			durationS: 18_360,
			endVoltageV: 2.5,
			temperatureC: 25,
			cutoffV: 2.5,
			powerW: null,
			restS: 3600,
			startedFull: true,
			testedDoubtS: null,
			testedAt: '2026-06-05T10:00:00Z',
			tester: 'Shed load',
			leadOhm: null,
			correctionsOff: null,
			fileName: null,
			faults: null,
			instrumentId: load.id
		});
		const told = async () => bankCapacities(await loadBankPicture(bank.id))[0]!.capacityAh!;
		expect(await told()).toBeCloseTo(204, 6);
		await change('instruments', load.id, { version: load.version, currentGainPercent: 3 });
		// By hand: 204 Ah by a load that shows 3 % too much.
		expect(await told()).toBeCloseTo(204 / 1.03, 6);
		expect((await bankVerdicts(bank.id, 'test')).map((v) => v.code)).toContain('capacity-short');
		expect((await runs.get(counted.id)).capacityAh).toBe(204);
		const { version } = await instruments.get(load.id);
		await remove('instruments', load.id, version);
		expect(await told(), 'taken out, it is off by what it was').toBeCloseTo(204 / 1.03, 6);
	});
});

describe('a cell that sat in a group for years', () => {
	it('holds them in its passport: what its group read, and what its battery gave', async () => {
		const { bank, own } = await bankOf('Years', 2);
		for (const cell of own) await make('runs', { cellId: cell.id, capacityAh: 203, testedAt: '2026-06-02' });
		await acceptMatch(bank.id, { groups: own.map((c) => [c.id]), placedAt: '2026-06-10T00:00:00Z' });
		const check = { bankId: bank.id, context: 'full', currentA: 2 };
		await make('service-checks', { ...check, checkedAt: '2026-08-01', groupVoltagesV: [3.46, 3.42] });
		await make('service-checks', { ...check, checkedAt: '2026-06-05', groupVoltagesV: [3.5, 3.4] });
		await make('capacity-tests', { bankId: bank.id, testedAt: '2026-09-01', capacityAh: 201, sdAh: 1 });
		const { events } = await cellPassport(own[1]!.id);
		// The check of before it was placed is none of its own. By hand: 3.42 V against a mean of 3.44 V.
		expect(events.filter((e) => e.kind === 'group')).toMatchObject([
			{ title: 'Its group was read once in 2026', detail: expect.stringContaining('at most 20 mV') as string },
			{ title: 'Its battery held 201.0 ± 2.0 Ah' }
		]);
	});
});

import sharp from 'sharp';
import type { Knex } from 'knex';
import { afterAll, beforeAll, describe, expect, it } from 'vitest';
import { attach, attachmentContent } from '$lib/server/attachments/attach';
import { bankVerdicts } from '$lib/server/judgements/store';
import { attachments, cells, inspections, type Bank, type Cell, type Delivery } from '$lib/server/records';
import { deliveryReport } from '$lib/server/stages/receive/delivery-report';
import { exportText, importText } from '../support/bank-file';
import { freshDatabase } from '../support/database';
import { change, make, remove } from '../support/records';

let pool: Knex;
beforeAll(async () => {
	pool = await freshDatabase('receive');
});
afterAll(() => pool.destroy());

async function bankWithCells(name: string, count: number): Promise<{ bank: Bank; delivery: Delivery; own: Cell[] }> {
	const type = await make<{ id: number }>('cell-types', {
		name: `${name} cell`,
		chemistry: 'LFP',
		ratedAh: 280,
		thicknessMm: 72,
		massKg: 5.4,
		chargeLimitV: 3.65,
		dischargeLimitV: 2.5
	});
	const bank = await make<Bank>('banks', {
		name,
		bankUse: 'cabin',
		chemistry: 'LFP',
		series: count,
		parallel: 1,
		cellTypeId: type.id
	});
	const delivery = await make<Delivery>('deliveries', {
		bankId: bank.id,
		name: 'Crate',
		receivedOn: '2026-11-20',
		cellCount: count,
		labelPrefix: 'X',
		cellPrice: 90,
		promisedAh: 280,
		promisedClause: 'minimum'
	});
	return { bank, delivery, own: await cells.all({ deliveryId: delivery.id }) };
}
const photo = () =>
	sharp({ create: { width: 900, height: 600, channels: 3, background: { r: 120, g: 40, b: 10 } } })
		.withExif({ IFD0: { Make: 'Camera' }, IFD3: { GPSLatitudeRef: 'N', GPSLatitude: '52/1 30/1 0/1' } })
		.withMetadata({ orientation: 6 })
		.jpeg()
		.toBuffer();
const codes = async (bankId: number) => (await bankVerdicts(bankId, 'receive')).map((v) => v.code);

describe('photos and files', () => {
	it('are kept once by their hash, turned upright, without where they were taken, and read back whole', async () => {
		const { own } = await bankWithCells('Photos', 2);
		const about = { subjectKind: 'cell' as const, subjectId: own[0]!.id, name: 'dent.jpg', about: 'dent' };
		const first = await attach(about, 'image/jpeg', await photo());
		const second = await attach({ ...about, subjectId: own[1]!.id }, 'image/jpeg', await photo());
		expect(second.hash).toBe(first.hash);
		expect(await pool('attachment_files').where({ hash: first.hash }).count({ n: '*' })).toEqual([{ n: 1 }]);
		const response = await attachmentContent(first.id, false);
		const bytes = Buffer.from(await response.arrayBuffer());
		const seen = await sharp(bytes).metadata();
		expect(seen).toMatchObject({ format: 'webp', width: 600, height: 900 });
		expect(seen.exif).toBeUndefined();
		const small = await sharp(Buffer.from(await (await attachmentContent(first.id, true)).arrayBuffer())).metadata();
		expect(Math.max(small.width!, small.height!)).toBe(320);
	});
	it('of more than one chunk come back as they were', async () => {
		const { own } = await bankWithCells('Long', 1);
		const text = Buffer.from(Array.from({ length: 120_000 }, (_, i) => `line ${i}`).join('\n'));
		const kept = await attach({ subjectKind: 'cell', subjectId: own[0]!.id, name: 'log.txt' }, 'text/plain', text);
		const [{ n }] = (await pool('attachment_chunks').where({ hash: kept.hash }).count({ n: '*' })) as [{ n: number }];
		expect(n).toBe(Math.ceil(text.length / (256 * 1024)));
		const back = Buffer.from(await (await attachmentContent(kept.id, false)).arrayBuffer());
		expect(back.equals(text)).toBe(true);
	});
	it('that are no photo, of nothing, or empty are refused by name', async () => {
		const about = { subjectKind: 'cell' as const, subjectId: 999_999, name: 'x' };
		await expect(attach(about, 'image/jpeg', Buffer.from('no picture'))).rejects.toMatchObject({
			faults: [{ path: 'file' }]
		});
		await expect(attach(about, 'application/zip', Buffer.from('zip'))).rejects.toMatchObject({
			faults: [{ path: 'file' }]
		});
		await expect(attach(about, 'image/jpeg', Buffer.alloc(0))).rejects.toMatchObject({ faults: [{ path: 'file' }] });
		await expect(attach(about, 'image/jpeg', await photo())).rejects.toMatchObject({ status: 404 });
	});
	it('go along with their bank, and one that was changed on the way is refused', async () => {
		const { bank, own } = await bankWithCells('Travels', 1);
		const kept = await attach(
			{ subjectKind: 'cell', subjectId: own[0]!.id, name: 'seen.jpg' },
			'image/jpeg',
			await photo()
		);
		const lines = (await exportText(bank.id)).split('\n');
		const brought = await importText(lines.join('\n'));
		const [cell] = await cells.all({
			deliveryId: (await pool('deliveries').where({ bank_id: brought.id }).first('id')).id
		});
		const [own2] = await attachments.all({ subjectKind: 'cell', subjectId: String(cell!.id) });
		expect(own2).toMatchObject({ hash: kept.hash, name: 'seen.jpg' });
		const changed = lines.map((line) =>
			line.includes('"file-chunk"') ? JSON.stringify({ ...JSON.parse(line), base64: 'AAAA' }) : line
		);
		await expect(importText(changed.join('\n'))).rejects.toThrow();
	});
	it('hang on a run, a balance and a guided balance, and go along with them', async () => {
		const { bank, own } = await bankWithCells('Displays', 2);
		const run = await make<{ id: number }>('runs', { cellId: own[0]!.id, capacityAh: 281, temperatureC: 22 });
		const balance = await make<{ id: number }>('balance-runs', {
			bankId: bank.id,
			supplyA: 20,
			leadOhm: 0.01,
			startedAt: '2026-11-22T00:00:00Z',
			checklist: { joined: true }
		});
		const of = [
			{ subjectKind: 'run' as const, subjectId: run.id },
			{ subjectKind: 'balance' as const, subjectId: balance.id }
		];
		for (const subject of of) await attach({ ...subject, name: 'display.jpg' }, 'image/jpeg', await photo());
		const brought = await importText(await exportText(bank.id));
		const [balanceThere] = await pool('balance_runs').where({ bank_id: brought.id });
		const there = await attachments.all({ subjectKind: 'balance', subjectId: String(balanceThere.id) });
		expect(there).toMatchObject([{ name: 'display.jpg' }]);
		const kinds = await pool('attachments').where({ name: 'display.jpg' }).select('subject_kind');
		expect(kinds.map((k) => k.subject_kind).sort()).toEqual(['balance', 'balance', 'run', 'run']);
		await expect(
			attach({ subjectKind: 'method', subjectId: 999_999, name: 'x.jpg' }, 'image/jpeg', await photo())
		).rejects.toMatchObject({ status: 404 });
	});
	it('can be taken off and brought back', async () => {
		const { own } = await bankWithCells('Off', 1);
		const kept = await attach(
			{ subjectKind: 'cell', subjectId: own[0]!.id, name: 'a.jpg' },
			'image/jpeg',
			await photo()
		);
		await change('attachments', kept.id, { version: 1, about: 'the vent' });
		await remove('attachments', kept.id, 2);
		expect(await attachments.all({ subjectKind: 'cell', subjectId: String(own[0]!.id) })).toEqual([]);
	});
});

describe('a cell looked at', () => {
	it('stops when it leaks, whatever somebody says has become of it', async () => {
		const { bank, own } = await bankWithCells('Leaks', 2);
		const seen = await make<{ id: number; version: number }>('inspections', { cellId: own[0]!.id, leak: 'bad' });
		expect(await codes(bank.id)).toEqual(expect.arrayContaining(['inspection-stop', 'not-inspected']));
		await change('inspections', seen.id, { version: seen.version, resolved: 'wiped; dry since a week' });
		const now = (await bankVerdicts(bank.id, 'receive')).find((v) => v.code === 'inspection-stop');
		expect(now).toMatchObject({ warmth: 'stop', facts: { resolved: 'wiped; dry since a week', lifted: false } });
	});
	it('is refused with two thicknesses, and keeps three', async () => {
		const { own } = await bankWithCells('Thick', 1);
		await expect(make('inspections', { cellId: own[0]!.id, thicknessMm: [72, 73] })).rejects.toThrow();
		const kept = await make<{ id: number }>('inspections', { cellId: own[0]!.id, thicknessMm: [72, null, 73.5] });
		expect((await inspections.get(kept.id)).thicknessMm).toEqual([72, null, 73.5]);
	});
});

describe('a delivery', () => {
	it('is summed up: who is short is claimed at the price paid, who cannot be told is not', async () => {
		const { bank, delivery, own } = await bankWithCells('Claim', 4);
		const run = (i: number, capacityAh: number, sdAh: number) =>
			make('runs', {
				cellId: own[i]!.id,
				capacityAh,
				sdAh,
				temperatureC: 25,
				currentA: -56,
				startedFull: true,
				testedAt: '2026-11-24'
			});
		await run(0, 290, 0.5);
		await run(1, 262, 0.5);
		await run(2, 280.2, 2.8);
		const report = await deliveryReport(delivery.id);
		expect(report).toMatchObject({ good: 1, toReturn: 1, cannotTell: 1, untested: 1, claimUntil: '2026-12-04' });
		const short = report.cells[1]!;
		// 280 − 262 less 1.645 of what is not known of it.
		expect(short.claimed).toMatchObject({ why: 'short', shortAh: expect.closeTo(18 - 1.645 * short.sdAh!, 6) });
		expect(report.worth).toBeCloseTo((short.claimed!.shortAh / 280) * 90, 6);
		expect(report.cells[2]!.claimed).toBeNull();
		expect(report.cells[2]!.notClaimed).toMatch(/cannot tell/);
		expect(report.cells[3]!.notClaimed).toBe('Not tested.');
		expect(await codes(bank.id)).toContain('delivery-claim');
	});
	it('whose codes are doubled, of another chemistry or older than promised is told so', async () => {
		const { bank, delivery, own } = await bankWithCells('Codes', 4);
		await change('deliveries', delivery.id, { version: 1, promisedProducedOn: '2026-01-01' });
		const code = (date: string, serial: string, letter = 'B') => `0HKC${letter}73A12B34C${date}${serial}`;
		const keep = async (i: number, text: string) =>
			change('cells', own[i]!.id, { version: own[i]!.version, code: text });
		await keep(0, code('G31', '0000001'));
		await keep(1, code('G31', '0000001'));
		await keep(2, code('G31', '0000003', 'E'));
		await keep(3, code('F31', '0000004'));
		expect(await codes(bank.id)).toEqual(
			expect.arrayContaining(['code-twice', 'code-chemistry', 'code-older-than-promised'])
		);
	});
});

describe('a meter held against a better one', () => {
	it('makes every verdict anew that rests on it, keeps what was typed, and is taken back whole', async () => {
		const { bank, own } = await bankWithCells('Calibrated', 2);
		for (const [i, rawText] of ['2.496', '3.290'].entries())
			await make('readings', { cellId: own[i]!.id, quantity: 'restVoltage', rawText, takenAt: '2026-11-21' });
		expect(await codes(bank.id)).toContain('deep-discharged');
		const pairs = [
			{ shown: 2.49, truth: 2.502 },
			{ shown: 3.289, truth: 3.301 }
		];
		const kept = await make<{ id: number; version: number }>('calibrations', {
			quantity: 'restVoltage',
			calibratedOn: '2026-11-20',
			truthSd: 0.0005,
			pairs
		});
		expect(await codes(bank.id)).not.toContain('deep-discharged');
		expect(await codes(bank.id)).toContain('nearly-empty');
		const [reading] = await pool('readings').where({ cell_id: own[0]!.id });
		expect(reading).toMatchObject({ raw_text: '2.496', value: 2.496 });
		const changes = await pool('verdict_changes').where({ bank_id: bank.id, code: 'deep-discharged' });
		expect(JSON.stringify(changes.at(-1).cause)).toContain('calibrations');
		await remove('calibrations', kept.id, kept.version);
		expect(await codes(bank.id)).toContain('deep-discharged');
	});
	it('another meter’s readings are left as they are', async () => {
		const { bank, own } = await bankWithCells('Other meter', 1);
		await make('readings', {
			cellId: own[0]!.id,
			quantity: 'restVoltage',
			rawText: '2.496',
			takenAt: '2026-11-21',
			meter: 'Bench two'
		});
		const kept = await make<{ id: number; version: number }>('calibrations', {
			quantity: 'restVoltage',
			calibratedOn: '2026-11-20',
			truthSd: 0.0005,
			pairs: [{ shown: 2.49, truth: 2.6 }]
		});
		expect(await codes(bank.id)).toContain('deep-discharged');
		await remove('calibrations', kept.id, kept.version);
	});
});

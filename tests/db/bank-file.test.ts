import type { Knex } from 'knex';
import { afterAll, beforeAll, describe, expect, it } from 'vitest';
import { startLive } from '$lib/core/foundation/live-run';
import { readyScenario } from '$lib/core/world/rehearsal';
import { insertLiveSamples } from '$lib/server/db/live-samples';
import { readRunSamples } from '$lib/server/db/run-samples';
import {
	acknowledgements,
	batteries,
	cells,
	liveEvents,
	liveRuns,
	rehearsals,
	runs,
	type Bank,
	type Cell
} from '$lib/server/records';
import { importFirstFormat } from '$lib/server/exchange/import';
import { acceptMatch } from '$lib/server/stages/match/accept';
import { currentPlacements } from '$lib/server/bank-picture/placements';
import { importRun } from '$lib/server/stages/test/runs';
import { comparable, exportText, importText } from '../support/bank-file';
import { freshDatabase } from '../support/database';
import { bytesOf, change, make, traysOf } from '../support/records';

let pool: Knex;
let bank: Bank;
let tray: Cell[];
const never = new AbortController().signal;

/** A bank with a record of every kind that goes along with it. */
beforeAll(async () => {
	pool = await freshDatabase('file');
	const type = await make<{ id: number }>('cell-types', { name: 'T100', chemistry: 'LFP', ratedAh: 100 });
	const layout = { series: 2, parallel: 1, batteries: 2 };
	bank = await make<Bank>('banks', {
		...layout,
		name: 'Whole',
		bankUse: 'van',
		chemistry: 'LFP',
		cellTypeId: type.id,
		inServiceOn: '2025-01-01'
	});
	const crate = { bankId: bank.id, name: 'Crate', receivedOn: '2026-03-09', cellCount: 5 };
	const delivery = await make<{ id: number }>('deliveries', crate);
	tray = await cells.all({ deliveryId: delivery.id });
	for (const { id: cellId } of tray)
		await make('readings', { cellId, quantity: 'restVoltage', rawText: '3.291', takenAt: '2026-03-10T00:00:00Z' });
	await make('notes', { cellId: tray[0]!.id, text: 'zwölf "Zeichen"\nüber zwei Zeilen' });
	const rows = Array.from({ length: 4500 }, (_, i) => `${i},${(3.3 - i / 9000).toFixed(5)},-20`);
	await importRun(tray[0]!.id, bytesOf(['time_s,voltage_V,current_A', ...rows].join('\n')), {
		fileName: 'a.csv',
		temperatureC: 25,
		testedAt: '2026-03-12T10:00:00Z',
		tester: null,
		bridgeGaps: false
	});
	for (const { id: cellId } of tray.slice(1)) await make('runs', { cellId, capacityAh: 101, temperatureC: 25 });
	const [a, b, c, d, e] = tray.map((t) => t.id);
	await acceptMatch(bank.id, {
		groups: [[a!], [b!], [c!], [d!]],
		placedAt: '2026-03-20T00:00:00Z',
		despite: 'a test of files'
	});
	await acceptMatch(bank.id, {
		groups: [[e!], [b!], [c!], [d!]],
		placedAt: '2026-03-21T00:00:00Z',
		despite: 'a test of files'
	});
	const run = await make<{ id: number }>('balance-runs', {
		bankId: bank.id,
		supplyA: 20,
		leadOhm: 0.01,
		startedAt: '2026-03-22T00:00:00Z',
		checklist: { joined: true }
	});
	await make('balance-readings', { balanceRunId: run.id, readAt: '2026-03-22T01:00:00Z', supplyA: 20 });
	await make('limit-plans', { bankId: bank.id, strategy: 'long-life', fuseA: 150 });
	const check = { bankId: bank.id, battery: 2, checkedAt: '2026-04-01', context: 'full', currentA: 1 };
	await make('service-checks', { ...check, groupVoltagesV: [3.46, null] });
	await make('capacity-tests', { bankId: bank.id, testedAt: '2026-04-02', capacityAh: 99, sdAh: 1, efc: 20 });
	const live = await liveRuns.insert({
		bankId: bank.id,
		cellId: a,
		balanceRunId: run.id,
		kind: 'watch',
		state: 'ended',
		instruments: [],
		phases: [{ kind: 'watch' }],
		intervalMs: 1000,
		deadManS: 20,
		progress: startLive(),
		endedBy: 'x'
	});
	const sample = (atMs: number) => ({
		atMs,
		phase: 0,
		voltageV: 6.6,
		currentA: -1.5,
		cellV: null,
		temperatureC: 20,
		groupsV: [3.3, 3.3]
	});
	await insertLiveSamples(
		live.id,
		Array.from({ length: 2100 }, (_, i) => sample(1e12 + i * 1000)),
		pool
	);
	await liveEvents.insert({
		liveRunId: live.id,
		happenedAt: '2026-03-22T02:00:00Z',
		kind: 'gap',
		message: 'x',
		needsPerson: false
	});
	const [battery] = await batteries.all({ bankId: bank.id });
	const apart = { bankId: bank.id, reason: 'seen', facts: {}, acknowledgedAt: '2026-04-03T00:00:00Z' };
	await acknowledgements.insertMany([
		{ ...apart, stage: 'test', code: 'capacity-unsure', subjectKind: 'cell', subjectId: String(a) },
		{ ...apart, stage: 'build', code: 'lead-open', subjectKind: 'lead', subjectId: `${battery!.id}/2` }
	]);
	await rehearsals.insert({ bankId: bank.id, scenario: readyScenario('first-crate'), saved: null });
});
afterAll(() => pool.destroy());

describe('a bank’s file', () => {
	it('holds the whole record: out, in and out again it is the same apart from ids', async () => {
		const first = await exportText(bank.id);
		const kinds = new Set(comparable(first).map((l) => (l as { kind?: string }).kind));
		for (const kind of [
			'batteries',
			'candidates',
			'run-samples',
			'live-runs',
			'live-samples',
			'live-events',
			'rehearsals',
			'acknowledgements'
		])
			expect(kinds, kind).toContain(kind);
		const copy = await importText(first);
		expect(copy.id).not.toBe(bank.id);
		const names = (text: string) => text.replaceAll(' (2)', '');
		expect(comparable(names(await exportText(copy.id)))).toEqual(comparable(first));
		// What was set apart is set apart of the same cell and lead, by their new ids.
		const [ofCell, ofLead] = await acknowledgements.all({ bankId: copy.id });
		expect((await cells.get(Number(ofCell!.subjectId))).label).toBe(tray[0]!.label);
		expect(ofCell!.subjectId).not.toBe(String(tray[0]!.id));
		const [battery] = await batteries.all({ bankId: copy.id });
		expect(ofLead!.subjectId).toBe(`${battery!.id}/2`);
	});
	it('is refused whole when it is cut short, from elsewhere, newer, or broken; and nothing of it is stored', async () => {
		const text = await exportText(bank.id);
		const before = Number((await pool('banks').count({ n: '*' }))[0]!.n);
		const lines = text.split('\n');
		const faultsOf = (t: string) =>
			importText(t).catch((e: { faults: { path: string; message: string }[] }) => e.faults);
		expect(await faultsOf(lines.slice(0, -1).join('\n'))).toMatchObject([
			{ message: expect.stringContaining('cut short') }
		]);
		expect(await faultsOf('')).toMatchObject([{ path: 'format' }]);
		expect(await faultsOf('{"hello":1}')).toMatchObject([{ path: 'format' }]);
		expect(await faultsOf(text.replace('"formatVersion":2', '"formatVersion":{"a":1}'))).toMatchObject([
			{ path: 'formatVersion' }
		]);
		expect(await faultsOf(text.replace('"formatVersion":2', '"formatVersion":99'))).toMatchObject([
			{ message: 'requires 2, got 99' }
		]);
		const odd = (from: RegExp | string, to: string) => faultsOf(text.replace(from, to));
		expect(
			await odd(
				/"kind":"readings","record":\{"id":(\d+),"cellId":\d+/,
				'"kind":"readings","record":{"id":$1,"cellId":999'
			)
		).toMatchObject([{ path: 'readings.0.cellId' }]);
		expect(await odd('"source":"log"', '"source":"guess"')).toMatchObject([{ path: 'runs.0.source' }]);
		expect(await odd('"timeS":[0,1,2', '"timeS":[0,1,1')).toMatchObject([{ path: 'run-samples.timeS' }]);
		expect(await odd('"value":3.291', '"value":"much"')).toMatchObject([{ path: 'readings.0.value' }]);
		expect(Number((await pool('banks').count({ n: '*' }))[0]!.n)).toBe(before);
	});
	it('of a rehearsal gets a name of its own on the bench', async () => {
		const copy = await importText(await exportText(bank.id));
		const names = (await rehearsals.all({})).map((r) => r.scenario.name);
		expect(new Set(names).size).toBe(names.length);
		expect((await rehearsals.all({ bankId: copy.id }))[0]!.scenario.name).toMatch(/\(\d\)$/);
	});
});

describe('a file of the first format', () => {
	const bare = { format: 'kind-ember-bank', formatVersion: 1, exportedAt: '2026-01-01T00:00:00Z' };
	const placement = (id: number, cellId: number, battery: number, position: number, more: object = {}) => ({
		id,
		cellId,
		bankId: 9,
		battery,
		position,
		placedAt: '2026-02-01T00:00:00.000Z',
		removedAt: null,
		...more
	});
	const file = {
		...bare,
		bank: {
			id: 9,
			name: 'Old one',
			bankUse: 'boat',
			chemistry: 'LFP',
			series: 2,
			parallel: 1,
			batteries: 1,
			cellTypeId: 3,
			notes: null,
			inServiceOn: null,
			endFraction: 0.8,
			rehearsal: false
		},
		cellType: { id: 3, name: 'Old type', maker: null, chemistry: 'LFP', ratedAh: 100, rehearsal: false },
		deliveries: [
			{ id: 5, bankId: 9, name: 'Crate', receivedOn: '2026-01-02T00:00:00.000Z', supplier: null, notes: null }
		],
		cells: [1, 2, 3].map((id) => ({ id, deliveryId: 5, label: `O-0${id}`, position: id, batch: null, code: null })),
		readings: [
			{
				id: 1,
				cellId: 1,
				quantity: 'restVoltage',
				value: 3.3,
				rawText: '3.3',
				rawUnit: 'V',
				sd: 0.002,
				restS: null,
				takenAt: '2026-01-03T00:00:00.000Z',
				meter: null,
				clientKey: 'was-sent'
			}
		],
		runs: [
			{
				id: 7,
				cellId: 1,
				source: 'log',
				capacityAh: 99,
				sdAh: 1,
				energyWh: null,
				testedAt: '2026-01-04T00:00:00.000Z',
				samples: { timeS: [0, 10], voltageV: [3.3, 3.2], currentA: [-20, -20] }
			}
		],
		// One cell in two places at once, one place outside the layout, as the first release let them be.
		placements: [placement(1, 1, 1, 1), placement(2, 1, 1, 2), placement(3, 2, 1, 1), placement(4, 3, 32, 128)],
		balanceRuns: [],
		balanceReadings: [],
		limitPlans: [
			{ id: 1, bankId: 9, strategy: 'middle-road', bmsA: 100, bmsResolutionV: null, fuseA: 125, cableA: 150 }
		],
		serviceChecks: [],
		capacityTests: [],
		notes: []
	};
	const bring = (value: object) => importFirstFormat(bytesOf(JSON.stringify(value)), never);
	it('still comes in: batteries, candidates and places follow from it', async () => {
		const old = await bring(file);
		expect(old).toMatchObject({ name: 'Old one', rehearsal: false });
		const [crate] = await traysOf(old.id);
		expect(crate!.cells.map((c) => c.label)).toEqual(['O-01', 'O-02', 'O-03']);
		expect((await currentPlacements(old.id)).map((p) => [p.position, p.battery])).toEqual([
			[1, 1],
			[2, 1]
		]);
		expect(await pool('batteries').where({ bank_id: old.id }).first()).toMatchObject({ fuse_a: 125, cable_a: 150 });
		const [run] = await runs.all({ cellId: crate!.cells[0]!.id });
		expect(await readRunSamples(run!.id)).toEqual({ timeS: [0, 10], voltageV: [3.3, 3.2], currentA: [-20, -20] });
	});
	it('is refused by path when it is broken, and nothing is stored', async () => {
		const before = Number((await pool('banks').count({ n: '*' }))[0]!.n);
		const faults = (value: object) => bring(value).catch((e: { faults: { path: string }[] }) => e.faults[0]!.path);
		expect(await faults({ hello: 1 })).toBe('format');
		expect(await faults({ ...file, formatVersion: 3 })).toBe('formatVersion');
		expect(await faults({ ...file, notes: 'none' })).toBe('notes');
		expect(await faults({ ...file, readings: [7] })).toBe('readings.0');
		expect(await faults({ ...file, readings: [{ ...file.readings[0], cellId: -1 }] })).toBe('readings.0.cellId');
		expect(await faults({ ...file, runs: [{ ...file.runs[0], samples: { timeS: [1] } }] })).toBe('runs.0.samples');
		expect(await faults({ ...file, runs: [{ ...file.runs[0], source: 'guess' }] })).toBe('runs.0.source');
		expect(await faults({ ...file, bank: { ...file.bank, series: 0 } })).toBe('banks.0.series');
		expect(Number((await pool('banks').count({ n: '*' }))[0]!.n)).toBe(before);
	});
	it('leaves nothing of a change undone: the copy can be changed like any other', async () => {
		const copy = await bring(file);
		expect(await change('banks', copy.id, { version: copy.version, notes: 'mine now' })).toMatchObject({
			notes: 'mine now'
		});
	});
});

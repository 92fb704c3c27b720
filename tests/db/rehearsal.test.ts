import type { Knex } from 'knex';
import { afterAll, beforeAll, describe, expect, it } from 'vitest';
import type { Finding } from '$lib/core/world/rehearsal';
import { calibrationsFor, cells, deliveries, readings, type Bank, type Cell } from '$lib/server/records';
import { bundledInstruments } from '$lib/server/address-book/instruments';
import { measureCell } from '$lib/server/measuring/cell-reading';
import { acceptMatch } from '$lib/server/stages/match/accept';
import { createIn } from '$lib/server/collections/collections';
import { rehearsalState, revealRehearsal, startRehearsal } from '$lib/server/rehearsals/rehearsal';
import { moveHands, readProbes } from '$lib/server/rehearsals/hands';
import { startBench, type BenchServer } from '../../stand-ins/bench-server';
import { exportText, importText } from '../support/bank-file';
import { expectOneVoice } from '../support/consistency';
import { freshDatabase } from '../support/database';
import { remove } from '../support/records';

let pool: Knex;
let bench: BenchServer;
let bank: Bank;
let crate: Cell[];
let meters: { voltmeter: number; ohmmeter: number };

async function crateOf(bankId: number): Promise<Cell[]> {
	const [delivery] = await deliveries.all({ bankId });
	return cells.all({ deliveryId: delivery!.id });
}

beforeAll(async () => {
	pool = await freshDatabase('rehearsal');
	bench = await startBench(0);
	process.env.KIND_EMBER_BENCH = `127.0.0.1:${bench.port}`;
	bank = await startRehearsal({ ready: 'second-hand' });
	crate = await crateOf(bank.id);
	const tools = await bundledInstruments();
	meters = { voltmeter: tools.voltmeter.id, ohmmeter: tools.ohmmeter.id };
});
afterAll(async () => {
	bench.close();
	await pool.destroy();
});

describe('a rehearsal', () => {
	it('unpacks the crate of the scenario into a bank that is marked', async () => {
		expect(bank).toMatchObject({ rehearsal: true, series: 4, parallel: 2 });
		expect(crate.map((c) => c.label)).toEqual(bench.world.bench().scenario.cells.map((c) => c.label));
	});
	it('measures each cell with the bench’s meters, and finds the wrong print by its sign', async () => {
		for (const { id } of crate) {
			await measureCell(bank.id, { cellId: id, instrumentId: meters.voltmeter });
			await measureCell(bank.id, { cellId: id, instrumentId: meters.ohmmeter });
		}
		const taken = await readings.all({ cellId: crate.map((c) => c.id), quantity: 'restVoltage' });
		const negative = taken.filter((r) => r.value < 0).map((r) => crate.find((c) => c.id === r.cellId)!.label);
		const reversed = bench.world
			.bench()
			.scenario.cells.filter((c) => c.printedReversed)
			.map((c) => c.label);
		expect(negative).toEqual(reversed);
		const { suggested } = await rehearsalState(bank.id);
		const hidden = bench.world.bench().scenario.cells.find((c) => c.resistanceFactor > 1.2)!.label;
		expect(suggested).toEqual(
			expect.arrayContaining([
				{ kind: 'wrong-print', where: reversed[0] },
				{ kind: 'high-resistance', where: hidden }
			])
		);
	});
	it('does not tell the truth before it is closed', async () => {
		const told = JSON.stringify(await rehearsalState(bank.id));
		expect(told).not.toMatch(/capacityAh|selfDischarge|resistanceFactor/);
		expect((await rehearsalState(bank.id)).judgement).toBeNull();
	});
	it('wires what was matched, turning the cells whose reading was negative', async () => {
		await expect(moveHands(bank.id, { wire: 'series' })).rejects.toThrow(/Match the cells first/);
		const groups = Array.from({ length: 4 }, (_, g) => [crate[2 * g]!.id, crate[2 * g + 1]!.id]);
		await acceptMatch(bank.id, { groups });
		expect(await moveHands(bank.id, { wire: 'series' })).toMatchObject({ wiring: 'series' });
		expect(bench.world.bench().incidents).toEqual([]);
		const seen = (await rehearsalState(bank.id)).cells;
		expect(seen.map((c) => c.group)).toEqual([1, 1, 2, 2, 3, 3, 4, 4, null, null]);
		await moveHands(bank.id, { probeCellId: crate[3]!.id });
		expect((await rehearsalState(bank.id)).cells.filter((c) => c.tools.includes('voltmeter')).map((c) => c.id)).toEqual(
			[crate[3]!.id]
		);
		await moveHands(bank.id, { probeLead: 2 });
		const { voltageV } = await readProbes(bank.id);
		expect(voltageV).toBeGreaterThan(6.4);
		expect(voltageV).toBeLessThan(6.8);
	});
	it('charges and loads the battery by hand, tightens a bar and reseats a lead', async () => {
		expect(await moveHands(bank.id, { chargeA: 10 })).toMatchObject({ supplyOn: true, loadOn: false });
		await expect(moveHands(bank.id, { tightenGroup: 1 })).rejects.toMatchObject({
			message: expect.stringMatching(/Switch the supply and the load off/)
		});
		expect(await moveHands(bank.id, { chargeA: 0, loadA: 10 })).toMatchObject({ supplyOn: false, loadOn: true });
		expect(await moveHands(bank.id, { loadA: 0 })).toMatchObject({ supplyOn: false, loadOn: false });
		await moveHands(bank.id, { tightenGroup: 2 });
		expect(bench.world.bench().tightened).toEqual(bench.world.bench().joined!.groups[1]);
		await expect(moveHands(bank.id, { reseatLead: 1 })).rejects.toMatchObject({
			message: expect.stringMatching(/Pull the plug/)
		});
	});
	it('lets time pass, and is gone on with after another rehearsal was on the bench', async () => {
		const before = (await moveHands(bank.id, { skipS: 7 * 86400 })).timeS;
		const other = await startRehearsal({ seed: 5 });
		expect((await rehearsalState(bank.id)).bench).toBeNull();
		const back = await moveHands(bank.id, { timeFactor: 500 });
		expect(back).toMatchObject({ wiring: 'series', timeFactor: 500 });
		expect(back.timeS).toBeGreaterThanOrEqual(before);
		expect((await rehearsalState(other.id)).bench).toBeNull();
	});
	it('keeps the calibration of a simulated meter to itself', async () => {
		const { name } = (await bundledInstruments()).voltmeter;
		const pairs = [{ shown: 3.3, truth: 3.2 }];
		const { record } = await createIn('calibrations', {
			quantity: 'restVoltage',
			meter: name,
			calibratedOn: '2026-01-01',
			truthSd: 0.001,
			pairs
		});
		expect(record).toMatchObject({ bankId: bank.id });
		const of = async (on: { id: number; rehearsal: boolean } | null) =>
			(await calibrationsFor(on)).map((c) => c.id).includes(record.id);
		expect(await of(bank)).toBe(true);
		expect(await of({ id: bank.id + 1, rehearsal: true })).toBe(false);
		expect(await of({ id: bank.id + 2, rehearsal: false })).toBe(false);
		expect(await of(null)).toBe(false);
		await remove('calibrations', record.id, record.version);
	});
	it('sets truth beside conclusions at the end, once', async () => {
		const scenario = bench.world.bench().scenario;
		const weak = scenario.cells.find((c) => c.capacityAh < 0.95 * scenario.ratedAh)!.label;
		const conclusions: Finding[] = [
			{ kind: 'weak-cell', where: weak },
			{ kind: 'supply-display', where: null }
		];
		const { judgement, revealedAt } = await revealRehearsal(bank.id, { conclusions });
		expect(revealedAt).not.toBeNull();
		expect(judgement!.defects.find((d) => d.kind === 'weak-cell')).toMatchObject({ caught: true, cost: 0 });
		expect(
			judgement!.defects
				.filter((d) => !d.caught)
				.map((d) => d.kind)
				.sort()
		).toEqual(['high-resistance', 'leaking-cell', 'wrong-print']);
		expect(judgement!.falseAlarms).toMatchObject([{ kind: 'supply-display' }]);
		expect(judgement!.builtAh).toBeGreaterThan(300);
		await expect(revealRehearsal(bank.id, { conclusions })).rejects.toThrow(/truth is known/);
	});
	it('stays a rehearsal when its file goes elsewhere', async () => {
		expect(await importText(await exportText(bank.id))).toMatchObject({ rehearsal: true });
	});
	it('is told of with one voice, whatever is read of it', () => expectOneVoice());
	it('of an unknown name, or of a scenario that cannot be, is refused', async () => {
		await expect(startRehearsal({ ready: 'nowhere' })).rejects.toThrow(/ready/);
		await expect(startRehearsal({ scenario: { format: 'x' } })).rejects.toThrow(/format/);
	});
});

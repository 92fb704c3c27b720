import { describe, expect, it, beforeAll } from 'vitest';
import { meterSd } from '$lib/core/foundation/reading';
import { cells, readings, type Bank, type Cell, type Instrument, type Reading } from '$lib/server/records';
import { measureCell as measureOnce } from '$lib/server/measuring/cell-reading';
import { withLiveBench } from '../support/live-bench';
import { make } from '../support/records';

const measureCell = async (...input: Parameters<typeof measureOnce>) => (await measureOnce(...input)).record as Reading;

const here = withLiveBench('measure');
let real: Bank;
let cell: Cell;

/** A meter of one's own: it stands at the simulated bench's port, but is entered like any other. */
async function ownMeter(kind: 'voltmeter' | 'ohmmeter' | 'load', more: object = {}): Promise<Instrument> {
	const { port } = (await here().hands.instruments()).find((i) => i.name === kind)!;
	const fields = { name: `My ${kind}`, kind, host: '127.0.0.1', port, ...more };
	return make<Instrument>('instruments', fields);
}

beforeAll(async () => {
	real = await make<Bank>('banks', { name: 'Real', bankUse: 'van', chemistry: 'LFP', series: 4, parallel: 1 });
	const delivery = await make<{ id: number }>('deliveries', {
		bankId: real.id,
		name: 'Crate',
		receivedOn: '2026-01-01',
		cellCount: 2,
		labelPrefix: 'C'
	});
	cell = (await cells.all({ deliveryId: delivery.id }))[0]!;
});

describe('a cell is read with a meter of one’s own', () => {
	it('and the text stays as the meter showed it, the calibration taken out of the value', async () => {
		const meter = await ownMeter('voltmeter', { accuracyPercent: 0.1, accuracyFixed: 0.004, voltageOffsetV: 0.02 });
		await here().hands.clip('voltmeter', { cell: 1 });
		const reading = await measureCell(real.id, { cellId: cell.id, instrumentId: meter.id });
		const shown = Number(reading.rawText);
		expect(shown).toBeGreaterThan(3.2);
		expect(reading.value).toBeCloseTo(shown - 0.02, 9);
		expect(reading).toMatchObject({ quantity: 'restVoltage', meter: 'My voltmeter' });
		expect(reading.sd).toBeCloseTo((reading.value * 0.001 + 0.004) / Math.sqrt(3), 9);
	});
	it('in milliohms, with the doubt of a usual milliohm meter when its sheet was not given', async () => {
		const meter = await ownMeter('ohmmeter');
		await here().hands.clip('ohmmeter', { cell: 1 });
		const reading = await measureCell(real.id, { cellId: cell.id, instrumentId: meter.id });
		expect(reading.value).toBeGreaterThan(0.1);
		expect(reading.value).toBeLessThan(1);
		const probes = { percentOfReading: 0.5, countsValue: 0.005, repeatability: 0.002 };
		expect(reading.sd).toBeCloseTo(meterSd(probes, reading.value), 9);
	});
	it('once, however often it was sent', async () => {
		const meter = await ownMeter('voltmeter');
		const once = { cellId: cell.id, instrumentId: meter.id, clientKey: 'k-1' };
		const [first, second] = [await measureCell(real.id, once), await measureCell(real.id, once)];
		expect(second.id).toBe(first.id);
		expect((await readings.all({ cellId: cell.id })).filter((r) => r.id >= first.id)).toHaveLength(1);
	});
	it('but not with probes in the air', async () => {
		const meter = await ownMeter('ohmmeter');
		await here().hands.clip('ohmmeter', null);
		await expect(measureCell(real.id, { cellId: cell.id, instrumentId: meter.id })).rejects.toThrow(/touch nothing/);
	});
	it('nor with a load, a simulated meter, or for another bank', async () => {
		const load = await ownMeter('load');
		const meter = await ownMeter('voltmeter');
		const { tools, bank, crate } = here();
		const read = (bankId: number, cellId: number, instrumentId: number) =>
			measureCell(bankId, { cellId, instrumentId });
		await expect(read(real.id, cell.id, load.id)).rejects.toThrow(/voltmeter or a milliohm meter/);
		await expect(read(real.id, cell.id, tools.voltmeter!.id)).rejects.toThrow(/measures no real cell/);
		await expect(read(bank.id, crate[0]!.id, meter.id)).rejects.toThrow(/bench’s meters/);
		await expect(read(real.id, crate[0]!.id, meter.id)).rejects.toThrow(/cell of this bank/);
	});
});

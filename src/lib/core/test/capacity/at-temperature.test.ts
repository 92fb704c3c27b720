import { describe, expect, it } from 'vitest';
import { coldShareAt } from '../../foundation/chemistry';
import { capacitiesAtTemperature, usualShare, weakAtTemperature, type HeldRun, type RoomRun } from '.';

const held = (cellId: number, capacityAh: number, more: Partial<HeldRun> = {}): HeldRun => ({
	cellId,
	tester: 'A',
	heldAtC: 0,
	temperatureC: 0,
	capacityAh,
	sdAh: 0.01 * capacityAh,
	cRate: 0.2,
	...more
});
const room = (cellId: number, capacityAh: number, more: Partial<RoomRun> = {}): RoomRun => ({
	cellId,
	tester: 'A',
	capacityAh,
	sdAh: 0.01 * capacityAh,
	cRate: 0.2,
	...more
});

describe('what a cell gives at a temperature that was chosen', () => {
	it('as a share of its own run in the room; the gain of one tester falls out of it', () => {
		const { cells, missed } = capacitiesAtTemperature([held(1, 241)], [room(1, 280)]);
		expect(missed).toEqual([]);
		expect(cells).toHaveLength(1);
		const [{ temperatureC, capacityAh, sdAh, share }] = cells as [(typeof cells)[number]];
		expect({ temperatureC, capacityAh }).toEqual({ temperatureC: 0, capacityAh: 241 });
		expect(share!.value).toBeCloseTo(241 / 280, 9);
		// 1 K of the thermometer: 0.0085 of 0.875 a kelvin. Runs repeat to 0.3 %.
		const thermometer = 0.0085 / 0.875;
		expect(share!.sd).toBeCloseTo((241 / 280) * Math.hypot(thermometer, 0.003, 0.003), 3);
		expect(sdAh).toBeCloseTo(241 * Math.hypot(0.01, thermometer), 1);
		const other = capacitiesAtTemperature([held(1, 241, { tester: 'B' })], [room(1, 280)]).cells[0]!;
		expect(other.share!.sd).toBeGreaterThan(share!.sd * 1.3);
	});
	it('brought over a few kelvin to what was chosen, on the side the cold takes', () => {
		const at2 = capacitiesAtTemperature([held(1, 241, { temperatureC: 2 })], []).cells[0]!;
		expect(at2.capacityAh).toBeCloseTo((241 * (1 - coldShareAt(0))) / (1 - coldShareAt(2)), 6);
		expect(at2.capacityAh).toBeLessThan(241);
		expect(at2.share).toBeNull();
	});
	it('a run that was nowhere near it compares with nothing, until another one is', () => {
		const far = held(1, 270, { temperatureC: 14 });
		expect(capacitiesAtTemperature([far], []).missed).toEqual([{ cellId: 1, heldAtC: 0, temperatureC: 14 }]);
		const both = capacitiesAtTemperature([far, held(1, 241)], []);
		expect(both.missed).toEqual([]);
		expect(both.cells[0]!.capacityAh).toBe(241);
	});
	it('compares only with a run at a like rate: the cold costs more at a higher one', () => {
		const share = (cRate: number | null) =>
			capacitiesAtTemperature([held(1, 241)], [room(1, 280, { cRate })]).cells[0]!.share;
		expect(share(0.5)).toBeNull();
		expect(share(null)).toBeNull();
		expect(share(0.24)).not.toBeNull();
	});
	it('nobody measured on the cell: the box tells less', () => {
		const known = capacitiesAtTemperature([held(1, 241)], []).cells[0]!;
		const box = capacitiesAtTemperature([held(1, 241, { temperatureC: null })], []).cells[0]!;
		expect(box.sdAh).toBeGreaterThan(1.5 * known.sdAh);
	});
	it('each temperature by itself, coldest first; of two runs at one the later', () => {
		const { cells } = capacitiesAtTemperature(
			[held(1, 282, { heldAtC: 35, temperatureC: 35 }), held(1, 239), held(1, 241)],
			[]
		);
		expect(cells.map((c) => [c.temperatureC, c.capacityAh])).toEqual([
			[0, 241],
			[35, 282]
		]);
	});
});

describe('cells held at one temperature', () => {
	const tray = (shares: number[]) =>
		capacitiesAtTemperature(
			shares.map((s, i) => held(i + 1, 280 * s)),
			shares.map((_, i) => room(i + 1, 280))
		).cells;
	it('one that gives 6 % less than the others in the cold is named, one that gives 2 % less is not', () => {
		expect(weakAtTemperature(tray([0.86, 0.87, 0.865, 0.8])).map((w) => w.cellId)).toEqual([4]);
		expect(weakAtTemperature(tray([0.86, 0.87, 0.865, 0.845]))).toEqual([]);
	});
	it('two tell nothing of each other, and a better one is no fault', () => {
		expect(weakAtTemperature(tray([0.86, 0.7]))).toEqual([]);
		expect(weakAtTemperature(tray([0.86, 0.86, 0.86, 0.95]))).toEqual([]);
	});
	it('usual is known to a third of what the cold takes: at 0 °C 12.5 ± 8.3 %', () => {
		const { low, high } = usualShare(0);
		expect(low).toBeCloseTo(1 - 0.125 * (5 / 3), 2);
		expect(high).toBeCloseTo(1 - 0.125 / 3, 2);
		expect(usualShare(25)).toEqual({ low: 1, high: 1 });
		expect(usualShare(35).low).toBeCloseTo(0.97, 9);
	});
});

import { describe, expect, it } from 'vitest';
import { CoreError } from '../../foundation/errors';
import { forecast, forecastRange, type KnownCell } from '.';

const DAYS_S = 2 * 86_400;
const read = (capacities: readonly number[], sd: number | null, volts?: readonly number[]): KnownCell[] =>
	capacities.map((capacityAh, id) => ({
		id,
		capacityAh,
		capacitySdAh: sd,
		rest: volts ? { voltageV: volts[id]!, sdV: 0.001, restS: DAYS_S } : null
	}));
const single = (n: number) => [Array.from({ length: n }, (_, id) => [id])];
const AH = [100, 104, 103, 102, 105, 101, 103, 104];

describe('what a string gives as far as its cells are known', () => {
	it('balanced, of cells known exactly: their smallest, within what the ends of a run leave open', () => {
		const { usableAh, endsDischarge, mostLeftAh } = forecastRange(read(AH, null), single(8), 'top', 'LFP')!;
		expect(usableAh.low95).toBeGreaterThan(99);
		expect(usableAh.high95).toBeLessThan(102);
		expect(endsDischarge).toEqual([{ battery: 1, position: 1, probability: 1 }]);
		expect(mostLeftAh).toEqual({ low95: 5, likely: 5, high95: 5 });
	});
	it('the doubt of the tests is in it, and who ends it is then a chance', () => {
		const known = forecastRange(read(AH, 0.3), single(8), 'top', 'LFP')!;
		const doubtful = forecastRange(read(AH, 2), single(8), 'top', 'LFP')!;
		const width = ({ usableAh }: typeof known) => usableAh.high95 - usableAh.low95;
		expect(width(doubtful)).toBeGreaterThan(1.5 * width(known));
		expect(doubtful.endsDischarge[0]).toMatchObject({ position: 1 });
		expect(doubtful.endsDischarge[0]!.probability).toBeLessThan(known.endsDischarge[0]!.probability);
	});
	it('unbalanced: volts that differ near empty show it, and it gives less than balanced', () => {
		// Of rest voltages near empty the table gives 3.000 V at 0 and 3.2 V at about 12 %.
		const near = [3.2, 3.2, 3.21, 3.2, 3.0, 3.2, 3.21, 3.2];
		const none = forecastRange(read(AH, 0.3, near), single(8), 'none', 'LFP')!;
		const top = forecastRange(read(AH, 0.3, near), single(8), 'top', 'LFP')!;
		expect(none.usableAh.high95).toBeLessThan(top.usableAh.low95);
		expect(none.endsDischarge[0]).toMatchObject({ position: 5 });
		expect(none.endsDischarge[0]!.probability).toBeGreaterThan(0.9);
	});
	it('unbalanced on the plateau a few millivolts leave much open; all alike may give as much as balanced', () => {
		const flat = read(
			AH,
			0.3,
			AH.map((_, i) => 3.28 + (i % 3) / 1000)
		);
		const none = forecastRange(flat, single(8), 'none', 'LFP')!.usableAh;
		const top = forecastRange(flat, single(8), 'top', 'LFP')!.usableAh;
		expect(none.high95).toBeGreaterThan(top.low95);
		expect(none.low95).toBeLessThan(top.low95 - 2);
	});
	it('cannot tell what comes unbalanced where one was not read', () => {
		const cells = read(
			AH,
			1,
			AH.map(() => 3.28)
		);
		cells[3]!.rest = null;
		expect(forecastRange(cells, single(8), 'none', 'LFP')).toBeNull();
		expect(forecastRange(cells, single(8), 'top', 'LFP')).not.toBeNull();
	});
	it('a balancer gives no less than none at all, and never more than the mean allows', () => {
		const top = forecastRange(read(AH, 1), single(8), 'top', 'LFP')!.usableAh;
		const lifted = forecastRange(read(AH, 1), single(8), { activeA: 2, hours: 1.5 }, 'LFP')!.usableAh;
		expect(lifted.likely).toBeGreaterThan(top.likely + 0.5);
		const endless = forecastRange(read(AH, null), single(8), { activeA: 50, hours: 50 }, 'LFP')!.usableAh;
		expect(endless.high95).toBeLessThan(1.015 * (AH.reduce((a, b) => a + b, 0) / AH.length));
		expect(endless.likely).toBeGreaterThan(102);
	});
	it('batteries in parallel give together; the one that gives least is named', () => {
		const two = [
			[[1], [2], [3], [4]],
			[[5], [0], [6], [7]]
		];
		const found = forecastRange(read(AH, null), two, 'top', 'LFP')!;
		expect(found.usableAh.likely).toBeCloseTo(1.001 * (102 + 100), 0);
		expect(found.endsDischarge).toEqual([{ battery: 2, position: 2, probability: 1 }]);
	});
	it('is the forecast itself where nothing is in doubt, but for where the ends are', () => {
		const cells = read(AH, null);
		const sure = forecast(cells, single(8)[0]!, { activeA: 2, hours: 1.5 }).usableAh;
		const { likely } = forecastRange(cells, single(8), { activeA: 2, hours: 1.5 }, 'LFP')!.usableAh;
		expect(Math.abs(likely / sure - 1.001)).toBeLessThan(0.003);
	});
	it('says the same each time, and refuses what the forecast refuses', () => {
		const ask = () => forecastRange(read(AH, 1), single(8), 'top', 'LFP');
		expect(ask()).toEqual(ask());
		expect(() => forecastRange(read(AH, 1), [[[0], [0]]], 'top', 'LFP')).toThrow(CoreError);
		expect(() => forecastRange(read(AH, 1), [[[99]]], 'top', 'LFP')).toThrow(CoreError);
		expect(() => forecastRange(read([0, 1], 1), [[[0], [1]]], 'top', 'LFP')).toThrow(CoreError);
	});
});

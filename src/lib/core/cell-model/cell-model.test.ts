import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import {
	acResistanceMohm,
	cellConstants,
	restedCell,
	simulateDischarge,
	stepCell,
	terminalVoltageV,
	type CellParameters
} from '.';

const cell: CellParameters = {
	chemistry: 'LFP',
	capacityAh: 206,
	resistanceFactor: 1,
	selfDischargePerMonth: 0,
	temperatureC: 25
};
const full = restedCell(cell, 1);

describe('a simulated 206 Ah cell', () => {
	it.each([
		[0.1, 206.0],
		[0.2, 205.3],
		[1, 200.9]
	])('gives at %s C the published reference of %s Ah', (rate, ah) => {
		expect(simulateDischarge(cell, full, rate * 206, 2.5, 1, 60).capacityAh).toBeCloseTo(ah, 0);
	});
	it('gives about 178 Ah at 0.2 C and 0 °C', () => {
		const cold = { ...cell, temperatureC: 0 };
		expect(Math.abs(simulateDischarge(cold, full, 41.2, 2.5, 1, 60).capacityAh - 178)).toBeLessThan(2);
		expect(cellConstants(cold).r0Ohm / cellConstants(cell).r0Ohm).toBeCloseTo(2.2, 1);
	});
	it('rebounds to about 2.78 V an hour after 0.1 C to 2.50 V', () => {
		const { end } = simulateDischarge(cell, full, 20.6, 2.5, 1, 60);
		const constants = cellConstants(cell);
		expect(terminalVoltageV(constants, stepCell(cell, constants, end, 0, 3600), 0)).toBeCloseTo(2.78, 1);
	});
	it('has the default resistance: 0.05 Ω·Ah over its capacity, an AC meter reads 0.7 of it', () => {
		expect(cellConstants({ ...cell, capacityAh: 200 }).r0Ohm).toBeCloseTo(0.00025, 9);
		expect(acResistanceMohm({ ...cell, capacityAh: 200 })).toBeCloseTo(0.175, 9);
	});
});

describe('invariants', () => {
	it('closes the charge balance and does not depend on the step', () => {
		fc.assert(
			fc.property(
				fc.double({ min: 0.2, max: 0.8, noNaN: true }),
				fc.double({ min: -100, max: 100, noNaN: true }),
				(soc, currentA) => {
					const constants = cellConstants(cell);
					const once = stepCell(cell, constants, restedCell(cell, soc), currentA, 120);
					let twice = restedCell(cell, soc);
					for (let i = 0; i < 120; i++) twice = stepCell(cell, constants, twice, currentA, 1);
					const moved = ((once.soc - soc) * 206 * 3600) / 120;
					expect(moved).toBeCloseTo(currentA > 0 ? 0.999 * currentA : currentA, 8);
					expect(terminalVoltageV(constants, twice, 0)).toBeCloseTo(terminalVoltageV(constants, once, 0), 9);
				}
			)
		);
	});
	it('leaks 2 % in a month of rest', () => {
		const leaky = { ...cell, selfDischargePerMonth: 0.02 };
		expect(stepCell(leaky, cellConstants(leaky), restedCell(leaky, 0.5), 0, 30.4375 * 86400).soc).toBeCloseTo(0.48, 12);
	});
	it('refuses a capacity of nothing', () =>
		expect(() => cellConstants({ ...cell, capacityAh: 0 })).toThrow(/capacityAh/));
});

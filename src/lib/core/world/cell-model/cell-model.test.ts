import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { restVoltageCurve, coldShareAt } from '../../foundation/chemistry';
import {
	USUAL_NATURE,
	acResistanceMohm,
	circuitConstants,
	completeCell,
	createCells,
	simulateDischarge,
	stepCell,
	stepDecay,
	terminalVoltageV,
	type Cells,
	type CellSpec
} from '.';

const tested = (more: Partial<CellSpec> = {}) =>
	completeCell({ chemistry: 'LFP', capacityAh: 206, selfDischargePerMonth: 0, ...more });
/** One cell resting or charged at a steady current for a while. */
function after(cells: Cells, currentA: number, durationS: number, stepS: number): Cells {
	const decay = stepDecay(stepS);
	cells.currentA[0] = currentA;
	for (let t = 0; t < durationS; t += stepS) stepCell(cells, 0, decay);
	return cells;
}
const restV = (cells: Cells) => terminalVoltageV(cells, 0, 0);

describe('a simulated 206 Ah cell', () => {
	it.each([
		[0.1, 206.0],
		[0.2, 205.3],
		[1, 200.9]
	])('gives at %s C the published reference of %s Ah', (rate, ah) => {
		// Held at 25 °C, as the reference is: a very heavy cell does not warm.
		const cell = tested({ massKg: 1e9 });
		const run = simulateDischarge({ parameters: cell, soc: 1 }, rate * 206, 2.5, 1, 60);
		expect(Math.abs(run.capacityAh - ah)).toBeLessThan(0.3);
	});
	it('gives about 178 Ah at 0.2 C and 0 °C', () => {
		const cold = tested({ temperatureC: 0, massKg: 1e9 });
		expect(Math.abs(simulateDischarge({ parameters: cold, soc: 1 }, 41.2, 2.5, 1, 60).capacityAh - 178)).toBeLessThan(
			2
		);
		expect(circuitConstants(cold, 0).r0Ohm / circuitConstants(cold, 25).r0Ohm).toBeCloseTo(2.2, 1);
	});
	it('rebounds after 0.1 C to 2.50 V to 2.78 V in an hour and 2.79 V in twelve', () => {
		const { end } = simulateDischarge({ parameters: tested(), soc: 1 }, 20.6, 2.5, 1, 60);
		expect(Math.abs(restV(after(end, 0, 3600, 1)) - 2.78)).toBeLessThan(0.01);
		expect(Math.abs(restV(after(end, 0, 11 * 3600, 60)) - 2.79)).toBeLessThan(0.01);
	});
	it('rests after a top balance near 3.63 V in an hour and about 3.4 V in two weeks', () => {
		const cells = createCells([{ parameters: completeCell({ chemistry: 'LFP', capacityAh: 206 }), soc: 1.0075 }], 25);
		expect(restV(after(cells, 0, 3600, 10))).toBeGreaterThan(3.61);
		const weeks = restV(after(cells, 0, 14 * 86400, 60));
		expect(weeks).toBeGreaterThan(3.36);
		expect(weeks).toBeLessThan(3.45);
	});
	it('has the default resistance: 0.05 Ω·Ah over its capacity, an AC meter reads 0.7 of it', () => {
		expect(circuitConstants(tested({ capacityAh: 200 }), 25).r0Ohm).toBeCloseTo(0.00025, 9);
		expect(acResistanceMohm(tested({ capacityAh: 200 }), 25)).toBeCloseTo(0.175, 9);
	});
	it('gives what is left of an aged cell, with the resistance of the new one', () => {
		const aged = tested({ capacityFactor: 0.8, massKg: 1e9 });
		expect(simulateDischarge({ parameters: aged, soc: 1 }, 20.6, 2.5, 1, 60).capacityAh).toBeCloseTo(0.8 * 206, 0);
		expect(circuitConstants(aged, 25).r0Ohm).toBe(circuitConstants(tested(), 25).r0Ohm);
	});
});

describe('the cold', () => {
	it.each([
		[25, 0],
		[15, 0.029],
		[0, 0.125],
		[40, 0]
	])('at %s °C keeps back a share of %s', (temperatureC, share) =>
		expect(coldShareAt(temperatureC)).toBeCloseTo(share, 9)
	);
	it('keeps it back only while current is drawn: emptied at 5 °C and left to rest it climbs to the rest voltage of what it holds', () => {
		const cold = tested({ temperatureC: 5, massKg: 1e9 });
		const { end, capacityAh } = simulateDischarge({ parameters: cold, soc: 1 }, 20.6, 2.5, 1, 60);
		// z0 at 20 K below is 0.086: more than that is still there.
		expect(1 - capacityAh / 206).toBeGreaterThan(0.086);
		const held = end.soc[0]!;
		const rested = restV(after(end, 0, 12 * 3600, 60));
		expect(Math.abs(rested - (restVoltageCurve('LFP').at(held) - 0.008))).toBeLessThan(0.003);
		expect(rested).toBeGreaterThan(3.1);
	});
	it('takes less from a small current, and nothing from a charge', () => {
		const surfaceAfter = (currentA: number) => {
			const cells = createCells([{ parameters: tested({ temperatureC: 0, massKg: 1e9 }), soc: 0.5 }], 0);
			return after(cells, currentA, 5 * 1500, 10).surface[0]!;
		};
		const { kappa } = circuitConstants(tested(), 0);
		// 0.01 C is a fifth of 0.05 C: a fifth of 12.5 %.
		expect(surfaceAfter(-2.06)).toBeCloseTo((-0.025 - kappa * 0.01) * (1 - Math.exp(-5)), 4);
		expect(surfaceAfter(2.06)).toBeCloseTo(kappa * 0.01 * (1 - Math.exp(-5)), 6);
	});
});

describe('a world whose cells are not typical', () => {
	const nature = { ...USUAL_NATURE, curveOffsetV: [0.008, -0.008, 0.004, 0, -0.005] };
	it('has its own curve through the offsets, which never falls', () => {
		const at = (soc: number) => restV(createCells([{ parameters: tested(), soc }], 25, nature));
		const typical = restVoltageCurve('LFP');
		expect(at(0.25)).toBeCloseTo(typical.at(0.25) - 0.008, 4);
		expect(at(1)).toBeCloseTo(typical.at(1) - 0.005, 4);
		for (let soc = 0.01; soc <= 1; soc += 0.01) expect(at(soc)).toBeGreaterThan(at(soc - 0.01));
	});
	it('has its own resistance, hysteresis, leak and cold', () => {
		const own = { ...USUAL_NATURE, resistance: 1.5, hysteresis: 2, coldShare: 0.4, selfDischarge: 3 };
		const cells = createCells([{ parameters: tested({ temperatureC: 0 }), soc: 0.5, branch: 1 }], 0, own);
		expect(cells.hysteresisV[0]).toBeCloseTo(0.016, 9);
		expect(cells.coldShare[0]).toBeCloseTo(0.05, 9);
		expect(cells.r0Ohm[0]! / circuitConstants(tested(), 0).r0Ohm).toBeCloseTo(1.5, 9);
	});
	it('refuses offsets that are not five', () =>
		expect(() => createCells([{ parameters: tested(), soc: 0.5 }], 25, { ...nature, curveOffsetV: [0] })).toThrow(
			/curveOffsetV/
		));
});

describe('heat', () => {
	it('settles where cooling carries away I²(R0 + R1)', () => {
		// On the plateau, to and fro, so that charge and hysteresis come back: 100 A through 0.243 mΩ · 1.6 is 3.9 W, 7.8 K at 0.5 W/K.
		const cells = createCells([{ parameters: tested(), soc: 0.5 }], 25);
		for (let n = 0; n < 60; n++) after(cells, n % 2 ? -100 : 100, 1200, 10);
		const { r0Ohm, r1Ohm } = circuitConstants(cells.parameters[0]!, cells.temperatureC[0]!);
		const resistive = (100 ** 2 * (r0Ohm + r1Ohm)) / 0.5;
		expect(cells.temperatureC[0]! - 25).toBeGreaterThan(0.9 * resistive);
		// Hysteresis (8 mV · 100 A = 0.8 W) and surface charge add to it.
		expect(cells.temperatureC[0]! - 25).toBeLessThan(resistive + (0.012 * 100) / 0.5);
	});
	it('leaves a resting cell at the temperature of the room', () => {
		const cells = createCells([{ parameters: tested({ temperatureC: 5 }), soc: 0.5 }], 25);
		expect(after(cells, 0, 48 * 3600, 600).temperatureC[0]).toBeCloseTo(25, 3);
	});
});

describe('beyond full and empty', () => {
	it('stores less and less of a charge, and the voltage stays bounded', () => {
		const cells = createCells([{ parameters: tested(), soc: 1 }], 25);
		after(cells, 20.6, 3 * 3600, 10);
		expect(cells.soc[0]).toBeLessThanOrEqual(1.08);
		expect(restV(cells)).toBeLessThan(6);
		expect(cells.overChargedAh[0]).toBeCloseTo(61.8, 1);
		expect(cells.unstoredAh[0]).toBeGreaterThan(40);
	});
	it('reverses a cell that is emptied by its neighbours, no further than a few volts', () => {
		const cells = createCells([{ parameters: tested(), soc: 0.01 }], 25);
		after(cells, -20.6, 3 * 3600, 10);
		expect(restV(cells)).toBeLessThan(0);
		expect(restV(cells)).toBeGreaterThan(-4);
		expect(cells.overDischargedAh[0]).toBeGreaterThan(55);
	});
});

describe('invariants', () => {
	it('closes the charge balance and hardly depends on the step', () => {
		fc.assert(
			fc.property(
				fc.double({ min: 0.2, max: 0.8, noNaN: true }),
				fc.double({ min: -100, max: 100, noNaN: true }),
				(soc, currentA) => {
					const start = () => createCells([{ parameters: tested(), soc }], 25);
					const once = after(start(), currentA, 120, 120);
					const often = after(start(), currentA, 120, 1);
					const moved = ((once.soc[0]! - soc) * 206 * 3600) / 120;
					expect(moved).toBeCloseTo(currentA > 0 ? 0.999 * currentA : currentA, 8);
					expect(Math.abs(restV(often) - restV(once))).toBeLessThan(1e-4);
				}
			)
		);
	});
	it('leaks 2 % in a month of rest, and faster above 3.45 V', () => {
		const leaky = tested({ selfDischargePerMonth: 0.02 });
		const rest = (soc: number, days: number) => {
			const cells = createCells([{ parameters: leaky, soc }], 25);
			return soc - after(cells, 0, days * 86400, 60).soc[0]!;
		};
		expect(rest(0.5, 30.4375)).toBeCloseTo(0.02, 6);
		// 1.0056 stands at 3.60 V: sixteen times the leak, falling as it leaks.
		expect(rest(1.0056, 0.002) / rest(0.5, 0.002)).toBeCloseTo(16, 0);
	});
	it.each([
		['capacityAh', { capacityAh: 0 }],
		['resistanceFactor', { resistanceFactor: -1 }],
		['temperatureC', { temperatureC: NaN }],
		['coulombicEfficiency', { coulombicEfficiency: 1.2 }],
		['selfDischargePerMonth', { selfDischargePerMonth: -0.1 }]
	])('refuses a %s that cannot be', (field, spec) =>
		expect(() => completeCell({ chemistry: 'LFP', ...spec })).toThrow(new RegExp(field))
	);
	it('refuses cells of two chemistries in one wiring, and charge beyond what a cell can hold', () => {
		const lto = completeCell({ chemistry: 'LTO' });
		expect(() =>
			createCells(
				[
					{ parameters: tested(), soc: 0.5 },
					{ parameters: lto, soc: 0.5 }
				],
				25
			)
		).toThrow(/chemistry/);
		expect(() => createCells([{ parameters: tested(), soc: 1.5 }], 25)).toThrow(/soc/);
	});
});

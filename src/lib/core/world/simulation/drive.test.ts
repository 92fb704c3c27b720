import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { checkDrive, drawnCurrent, type Drive } from '.';

/** A battery of 13.2 V behind 10 mΩ. */
const [E, R] = [13.2, 0.01];
const supply = (more: Partial<Drive> = {}): Drive => ({ kind: 'charge', leadOhm: 0.04, ...more }) as Drive;
const load = (more: Partial<Drive> = {}): Drive => ({ kind: 'discharge', leadOhm: 0.04, ...more }) as Drive;

describe('a supply', () => {
	it('gives its set current while the set voltage is not reached at its own terminals', () => {
		// 10 A raise 13.2 V by 10 · 0.05 = 0.5 V, to 13.7 V at the supply.
		const flow = drawnCurrent([supply({ currentA: 10, voltageV: 14 })], E, R);
		expect(flow).toMatchObject({ currentA: 10, supplyA: 10, atVoltage: false });
		expect(flow.supplyV).toBeCloseTo(13.7, 12);
		expect(flow.voltageV).toBeCloseTo(13.3, 12);
	});
	it('gives what its set voltage drives through leads and battery: 0.3 V over 50 mΩ is 6 A', () => {
		const flow = drawnCurrent([supply({ currentA: 10, voltageV: 13.5 })], E, R);
		expect(flow.currentA).toBeCloseTo(6, 12);
		expect(flow.atVoltage).toBe(true);
		expect(flow.supplyV).toBeCloseTo(13.5, 12);
	});
	it('takes nothing back from a battery that stands higher', () =>
		expect(drawnCurrent([supply({ currentA: 10, voltageV: 13 })], E, R)).toMatchObject({
			currentA: 0,
			atVoltage: true
		}));
	it('holds a power at its own terminals', () => {
		const flow = drawnCurrent([supply({ powerW: 200 })], E, R);
		expect(flow.supplyV * flow.currentA).toBeCloseTo(200, 9);
	});
});

describe('a load', () => {
	it('takes its current, and sees less than the battery has by its leads', () => {
		const flow = drawnCurrent([load({ currentA: 20 })], E, R);
		expect(flow.currentA).toBe(-20);
		expect(flow.voltageV).toBeCloseTo(13, 12);
		expect(flow.loadV).toBeCloseTo(12.2, 12);
	});
	it('of a resistance draws by Ohm: 13.2 V over 0.05 + 1.27 Ω is 10 A', () =>
		expect(drawnCurrent([load({ resistanceOhm: 1.27 })], E, R).currentA).toBeCloseTo(-10, 12));
	it('of a power takes the smaller of the two currents that would do, and no more than there is', () => {
		const flow = drawnCurrent([load({ powerW: 240 })], E, R);
		expect(flow.loadV * flow.loadA).toBeCloseTo(240, 9);
		expect(flow.loadA).toBeLessThan(13.2 / 0.1);
		// At most E²/4R: 871 W.
		const most = drawnCurrent([load({ powerW: 900 })], E, R);
		expect(most).toMatchObject({ collapsed: true });
		expect(most.loadA * most.loadV).toBeCloseTo((13.2 * 13.2) / 0.2, 6);
	});
	it('cannot pull a battery below nothing', () => {
		const pulled = drawnCurrent([load({ currentA: 1000 })], E, R);
		expect(pulled.collapsed).toBe(true);
		expect(pulled.loadA).toBeCloseTo(13.2 / 0.05, 9);
		expect(drawnCurrent([load({ currentA: 5 })], -0.2, R)).toMatchObject({ collapsed: true, currentA: 0 });
	});
});

describe('both at once', () => {
	it('add up: the supply meets the voltage the load leaves', () => {
		const flow = drawnCurrent([supply({ currentA: 15, voltageV: 14 }), load({ currentA: 5 })], E, R);
		expect(flow).toMatchObject({ supplyA: 15, loadA: 5, currentA: 10 });
	});
	it('never exceed any limit, whatever the battery', () => {
		const number = (min: number, max: number) => fc.double({ min, max, noNaN: true });
		fc.assert(
			fc.property(
				number(0.1, 60),
				number(1e-4, 0.1),
				number(0.1, 100),
				number(0.1, 70),
				number(0.1, 100),
				(e, r, a, v, out) => {
					const flow = drawnCurrent([supply({ currentA: a, voltageV: v }), load({ currentA: out })], e, r);
					expect(flow.supplyA).toBeLessThanOrEqual(a);
					expect(flow.loadA).toBeLessThanOrEqual(out);
					if (flow.supplyA > 0) expect(flow.supplyV).toBeLessThanOrEqual(v + 1e-9);
					expect(flow.currentA).toBeCloseTo(flow.supplyA - flow.loadA, 12);
				}
			)
		);
	});
});

describe('what cannot be', () => {
	it.each<[string, Drive, RegExp]>([
		['a supply without a limit', supply({ voltageV: 14 }), /currentA or powerW/],
		['a load without a setting', load(), /resistanceOhm/],
		['a negative current', supply({ currentA: -3 }), /above 0/],
		['a negative lead', load({ currentA: 3, leadOhm: -1 }), /0 or more/]
	])('%s is refused', (_, drive, message) => expect(() => checkDrive(drive, 'steps.0')).toThrow(message));
});

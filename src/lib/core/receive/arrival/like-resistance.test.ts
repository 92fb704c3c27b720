import { describe, expect, it } from 'vitest';
import { socBounds } from '../../foundation/chemistry';
import { chargeRegion, likeResistances, resistanceAt, type Probe } from '../../foundation/reading';
import { judgeDelivery } from '.';

const charge = (volts: number) => socBounds('LFP', volts, 0.002, 2 * 86400);
const read = (id: number, acResistanceMohm: number | null, more: { temperatureC?: number; probe?: Probe } = {}) => ({
	id,
	acResistanceMohm,
	acResistanceSdMohm: 0.002,
	...more
});

describe('a resistance', () => {
	it('falls by the model with warmth: 2.2 times at 0 °C, and half of what it moved is doubt', () => {
		const { mohm, sdMohm } = resistanceAt(0.44, 0, 0, 25);
		expect(0.44 / mohm).toBeCloseTo(2.2, 1);
		expect(sdMohm).toBeCloseTo((0.44 - mohm) / 2, 9);
		expect(resistanceAt(0.2, 0.01, 25, 25)).toEqual({ mohm: 0.2, sdMohm: 0.01 });
	});
	it('is of a region of charge that its rest voltage is sure of', () => {
		expect(chargeRegion(charge(3.05))).toBe('low');
		expect(chargeRegion(charge(3.29))).toBe('plateau');
		expect(chargeRegion(charge(3.5))).toBe('high');
		expect(chargeRegion(charge(3.22))).toBeNull();
		expect(chargeRegion(undefined)).toBeNull();
	});
	it('read near empty, or with two wires, among others that were not is doubted more', () => {
		const charges = { 1: charge(3.29), 2: charge(3.29), 3: charge(3.05) };
		const [, second, third] = likeResistances(
			[read(1, 0.2), read(2, 0.2, { probe: 'two-wire' }), read(3, 0.2)],
			charges
		);
		expect(third!.acResistanceSdMohm).toBeCloseTo(Math.hypot(0.002, 0.02), 9);
		// Nobody else said how theirs was read: this one is as most that did.
		expect(second!.acResistanceSdMohm).toBeCloseTo(0.002, 9);
		const probes: Probe[] = ['four-wire', 'four-wire', 'two-wire'];
		const told = likeResistances(
			probes.map((probe, i) => read(i + 1, 0.2, { probe })),
			{}
		);
		expect(told[2]!.acResistanceSdMohm).toBeCloseTo(Math.hypot(0.002, 0.06), 9);
		expect(told[0]!.acResistanceSdMohm).toBeCloseTo(0.002, 9);
	});
	it('a two-wire reading does not make its cell an outlier; the same by four wires does', () => {
		const cells = (probe: Probe) =>
			[0.2, 0.201, 0.199, 0.2, 0.202, 0.26].map((acResistanceMohm, i) => ({
				id: i,
				label: `X-${i}`,
				restVoltageV: 3.29,
				restVoltageSdV: 0.002,
				acResistanceMohm,
				acResistanceSdMohm: 0.002,
				probe: i === 5 ? probe : ('four-wire' as Probe)
			}));
		const context = { chemistry: 'LFP' as const, restS: 2 * 86400, ratedResistanceMohm: null };
		const codes = (probe: Probe) => judgeDelivery(cells(probe), context).verdicts.map((v) => v.code);
		expect(codes('four-wire')).toContain('resistance-outlier');
		expect(codes('two-wire')).not.toContain('resistance-outlier');
	});
});

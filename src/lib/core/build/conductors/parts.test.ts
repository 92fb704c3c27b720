import { describe, expect, it } from 'vitest';
import { currentShares, leadsToAddOhm, precharge, screwFit } from '.';

describe('precharge', () => {
	it('of 10 mF at 52 V through 50 Ω takes 1.5 s, 13.5 J, 54 W at first', () => {
		expect(precharge({ packV: 52, capacitanceF: 0.01, resistorOhm: 50 })).toEqual({
			tauS: 0.5,
			to95S: 1.5,
			energyJ: expect.closeTo(13.52, 9),
			peakW: expect.closeTo(54.08, 9),
			settlesAt: 1
		});
	});
	it('never ends beside a load that bleeds: 20 W at 52 V is 135 Ω, which leaves 73 %', () =>
		expect(precharge({ packV: 52, capacitanceF: 0.01, resistorOhm: 50, bleedW: 20 }).settlesAt).toBeCloseTo(0.73, 3));
	it('refuses no resistor', () => expect(() => precharge({ packV: 52, capacitanceF: 1, resistorOhm: 0 })).toThrow());
});

describe('batteries in parallel', () => {
	it('share by conductance: 4 and 6 mΩ carry 60 and 40 %', () => {
		expect(currentShares([0.004, 0.006])).toEqual([expect.closeTo(0.6, 9), expect.closeTo(0.4, 9)]);
		expect(leadsToAddOhm([0.004, 0.006, 0.006])).toEqual([expect.closeTo(0.002, 9), 0, 0]);
	});
	it('with the leads added share alike', () => {
		const ohm = [0.0031, 0.0052, 0.0044];
		const added = leadsToAddOhm(ohm);
		for (const share of currentShares(ohm.map((r, i) => r + added[i]!))) expect(share).toBeCloseTo(1 / 3, 12);
	});
	it('refuses a battery without resistance', () => expect(() => currentShares([0.004, 0])).toThrow(/resistancesOhm.1/));
});

describe('screws', () => {
	const m6 = { diameterMm: 6, threadMm: 10, stackMm: 4 };
	it.each([
		[13, 'good', 9],
		[12, 'short', 8],
		[9.5, 'warn', 5.5],
		[8, 'stop', 4],
		[15, 'bottoms', 9]
	] as const)('M6 × %s through 4 mm into 10 mm of thread: %s, %s mm', (lengthMm, fit, engagementMm) => {
		expect(screwFit({ ...m6, lengthMm })).toMatchObject({ fit, engagementMm, wantedLengthMm: 13 });
	});
	it('a shallow thread is never good, whatever the bolt', () => {
		for (let lengthMm = 5; lengthMm < 30; lengthMm++)
			expect(screwFit({ ...m6, threadMm: 6, lengthMm }).fit).not.toBe('good');
	});
});

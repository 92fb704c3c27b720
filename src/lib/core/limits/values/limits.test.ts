import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { CHEMISTRIES } from '../../foundation/chemistry';
import { STRATEGIES } from '../../picture';
import { checkChain, checkWiring, computeLimits, standbyDays, type LimitsInput } from '.';

const input: LimitsInput = {
	chemistry: 'LFP',
	series: 8,
	parallel: 2,
	strategy: 'middle-road',
	cell: { ratedAh: 230 },
	measuredGroupAh: 452.4,
	bms: { continuousA: 150 },
	fuseA: 200,
	cableA: 245
};
const valuesOf = (more: Partial<LimitsInput> = {}) =>
	Object.fromEntries(computeLimits({ ...input, ...more }).map((v) => [v.key, v]));

describe('limits of an 8S2P middle-road battery, by hand', () => {
	const v = valuesOf();
	it.each([
		['cellHighV', 3.65, 3.45],
		['cellLowV', 2.8, 3.25],
		['packHighV', 28.6, 27.6], // 8 × (3.50 + 3.65) / 2, release 8 × 3.45
		['packLowV', 23.6, 26], // 8 × (2.80 + 3.10) / 2
		['chargeHotC', 45, 40],
		['chargeColdC', 5, 9],
		['dischargeColdC', -20, -16],
		['dischargeHotC', 60, 55],
		['absorbV', 28, null],
		['floatV', 26.8, null],
		['loadCutoffV', 24.8, 26.24], // 8 × 3.10, back at 8 × 3.28
		['coolChargeA', 92, null], // 0.2 × 460 Ah; charging is blocked below 5 °C, so no ceiling for colder
		['balanceStartV', 3.4, null],
		['capacityAh', 452.4, null],
		['tailA', 13.6, null] // 0.03 × 452.4
	])('%s is %s, release %s', (key, value, release) => expect(v[key]).toMatchObject({ value, release }));
	it('takes the weakest link: cells 230 A charge and 460 A discharge, BMS 150, fuse 200/1.25, cable 245', () => {
		expect(v.overCurrentChargeA!.value).toBe(150);
		expect(v.overCurrentDischargeA!.reason).toContain('the BMS');
		expect(valuesOf({ fuseA: 125 }).overCurrentDischargeA).toMatchObject({ value: 100 });
		expect(valuesOf({ bms: null, fuseA: null, cableA: null }).overCurrentDischargeA).toMatchObject({ value: 460 });
	});
	it('gives every value a reason', () => expect(computeLimits(input).every((x) => x.reason.length > 10)).toBe(true));
	it('limits charge in the cold, by how cold charging is allowed at all', () => {
		expect(valuesOf().coldChargeA).toBeUndefined();
		const bold = valuesOf({ strategy: 'full-span' });
		expect([bold.coldChargeA!.value, bold.coolChargeA!.value]).toEqual([46, 92]);
		expect(valuesOf({ strategy: 'full-span', fuseA: 50 }).coolChargeA!.value).toBe(40);
		expect(valuesOf({ chemistry: 'LTO' }).coolChargeA).toBeUndefined();
	});
	it('says when capacity is only printed', () =>
		expect(valuesOf({ measuredGroupAh: null }).capacityAh).toMatchObject({
			value: 460,
			reason: expect.stringContaining('Printed')
		}));
	it('keeps the balance trigger above the resolution of the BMS', () =>
		expect(valuesOf({ bms: { resolutionV: 0.01 } }).balanceTriggerV!.value).toBe(0.02));
	it('stays inside narrower limits of the maker', () => {
		const narrow = valuesOf({ cell: { ratedAh: 230, chargeLimitV: 3.5, dischargeLimitV: 2.85, chargeColdC: 10 } });
		expect(narrow.cellHighV!.value).toBe(3.5);
		expect(narrow.absorbV!.value).toBeLessThan(8 * 3.5);
		expect(narrow.cellLowV!.value).toBe(2.85);
		expect(narrow.chargeColdC!.value).toBe(10);
	});
});

describe('the chain', () => {
	it('holds for every chemistry, strategy, layout and maker', () => {
		fc.assert(
			fc.property(
				fc.constantFrom(...CHEMISTRIES),
				fc.constantFrom(...STRATEGIES),
				fc.integer({ min: 1, max: 32 }),
				fc.double({ min: -0.1, max: 0.1, noNaN: true }),
				fc.double({ min: -0.1, max: 0.1, noNaN: true }),
				(chemistry, strategy, series, up, down) => {
					const limits = { LFP: [3.65, 2.5], LTO: [2.8, 1.5], NMC: [4.2, 2.8] }[chemistry];
					const values = computeLimits({
						...input,
						chemistry,
						strategy,
						series,
						cell: { ratedAh: 100, chargeLimitV: limits[0]! + up, dischargeLimitV: limits[1]! + down }
					});
					expect(checkChain(values, series).code).toBe('chain-holds');
				}
			)
		);
	});
	it('finds a charger set above the pack trip, a copied cold limit and a release outside', () => {
		const values = computeLimits(input).map((v) =>
			v.key === 'absorbV'
				? { ...v, value: 29 }
				: v.key === 'dischargeColdC'
					? { ...v, value: 5 }
					: v.key === 'cellHighV'
						? { ...v, release: 3.7 }
						: v
		);
		expect(checkChain(values, 8)).toMatchObject({
			code: 'chain-broken',
			warmth: 'stop',
			title: '4 limits are out of order',
			facts: {
				links: [
					{ lowName: 'Absorb', low: 29, highName: 'pack high' },
					{ lowName: 'Discharge cold', low: 5, highName: 'charge cold' }
				],
				releases: [{ name: 'Cell high', release: 3.7 }, { name: 'Discharge too cold' }]
			}
		});
	});
	it('names the one link that is out of order in its title', () => {
		const values = computeLimits(input).map((v) => (v.key === 'absorbV' ? { ...v, value: 29 } : v));
		expect(checkChain(values, 8).title).toBe('Absorb must stay below pack high');
	});
	it('refuses limits that leave no window, and nonsense', () => {
		expect(() => valuesOf({ cell: { ratedAh: 230, dischargeLimitV: 3.4 } })).toThrow(/leave no window/);
		expect(() => valuesOf({ series: 0 })).toThrow(/series requires a whole number/);
		expect(() => valuesOf({ strategy: 'reckless' as never })).toThrow(/strategy requires one of/);
	});
});

describe('wiring', () => {
	it.each([
		[400, 150, 100, ['fuse-over-cable']],
		[200, 245, 150, ['wiring-holds']],
		// 1.25 × 150 A is 187.5 A.
		[187.5, 187.5, 150, ['wiring-holds']],
		[187, 187, 150, ['fuse-under-bms']],
		[100, 120, 150, ['bms-over-cable', 'fuse-under-bms']],
		[400, 150, null, ['fuse-over-cable', 'wiring-unknown']],
		[null, null, null, ['wiring-unknown']]
	])('a fuse of %s A, a cable of %s A and a BMS of %s A', (fuseA, cableA, bmsA, codes) => {
		const verdicts = checkWiring({ fuseA, cableA, bmsA });
		expect(verdicts.map((v) => v.code)).toEqual(codes);
		// A fuse that does not guard its cable is nothing to go on with.
		expect(verdicts.some((v) => v.warmth === 'stop')).toBe(codes.includes('fuse-over-cable'));
	});
	it.each([
		// 2 kW through an inverter of 90 % at 12.4 V: 179 A, and 224 A with room.
		[100, 'look', ['BMS', 'main fuse', 'cable']],
		[200, 'open', ['BMS', 'main fuse']],
		[225, 'calm', []]
	])('a BMS, fuse and cable of %s A under 2 kW at 12.4 V', (ratedA, warmth, parts) => {
		const load = { peakW: 2000 / 0.9, leastV: 12.4 };
		const under = (own: object) => checkWiring({ fuseA: ratedA, cableA: ratedA, bmsA: ratedA, load, ...own });
		const found = under({}).find((v) => v.code === 'wiring-under-load');
		expect(found?.warmth ?? 'calm').toBe(warmth);
		expect((found?.facts as { parts: { part: string }[] } | undefined)?.parts.map((p) => p.part) ?? []).toEqual(parts);
		if (ratedA === 225) expect(under({ fuseA: 285, cableA: 300 }).map((v) => v.code)).toEqual(['wiring-holds']);
	});
	it('two kilowatts are no question where nobody has planned any load', () =>
		expect(checkWiring({ fuseA: 125, cableA: 130, bmsA: 100, load: null }).map((v) => v.code)).toEqual([
			'wiring-holds'
		]));
	it('says what is blank: it is not in order because nobody wrote it down', () =>
		expect(checkWiring({ fuseA: null, cableA: 120, bmsA: null })[0]).toMatchObject({
			warmth: 'open',
			facts: { blank: ['main fuse', 'BMS'] }
		}));
});

describe('the clock after a low cut-off', () => {
	it('280 Ah cut off at 3.07 V (3 %) with 50 mA and 2 % a month: 8.4 Ah over 1.387 Ah a day, six days', () => {
		const { chargeLeftAh, days } = standbyDays({ chemistry: 'LFP', capacityAh: 280, cutoffV: 3.07, standbyA: 0.05 });
		expect(chargeLeftAh).toBeCloseTo(8.4, 6);
		expect(days).toBeCloseTo(8.4 / (1.2 + 280 * (0.02 / 30)), 6);
	});
	it('lasts for ever where nothing flows, and no time at empty', () => {
		const cell = { chemistry: 'LFP' as const, capacityAh: 100, standbyA: 0, selfDischargePerMonth: 0 };
		expect(standbyDays({ ...cell, cutoffV: 3.2 }).days).toBe(Infinity);
		expect(standbyDays({ ...cell, cutoffV: 2.5, standbyA: 1 }).days).toBe(0);
	});
});

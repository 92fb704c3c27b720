import { describe, expect, it } from 'vitest';
import { checkChain, computeLimits, type LimitsInput } from '.';

const base: LimitsInput = {
	chemistry: 'LFP',
	series: 16,
	parallel: 1,
	strategy: 'full-span',
	cell: { ratedAh: 280 }
};
const value = (input: Partial<LimitsInput>, key: string) =>
	computeLimits({ ...base, ...input }).find((v) => v.key === key)!;

describe('the three LFP strategies, 16 in series', () => {
	it.each([
		// strategy, absorb, float, cell high, release, load cut-off, cell low, release
		['full-span', 57.6, 54, 3.65, 3.5, 48, 2.7, 3.25],
		['middle-road', 56, 53.6, 3.65, 3.45, 49.6, 2.8, 3.25],
		['long-life', 55.2, 53.28, 3.6, 3.42, 50.4, 2.9, 3.25]
	] as const)('%s', (strategy, absorb, float, high, highRelease, cutoff, low, lowRelease) => {
		expect(value({ strategy }, 'absorbV').value).toBe(absorb);
		expect(value({ strategy }, 'floatV').value).toBe(float);
		expect(value({ strategy }, 'cellHighV')).toMatchObject({ value: high, release: highRelease });
		expect(value({ strategy }, 'loadCutoffV').value).toBe(cutoff);
		expect(value({ strategy }, 'cellLowV')).toMatchObject({ value: low, release: lowRelease });
	});
	it('says that float may be left out for a long life', () => {
		expect(value({ strategy: 'long-life' }, 'floatV').reason).toContain('none at all');
	});
});

describe('other chemistries never get the limits of LFP', () => {
	it.each([
		['LTO', 2.8, 1.5, 4],
		['NMC', 4.2, 2.8, 0.5]
	] as const)('%s charges to %d V, discharges to %d V, at %d C', (chemistry, high, low, rate) => {
		expect(value({ chemistry }, 'cellHighV').value).toBe(high);
		expect(value({ chemistry }, 'cellLowV').value).toBe(low);
		expect(value({ chemistry }, 'overCurrentChargeA').value).toBe(rate * 280);
	});
	it('lets LTO be charged in the cold and nobody else', () => {
		expect(value({ chemistry: 'LTO' }, 'chargeColdC').value).toBe(-20);
		expect(value({ chemistry: 'NMC' }, 'chargeColdC').value).toBe(0);
		expect(value({ chemistry: 'LFP' }, 'chargeColdC').value).toBe(0);
	});
});

describe('currents', () => {
	it.each([
		[{ bms: { continuousA: 100 } }, 'the BMS', 100],
		[{ fuseA: 150 }, 'the fuse', 120],
		[{ cableA: 130 }, 'the cable', 130],
		[{}, 'the cells', 140]
	] as const)('charge with %j is held by %s', (wiring, who, amps) => {
		const limit = value(wiring as Partial<LimitsInput>, 'overCurrentChargeA');
		expect(limit.value).toBe(amps);
		expect(limit.reason).toContain(who);
	});
	it('takes the charge rating of a BMS that has one of its own', () => {
		const bms = { continuousA: 200, chargeA: 60 };
		expect(value({ bms }, 'overCurrentChargeA').value).toBe(60);
		expect(value({ bms }, 'overCurrentDischargeA').value).toBe(200);
	});
	it('grows with cells in parallel', () => {
		expect(value({ parallel: 3 }, 'overCurrentDischargeA').value).toBe(840);
	});
});

describe('one broken link at a time is found', () => {
	const values = computeLimits(base);
	const withValue = (key: string, v: number) =>
		checkChain(
			values.map((x) => (x.key === key ? { ...x, value: v } : x)),
			16
		).facts as { links: { lowName: string; highName: string }[] };
	it.each([
		['floatV', 58, 'Float must stay below absorb'],
		['packHighV', 58.4, 'Pack high must stay below all cells at cell high'],
		['packLowV', 43, 'All cells at cell low must stay below pack low'],
		['loadCutoffV', 44, 'Pack low must stay below load cut-off'],
		['rebulkV', 44, 'Load cut-off must stay below re-bulk'],
		['balanceStartV', 3.65, 'Balance start must stay below absorb']
	])('%s = %d', (key, v, title) =>
		expect(withValue(key, v).links.map((l) => `${l.lowName} must stay below ${l.highName}`)).toContain(title)
	);
	it('does not judge what is not there', () => {
		expect(checkChain([], 16).code).toBe('chain-holds');
	});
});

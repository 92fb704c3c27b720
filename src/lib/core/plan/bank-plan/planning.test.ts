import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { WHOLE_BANK } from '../../foundation/verdicts';
import {
	besideLead,
	chargerFits,
	chargingVerdicts,
	firstCharge,
	hardwareFor,
	shortfalls,
	type ChargingInput
} from '../charging';
import { compareLayouts, type CellChoice } from '../layouts';
import { sumLoads, type PlannedLoad } from '../loads';

const load = (more: Partial<PlannedLoad>): PlannedLoad => ({
	name: 'x',
	w: 100,
	count: 1,
	share: 1,
	hours: [12],
	months: null,
	surgeW: null,
	dc: true,
	...more
});

describe('what is to run', () => {
	it('by hand: 1800 W through an inverter of 90 % with 10 W idle, a fridge at a third, 3 W standby', () => {
		const sum = sumLoads({
			loads: [
				load({ w: 1800, hours: [7, 20], share: 0.1, dc: false }),
				load({ w: 50, hours: Array.from({ length: 24 }, (_, h) => h), share: 0.35, surgeW: 150 }),
				load({ w: 30, count: 2, hours: [20], months: [1] })
			],
			inverter: { efficiency: 0.9, idleW: 10 },
			standbyW: 3
		});
		expect(sum.whPerDay[0]).toBeCloseTo(2 * 0.1 * 2000 + 24 * 17.5 + 60 + 24 * 13, 9);
		expect(sum.whPerDay[6]).toBeCloseTo(sum.whPerDay[0]! - 60, 9);
		expect(sum.peakW).toBeCloseTo(2000 + 50 + 60 + 13, 9);
		expect(sum.surgeW).toBeCloseTo(sum.peakW + 100, 9);
		expect(sum.amps[0]).toMatchObject({ classV: 12, cable: 'usual', peakA: expect.closeTo(2123 / 12.8, 6) });
	});
	it('what runs on Saturday and Sunday counts two days of seven a day, and all of its watts while it runs', () => {
		const plan = (days: number[] | null) =>
			sumLoads({ loads: [load({ w: 700, hours: [12, 13], days })], inverter: null, standbyW: 0 });
		expect(plan([6, 7]).whPerDay[4]).toBeCloseTo(400, 9);
		expect(plan([6, 6, 7]).whPerDay[4]).toBeCloseTo(400, 9);
		expect(plan(null).whPerDay[4]).toBe(1400);
		expect(plan([6, 7]).peakW).toBe(700);
	});
	it('4 kW at 12 V is 313 A: a thick cable; 8 kW no sensible one', () => {
		const amps = (w: number) =>
			sumLoads({ loads: [load({ w })], inverter: null, standbyW: 0 }).amps.map((a) => a.cable);
		expect(amps(4000)).toEqual(['thick', 'usual', 'usual']);
		expect(amps(8000)).toEqual(['none', 'thick', 'usual']);
	});
	it('nothing to run takes standby alone', () =>
		expect(sumLoads({ loads: [], inverter: null, standbyW: 2 })).toMatchObject({
			peakW: 2,
			continuousW: 2,
			surgeW: 2
		}));
	it('refuses a share of 35', () =>
		expect(() => sumLoads({ loads: [load({ share: 35 })], inverter: null, standbyW: 0 })).toThrow(/loads.0.share/));
});

const cell: CellChoice = {
	id: 1,
	name: '280',
	chemistry: 'LFP',
	ratedAh: 280,
	price: 90,
	inStock: 0,
	massKg: 5.4,
	widthMm: 174,
	thicknessMm: 72,
	chargeCRate: 0.5,
	dischargeCRate: 1
};
const need = {
	usableWh: 5000,
	continuousW: 800,
	peakW: 2000,
	chargeW: 500,
	window: 0.8,
	classesV: [12, 24],
	mostBatteries: 2,
	bmsPrice: 120
};

describe('layouts', () => {
	it('by hand: 5 kWh usable of 280 Ah cells is 4S2P or 8S1P: 8 cells, 5.73 kWh', () => {
		const found = compareLayouts([cell], need).filter((l) => l.cells === 8 && l.batteries === 1);
		expect(found.map((l) => [l.series, l.parallel]).sort()).toEqual([
			[4, 2],
			[8, 1]
		]);
		const [eight] = found.filter((l) => l.series === 8);
		expect(eight).toMatchObject({
			usableWh: expect.closeTo(8 * 3.2 * 280 * 0.8, 6),
			bmsA: 100,
			senseChannels: 8,
			price: 8 * 90 + 120,
			massKg: expect.closeTo(8 * 5.4 * 1.15, 6),
			refusals: []
		});
		expect(eight!.cRate).toBeCloseTo(800 / 25.6 / 280, 9);
	});
	it('of two batteries half is left when one is off', () => {
		const two = compareLayouts([cell], need).find((l) => l.batteries === 2)!;
		expect(two.leftWh).toBeCloseTo(two.usableWh / 2, 9);
		expect(two.price).toBe(two.cells * 90 + 240);
	});
	it('refuses what no BMS carries, cells that are too weak, and many in parallel, and says why', () => {
		const strong = compareLayouts([cell], { ...need, peakW: 9000, mostBatteries: 1 });
		expect(strong.find((l) => l.classV === 12)!.refusals).toContain('too-many-amps');
		const weak = compareLayouts([{ ...cell, ratedAh: 20, dischargeCRate: 0.2 }], { ...need, mostBatteries: 1 });
		expect(weak[0]!.refusals).toEqual(['cells-too-weak', 'too-many-parallel']);
		expect(weak.at(-1)!.isFront).toBe(false);
	});
	it('what lies in the stock costs nothing more; without a price nothing is claimed', () => {
		expect(compareLayouts([{ ...cell, inStock: 8 }], need)[0]!.price).toBe(120);
		expect(compareLayouts([{ ...cell, price: null }], need).every((l) => l.price === null && !l.isFront)).toBe(true);
	});
	it('every layout meets the need, and the front is not beaten in price and energy at once', () => {
		fc.assert(
			fc.property(
				fc.integer({ min: 500, max: 40_000 }),
				fc.integer({ min: 20, max: 320 }),
				fc.integer({ min: 100, max: 6000 }),
				(usableWh, ratedAh, peakW) => {
					const found = compareLayouts(
						[
							{ ...cell, ratedAh },
							{ ...cell, id: 2, price: 60, ratedAh: 100 }
						],
						{
							...need,
							usableWh,
							peakW,
							classesV: [12, 24, 48]
						}
					);
					for (const layout of found) expect(layout.usableWh).toBeGreaterThanOrEqual(usableWh - 1e-6);
					const possible = found.filter((l) => l.refusals.length === 0);
					for (const front of found.filter((l) => l.isFront))
						expect(possible.some((o) => o.price! < front.price! && o.usableWh > front.usableWh)).toBe(false);
				}
			),
			{ numRuns: 40 }
		);
	});
});

describe('hardware', () => {
	const layout = {
		series: 8,
		parallel: 2,
		batteries: 1,
		rows: 1,
		studsPerPole: 1 as const,
		balance: 'together' as const
	};
	it('8S2P: 23 bars in the build, 30 in the fixture, nine rings', () => {
		const { fixture, build, atOnce } = hardwareFor(layout);
		expect(build.bar).toBe(23);
		expect(fixture.bar).toBe(30);
		expect(build.ring).toBe(9);
		expect(atOnce.bar).toBe(30);
		expect(fixture.nut).toBe(32);
	});
	it('two threads a pole take a nut for each end of each bar', () =>
		expect(hardwareFor({ ...layout, studsPerPole: 2 }).fixture.nut).toBe(2 * 30 + 2));
	it('16S1P in two rows has a link between them: 14 bars and one', () =>
		expect(hardwareFor({ ...layout, series: 16, parallel: 1, rows: 2 }).build).toMatchObject({ bar: 14, rowLink: 1 }));
	it('two batteries in turn want half the bars for the balance', () => {
		expect(hardwareFor({ ...layout, batteries: 2 }).fixture.bar).toBe(62);
		expect(hardwareFor({ ...layout, batteries: 2, balance: 'in-turn' }).fixture.bar).toBe(30);
	});
	it('says what the kit lacks and for what first', () => {
		const missing = shortfalls(hardwareFor(layout), { bar: 28, nut: 40, stud: 40, ring: 5, insulationSheet: 20 });
		expect(missing[0]).toEqual({ item: 'bar', wanted: 30, there: 28, missing: 2, missedAt: 'balance' });
		expect(missing.find((m) => m.item === 'ring')).toMatchObject({ missing: 4, missedAt: 'build' });
		expect(shortfalls(hardwareFor(layout), { ...hardwareFor(layout).atOnce })).toEqual([]);
	});
});

describe('the first charge', () => {
	const supply = { name: 'bench 10 A', a: 10, lowestV: 0, highestV: 30, leadOhm: 0.005 };
	const row = { chemistry: 'LFP' as const, cells: 8, ratedAh: 280, supplies: [supply] };
	it('8 × 280 Ah from 30 % at 10 A: 1568 Ah, 6.5 days and a little taper', () => {
		const { days, setV } = firstCharge(row);
		expect(days).toBeGreaterThan(6.4);
		expect(days).toBeLessThan(7.2);
		expect(setV).toBe(3.6);
	});
	it('a second one nearly halves it; 20 A in series first saves more; bars for half of them cost nothing but handling', () => {
		const { days, saves } = firstCharge({
			...row,
			seriesA: 20,
			series: 4,
			supplies: [supply, { ...supply, name: 'other' }]
		});
		expect(saves.secondSupply!).toBeGreaterThan(0.4 * days!);
		// 60 % of 280 Ah at 20 A for each of two strings: 0.7 days; 224 Ah left at 10 A: about a day.
		expect(saves.seriesFirst!).toBeGreaterThan(0.6 * days!);
		// 12 A set, 10.5 A delivered: what flows decides.
		const [own] = row.supplies;
		const delivers = firstCharge({ ...row, supplies: [{ ...own!, deliversA: own!.a / 2 }] }).days!;
		expect(delivers).toBeCloseTo(firstCharge({ ...row, supplies: [{ ...own!, a: own!.a / 2 }] }).days!, 9);
		expect(firstCharge({ ...row, barsForCells: 4 }).saves.borrowedBars).not.toBeNull();
	});
	it('names what cannot be set as low as a cell, and claims nothing', () => {
		const car = { ...supply, name: 'car charger', lowestV: 12 };
		expect(firstCharge({ ...row, supplies: [car] })).toMatchObject({
			unfit: ['car charger'],
			supply: null,
			days: null
		});
	});
	it('thin long leads cost days', () => {
		const { leadsCostDays } = firstCharge({ ...row, supplies: [{ ...supply, a: 30, leadOhm: 0.05 }] });
		expect(leadsCostDays!).toBeGreaterThan(0.5);
	});
});

describe('chargers', () => {
	const input: ChargingInput = {
		chemistry: 'LFP',
		series: 8,
		bankAh: 280,
		absorbV: 3.5,
		coldestC: -10,
		hottestC: 60,
		chargers: []
	};
	const judged = (charger: Partial<ChargingInput['chargers'][number]>) =>
		chargingVerdicts(
			{ ...input, chargers: [{ name: 'c', kind: 'mains', a: 20, absorbV: 28, lithium: true, ...charger }] },
			WHOLE_BANK
		).map((v) => v.code);
	it('a 20 A charger takes 10.5 h from 20 to 95 %', () => {
		const [fit] = chargerFits({
			...input,
			chargers: [{ name: 'c', kind: 'mains', a: 20, absorbV: 28, lithium: true }]
		});
		expect(fit).toMatchObject({ hours: 10.5, cRate: 20 / 280, panelColdV: null });
	});
	it('panels by hand: 3 × 44 V open gain 10.5 % at −10 °C; 3 × 36 V working lose 14 % at 60 °C', () => {
		const solar = {
			name: 'mppt',
			kind: 'solar' as const,
			a: 20,
			absorbV: 28,
			lithium: true,
			panelOpenV: 132,
			panelWorkV: 108
		};
		const [fit] = chargerFits({ ...input, chargers: [solar] });
		expect(fit!.panelColdV).toBeCloseTo(145.86, 6);
		expect(fit!.panelHotV).toBeCloseTo(92.88, 6);
		expect(judged({ ...solar, mostPanelV: 150 })).toEqual([]);
		expect(judged({ ...solar, mostPanelV: 145 })).toEqual(['panels-too-high']);
		expect(judged({ ...solar, panelOpenV: 44, panelWorkV: 36, mostPanelV: 100 })).toEqual(['panels-too-low']);
	});
	it('a bench supply before a controller counts as its panel, whatever the weather', () => {
		const bench = { kind: 'bench' as const, panelWorkV: 30, panelOpenV: 30, startMarginV: 5 };
		// 8 × 3.5 + 5 = 33 V are wanted.
		expect(judged(bench)).toEqual(['panels-too-low']);
		expect(judged({ ...bench, panelWorkV: 34 })).toEqual([]);
		expect(judged({ ...bench, panelWorkV: 60, mostPanelV: 55 })).toEqual(['panels-too-high']);
	});
	it.each([
		[{ absorbV: 57 }, ['charger-too-high']],
		[{ absorbV: 14.4 }, ['charger-too-low']],
		[{ lithium: false }, ['charger-not-lithium']],
		[{ kind: 'alternator' as const }, ['alternator-direct']],
		[{ a: 60 }, ['charge-cold']],
		[{}, []]
	])('%j → %j', (charger, codes) => expect(judged(charger)).toEqual(codes));
	it('beside lead: above 13.2 V the lithium carries, below 12.4 V the lead; twice that at 24 V', () => {
		expect(besideLead(12).ranges.map((r) => [r.carries, r.fromV])).toEqual([
			['lithium', 13.2],
			['both', 12.4],
			['lead', 10.8]
		]);
		expect(besideLead(24).leadFloatsV).toBeCloseTo(27.2, 9);
	});
});

import { describe, expect, it } from 'vitest';
import { WHOLE_BANK } from '../verdicts';
import { combineWitnesses, statementOf, type Witness } from '.';

const together = (items: Witness[], ratedAh: number | null = null) =>
	combineWitnesses('LFP', items, ratedAh, WHOLE_BANK);

describe('one witness', () => {
	it.each([
		[{ kind: 'ah', ah: 280 }, 'ah', 280, 0.01],
		[{ kind: 'ah', ah: 280, sdAh: 5.6 }, 'ah', 280, 0.02],
		[{ kind: 'wh', wh: 900 }, 'wh', 900, 0.01],
		[{ kind: 'hours-amps', hours: 14, amps: 20 }, 'ah', 280, 0.02],
		[{ kind: 'watts-hours', watts: 60, hours: 15 }, 'wh', 900, 0.03],
		[{ kind: 'kwh-out', kwh: 0.81 }, 'wh', 900, Math.hypot(0.01, 0.03 / 0.9)],
		[{ kind: 'kwh-out', kwh: 0.855, efficiency: 0.95 }, 'wh', 900, Math.hypot(0.01, 0.01)],
		// 1.163 × 20 × 40 / 0.9 = 1033.8 Wh; each thermometer to half a degree.
		[{ kind: 'water', litres: 20, fromC: 15, toC: 55 }, 'wh', 1033.78, Math.hypot(0.05 / 0.9, (Math.SQRT2 * 0.5) / 40)]
	] as const)('%j', (witness, of, value, sd) => {
		const said = statementOf(witness, 'items.0');
		expect(said.of).toBe(of);
		expect(said.value).toBeCloseTo(value, 1);
		expect(said.sd).toBeCloseTo(sd, 9);
	});
	it('alone it is told as such; Wh follow from Ah by the mean volts, which widens them', () => {
		const { ah, wh, verdict } = together([{ kind: 'ah', ah: 280 }]);
		expect(ah!.likely).toBeCloseTo(280, 9);
		expect(ah!.high95).toBeCloseTo(280 * Math.exp(0.0196), 6);
		expect(wh!.likely).toBeCloseTo(280 * 3.235, 6);
		expect(wh!.high95 / wh!.likely).toBeCloseTo(Math.exp(1.96 * Math.hypot(0.01, 0.018 / 3.235)), 9);
		expect(verdict.code).toBe('witness-alone');
	});
});

describe('witnesses together', () => {
	it('two of the same kind count by inverse variance: 1 and 2 % make 0.894 %', () => {
		const { ah } = together([
			{ kind: 'ah', ah: 280, sdAh: 2.8 },
			{ kind: 'ah', ah: 280, sdAh: 5.6 }
		]);
		expect(Math.log(ah!.high95 / ah!.likely) / 1.96).toBeCloseTo(0.01 * Math.sqrt(4 / 5), 6);
	});
	it('Ah and Wh that agree by their volts', () =>
		expect(
			together([
				{ kind: 'ah', ah: 280 },
				{ kind: 'wh', wh: 906 },
				{ kind: 'hours-amps', hours: 14, amps: 19.8 }
			])
		).toMatchObject({ odd: null, verdict: { code: 'witnesses-agree' } }));
	it('the one of three that says a fifth more is named and left out', () => {
		const { odd, ah, verdict } = together([
			{ kind: 'ah', ah: 280 },
			{ kind: 'wh', wh: 1090 },
			{ kind: 'hours-amps', hours: 14, amps: 20 },
			{ kind: 'watts-hours', watts: 60.5, hours: 15 }
		]);
		expect(odd).toBe(1);
		expect(verdict.code).toBe('witness-odd');
		expect(verdict.facts.ratio).toBeCloseTo(1090 / (280 * 3.235), 1);
		expect(ah!.likely).toBeGreaterThan(277);
		expect(ah!.likely).toBeLessThan(283);
	});
	it('two that contradict each other name nobody, and their interval holds both', () => {
		const { odd, ah, verdict } = together([
			{ kind: 'ah', ah: 280 },
			{ kind: 'wh', wh: 1060 }
		]);
		expect(odd).toBeNull();
		expect(verdict.code).toBe('witnesses-disagree');
		expect(ah!.low95).toBeLessThan(280);
		expect(ah!.high95).toBeGreaterThan(1060 / 3.235);
	});
	it('8 % above rated is questioned, 5 % is not', () => {
		expect(together([{ kind: 'ah', ah: 302 }], 280).verdict.code).toBe('witnesses-too-good');
		expect(together([{ kind: 'ah', ah: 294 }], 280).verdict.code).toBe('witness-alone');
	});
	it.each([
		[[], /items requires/],
		[[{ kind: 'ah', ah: -3 }], /items.0.ah/],
		[[{ kind: 'water', litres: 5, fromC: 40, toC: 20 }], /items.0.toC/],
		[[{ kind: 'kwh-out', kwh: 1, efficiency: 90 }], /items.0.efficiency/]
	] as [Witness[], RegExp][])('refuses %j', (items, message) => expect(() => together(items)).toThrow(message));
});

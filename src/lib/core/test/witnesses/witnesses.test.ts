import { describe, expect, it } from 'vitest';
import { WHOLE_BANK } from '../../foundation/verdicts';
import { combineWitnesses, meanVoltage, statementOf, type Witness } from '.';

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
		// At a rate nobody told 0.01 V below the usual 3.235 V, and known to 0.018 and 0.025 V.
		expect(wh!.likely).toBeCloseTo(280 * 3.225, 6);
		const sd = Math.hypot(0.01, Math.hypot(0.018, 0.025) / 3.225);
		expect(wh!.high95 / wh!.likely).toBeCloseTo(Math.exp(1.96 * sd), 9);
		expect(verdict.code).toBe('witness-alone');
	});
});

describe('the mean volts of a discharge', () => {
	it('fall with the rate, twice as fast at 5 °C: 0.08 Ω·Ah times the rate beyond an eighth', () => {
		expect(meanVoltage('LFP', { cRate: 0.1, temperatureC: 25 }).volts).toBeCloseTo(3.235, 9);
		expect(meanVoltage('LFP', { cRate: 0.8, temperatureC: 25 }).volts).toBeCloseTo(3.235 - 0.08 * 0.675, 9);
		// Resistance at 5 °C is 1.87 times that of 25 °C; and 20 K of cold at 0.3 mV.
		expect(meanVoltage('LFP', { cRate: 0.8, temperatureC: 5 }).volts).toBeCloseTo(
			3.235 - 0.08 * (0.8 * 1.873 - 0.125) - 0.006,
			3
		);
	});
	it('are known better when the temperature is told', () => {
		const told = meanVoltage('LFP', { cRate: 0.5, temperatureC: 17 });
		const untold = meanVoltage('LFP', { cRate: 0.5 });
		expect(told.volts).toBeCloseTo(untold.volts, 9);
		expect(told.sd).toBeLessThan(untold.sd);
	});
	it('of a fast discharge in the cold a counter of Wh and one of Ah agree that would not at house rates', () => {
		const items: Witness[] = [
			{ kind: 'ah', ah: 255 },
			{ kind: 'wh', wh: 255 * 3.1 },
			{ kind: 'hours-amps', hours: 1.3, amps: 198 }
		];
		const found = combineWitnesses('LFP', items, 280, WHOLE_BANK, { temperatureC: 3 });
		expect(found.verdict.code).toBe('witnesses-agree');
		expect(found.ah!.likely).toBeGreaterThan(253);
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

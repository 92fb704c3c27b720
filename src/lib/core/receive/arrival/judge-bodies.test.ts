import { describe, expect, it } from 'vitest';
import type { Subject } from '../../foundation/verdicts';
import { judgeBodies, judgeDelivery, type ArrivedCell } from '.';

const delivery: Subject = { kind: 'delivery', id: 1, label: 'Crate' };
const bodies = (masses: (number | null)[], temperatures: (number | null)[] = []) =>
	masses.map((massKg, i) => ({
		id: i + 1,
		label: `X-${i + 1}`,
		massKg,
		massSdKg: massKg === null ? null : 0.003,
		temperatureC: temperatures[i] ?? null
	}));

describe('mass and warmth', () => {
	it('the one that is 2 % lighter than the others is named', () => {
		const [light] = judgeBodies(bodies([5.4, 5.401, 5.399, 5.402, 5.398, 5.29]), 5.4, delivery);
		expect(light).toMatchObject({ code: 'mass-outlier', subject: { id: 6 } });
		expect(light!.facts.relativeDifference).toBeCloseTo(5.29 / 5.3995 - 1, 4);
	});
	it('all 4 % under their sheet are told together; 2 % are not', () => {
		expect(judgeBodies(bodies([5.18, 5.18, 5.18]), 5.4, delivery).map((v) => v.code)).toEqual(['mass-under-sheet']);
		expect(judgeBodies(bodies([5.3, 5.3, 5.3]), 5.4, delivery)).toEqual([]);
		expect(judgeBodies(bodies([null, null]), 5.4, delivery)).toEqual([]);
	});
	it('read at 8 and at 20 °C is not read alike', () =>
		expect(judgeBodies(bodies([null, null], [8, 20]), null, delivery).map((v) => v.code)).toEqual([
			'read-unlike-warm'
		]));
});

const arrived = (
	id: number,
	restVoltageV: number,
	acResistanceMohm: number,
	temperatureC: number | null
): ArrivedCell => ({
	id,
	label: `X-${id}`,
	restVoltageV,
	acResistanceMohm,
	restVoltageSdV: 0.002,
	acResistanceSdMohm: 0.002,
	temperatureC
});
const context = { chemistry: 'LFP' as const, restS: 2 * 86_400, ratedResistanceMohm: null };

describe('arrival', () => {
	it('a colder cell reads a higher resistance and is no outlier for it', () => {
		const warm = [1, 2, 3, 4, 5].map((id) => arrived(id, 3.3, 0.17, 20));
		// exp(2600·(1/273.15 − 1/293.15)) = 1.914 times as much at 0 °C.
		const cold = arrived(6, 3.3, 0.17 * 1.914, 0);
		expect(judgeDelivery([...warm, cold], context).verdicts.map((v) => v.code)).not.toContain('resistance-outlier');
		const untold = arrived(6, 3.3, 0.17 * 1.914, null);
		expect(judgeDelivery([...warm, untold], context).verdicts.map((v) => v.code)).toContain('resistance-outlier');
	});
	it.each([
		[3.2, null],
		[2.8, 'nearly-empty'],
		[2.3, 'low'],
		[1.8, 'ruined'],
		[0.9, 'dead'],
		[0, 'dead']
	])('at %f V: %s', (volts, level) => {
		const found = judgeDelivery([arrived(1, volts, 0.17, 20)], context).verdicts.find((v) =>
			['nearly-empty', 'deep-discharged'].includes(v.code)
		);
		if (level === null) expect(found).toBeUndefined();
		else if (level === 'nearly-empty') {
			expect(found).toMatchObject({ code: level, warmth: 'open' });
			// Its few per cent are known to half a per cent at best, and so are the days.
			const { chargeLow, chargeHigh, daysLeft, daysAtMost } = found!.facts as Record<string, number>;
			expect(chargeHigh! - chargeLow!).toBeGreaterThan(0.006);
			expect(daysAtMost!).toBeGreaterThan(3 * daysLeft!);
		} else expect(found).toMatchObject({ code: 'deep-discharged', warmth: 'stop', facts: { level } });
	});
});

describe('thickness', () => {
	const cells = (list: (number | null)[]) =>
		list.map((thicknessMm, i) => ({
			id: i + 1,
			label: `X-0${i + 1}`,
			massKg: null,
			massSdKg: null,
			temperatureC: null,
			thicknessMm,
			thicknessSdMm: 0.1
		}));
	it('a case half a millimetre out of its fellows is named, and which way', () => {
		const [told, ...rest] = judgeBodies(cells([54, 54.1, 53.9, 54, 55.6, null]), null, delivery);
		expect(rest).toEqual([]);
		expect(told).toMatchObject({
			code: 'thickness-outlier',
			subject: { id: 5 },
			title: 'X-05 is thicker than the others'
		});
		expect(told!.facts.differenceMm).toBeCloseTo(1.6, 9);
	});
	it('cases that differ by less are alike', () =>
		expect(judgeBodies(cells([54, 54.3, 53.8, 54.2]), null, delivery)).toEqual([]));
});

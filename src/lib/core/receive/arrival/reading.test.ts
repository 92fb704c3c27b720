import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { cellsOf } from '../../foundation/verdicts';
import {
	ASSUMED_METER,
	benchMeters,
	findOutliers,
	meterSd,
	parseReading,
	questionReading,
	shownUnit,
	shownValue,
	splitPasted
} from '../../foundation/reading';
import { judgeDelivery, type ArrivedCell, type DeliveryContext } from '.';

describe('typed readings', () => {
	it.each([
		['3.298', 'restVoltage', 3.298],
		['3,298 V', 'restVoltage', 3.298],
		['3298 mV', 'restVoltage', 3.298],
		['0.18 mΩ', 'acResistance', 0.18],
		['180 µΩ', 'acResistance', 0.18],
		['0.00018 ohm', 'acResistance', 0.18],
		['68 °F', 'temperature', 20],
		['5430 g', 'mass', 5.43],
		['−3.2', 'restVoltage', -3.2]
	] as const)('%s as %s', (text, quantity, value) => expect(parseReading(text, quantity).value).toBeCloseTo(value, 9));
	it('shows temperature and mass in US units, volts never', () => {
		expect([shownUnit('temperature', 'us'), shownValue(20, 'temperature', 'us')]).toEqual(['°F', 68]);
		expect([shownUnit('restVoltage', 'us'), shownValue(3.3, 'restVoltage', 'us')]).toEqual(['V', 3.3]);
		expect(parseReading('9.04 lb', 'mass').value).toBeCloseTo(4.1, 2);
	});
	it('keeps what was typed', () =>
		expect(parseReading(' 3,298 V ', 'restVoltage')).toMatchObject({ rawText: '3,298 V', rawUnit: 'V' }));
	it('refuses words and another unit, and says what it wants', () => {
		expect(() => parseReading('three', 'restVoltage')).toThrow(/number like 3\.298, got "three"/);
		expect(() => parseReading('3 kg', 'restVoltage')).toThrow(/is in V, got "kg"/);
	});
	it('splits a pasted column, keeps holes and drops the tail', () => {
		expect(splitPasted('3.29\t0.18\r\n\r\n3.30\n\n')).toEqual(['3.29', null, '3.30']);
		expect(splitPasted('')).toEqual([]);
		// A row: by tabs, semicolons or blanks.
		expect(splitPasted('3.29\t3.30\t\t3.31\n')).toEqual(['3.29', '3.30', null, '3.31']);
		expect(splitPasted('3,29;3,30')).toEqual(['3,29', '3,30']);
		expect(splitPasted('3.29 3.30')).toEqual(['3.29', '3.30']);
	});
});

describe('questions', () => {
	const neighbours = [3.294, 3.295, 3.293];
	it('names ohms typed for milliohms, and guesses by what the data sheet says', () => {
		const expected = { acResistanceMohm: 0.2, massKg: null };
		expect(questionReading(0.00019, 'acResistance', 'LFP', [], expected)).toMatchObject({
			code: 'unit',
			suggestion: 0.19,
			text: expect.stringContaining('ohms for milliohms')
		});
		expect(questionReading(190, 'acResistance', 'LFP', [], expected)!.text).toContain('microohms for milliohms');
		expect(questionReading(3298, 'restVoltage', 'LFP', [])!.text).toContain('millivolts for volts');
	});
	it('asks 3.298 or 32.98', () => {
		const question = questionReading(32.98, 'restVoltage', 'LFP', neighbours);
		expect(question).toMatchObject({ code: 'decimal', suggestion: 3.298 });
		expect(question!.text).toContain('3.298 V or 32.980 V?');
	});
	it('knows millivolts, ohms for milliohms, and a reversed lead', () => {
		expect(questionReading(3298, 'restVoltage', 'LFP', neighbours)).toMatchObject({ code: 'unit', suggestion: 3.298 });
		expect(questionReading(0.00018, 'acResistance', 'LFP', [], { acResistanceMohm: 0.18, massKg: null })).toMatchObject(
			{ code: 'unit', suggestion: 0.18 }
		);
		expect(questionReading(-3.29, 'restVoltage', 'LFP', neighbours)).toMatchObject({ code: 'sign', suggestion: 3.29 });
	});
	it('lets an ordinary value and a genuine outlier through', () => {
		// A column of another quantity, pasted into the wrong one.
		const own = { acResistanceMohm: null, massKg: 4.1, own: { restVoltage: 3.298, acResistance: 0.182 } };
		for (const [value, quantity] of [
			[3.298, 'acResistance'],
			[4.05, 'acResistance'],
			[0.182, 'restVoltage']
		] as const)
			expect(questionReading(value, quantity, 'LFP', [], own)).toMatchObject({ code: 'quantity', suggestion: null });
		expect(questionReading(0.18, 'acResistance', 'LFP', [], own)).toBeNull();
		expect(questionReading(3.298, 'restVoltage', 'LFP', [], own)).toBeNull();
		expect(questionReading(3.298, 'restVoltage', 'LFP', neighbours)).toBeNull();
		expect(questionReading(3.1, 'restVoltage', 'LFP', neighbours)).toBeNull();
	});
	it('asks without a guess when nothing fits', () =>
		expect(questionReading(5.5, 'restVoltage', 'LFP', neighbours)).toMatchObject({ code: 'range', suggestion: null }));
});

describe('meter', () => {
	it('takes ±(0.1 % + 2 mV) at 3 V as uniform: 5 mV / √3', () => {
		expect(meterSd({ percentOfReading: 0.1, countsValue: 0.002, repeatability: null }, 3)).toBeCloseTo(
			0.005 / Math.sqrt(3),
			12
		);
	});
	it('takes what a person says of their meters', () => {
		const meters = benchMeters({
			voltMeterPercent: 0.5,
			voltMeterCountsMv: 10,
			ohmMeterPercent: 2,
			ohmMeterCountsMohm: 0.01
		});
		expect(meterSd(meters.restVoltage, 3.2)).toBeCloseTo(0.026 / Math.sqrt(3), 12);
		expect(meters.acResistance.countsValue).toBe(0.01);
	});
	it('adds repeatability in quadrature', () => {
		expect(meterSd({ percentOfReading: 0, countsValue: 3 * Math.sqrt(3), repeatability: 4 }, 1)).toBeCloseTo(5, 12);
	});
});

describe('outliers', () => {
	const floor = { amount: 0.008, relative: false };
	it('finds the one low cell', () => {
		const found = findOutliers([3.294, 3.295, 3.253, 3.293, 3.296, 3.294], floor, 0.0012);
		expect(found.filter((f) => f.outlier).map((f) => f.index)).toEqual([2]);
		expect(found[2]!.differenceFromMedian).toBeCloseTo(-0.041, 9);
		// deviations from 3.294: 0 1 41 1 2 0 mV -> median 1 mV, robust sd 1.4826 mV
		expect(found[2]!.robustZ).toBeCloseTo(41 / 1.4826, 3);
	});
	it('ignores a tight crowd whose odd one is within the floor', () => {
		expect(findOutliers([3.294, 3.294, 3.294, 3.294, 3.3], floor, 0.0005).some((f) => f.outlier)).toBe(false);
	});
	it('does not blame a cell for what the meter can do by itself', () => {
		const found = findOutliers([3.29, 3.29, 3.291, 3.289, 3.3], floor, 0.01);
		expect(found[4]).toMatchObject({ outlier: false, withinMeterDoubt: true });
	});
	it('uses the floor alone below five values', () => {
		expect(findOutliers([3.29, 3.29, 3.25], floor, 0.001)[2]).toMatchObject({ outlier: true, robustZ: null });
		expect(findOutliers([], floor, 0.001)).toEqual([]);
	});
	it('does not depend on the order of the cells', () => {
		fc.assert(
			fc.property(fc.array(fc.double({ min: 3, max: 3.4, noNaN: true }), { minLength: 1, maxLength: 20 }), (values) => {
				const forwards = findOutliers(values, floor, 0.001).map((f) => f.outlier);
				const backwards = findOutliers([...values].reverse(), floor, 0.001).map((f) => f.outlier);
				expect(backwards.reverse()).toEqual(forwards);
			})
		);
	});
});

describe('verdicts on a delivery', () => {
	const context: DeliveryContext = {
		chemistry: 'LFP',
		restS: 86400,
		ratedResistanceMohm: 0.18
	};
	const cell = (id: number, restVoltageV: number | null, acResistanceMohm: number | null): ArrivedCell => ({
		id,
		label: `H-${id}`,
		restVoltageV,
		acResistanceMohm,
		restVoltageSdV: restVoltageV === null ? null : meterSd(ASSUMED_METER.restVoltage, restVoltageV),
		acResistanceSdMohm: acResistanceMohm === null ? null : meterSd(ASSUMED_METER.acResistance, acResistanceMohm)
	});
	const ordinary = [1, 2, 3, 4, 5, 6].map((id) => cell(id, 3.294 + id / 10000, 0.178 + id / 10000));
	it('is calm about ordinary cells but claims no charge on the plateau', () => {
		const { verdicts, socByCell } = judgeDelivery(ordinary, context);
		expect(verdicts.map((v) => v.code)).toEqual(['resistance-agrees', 'charge-unknown']);
		expect(socByCell[1]!.highFraction - socByCell[1]!.lowFraction).toBeGreaterThan(0.15);
	});
	it('names a cell that reads negative, and judges its charge by the size of the reading', () => {
		const { verdicts, socByCell } = judgeDelivery([...ordinary, cell(7, -3.2945, 0.18)], context);
		expect(verdicts.filter((v) => cellsOf(v).includes(7)).map((v) => v.code)).toEqual(['polarity']);
		expect(socByCell[7]!.verdict).toBe('wide');
	});
	it('is calm about a turned cell once somebody has recorded it', () => {
		const turned = { ...cell(7, -3.2945, 0.18), plusTurned: true };
		const { verdicts } = judgeDelivery([...ordinary, turned], context);
		expect(verdicts.find((v) => v.code === 'polarity')).toMatchObject({ warmth: 'calm', facts: { recorded: true } });
	});
	it('names the low cell, the resistive cell and the missing one', () => {
		const { verdicts } = judgeDelivery(
			[...ordinary, cell(7, 3.253, 0.18), cell(8, 3.294, 0.24), cell(9, null, null)],
			context
		);
		expect(verdicts.filter((v) => cellsOf(v).includes(7)).map((v) => v.code)).toEqual(['voltage-outlier']);
		expect(verdicts.filter((v) => cellsOf(v).includes(8)).map((v) => v.code)).toEqual(['resistance-outlier']);
		expect(verdicts.find((v) => v.code === 'not-read')).toMatchObject({
			members: [{ kind: 'cell', id: 9, label: 'H-9' }],
			next: 'Read H-9 next.'
		});
	});
	it('does not judge how cells arrived by what was read after they were tested: neither charge nor who stands apart', () => {
		const emptied = { ...cell(7, 2.79, 0.18), touched: true, arrival: null };
		expect(judgeDelivery([...ordinary, emptied], context).verdicts.map((v) => v.code)).toEqual([
			'resistance-agrees',
			'charge-unknown'
		]);
		const all = ordinary.map((c) => ({ ...c, restVoltageV: 2.79, touched: true, arrival: null }));
		expect(judgeDelivery(all, context).verdicts.map((v) => v.code)).toEqual(['resistance-agrees']);
		// What harms a cell does so whenever it is read.
		expect(
			judgeDelivery([...ordinary, { ...cell(7, 1.9, 0.18), touched: true, arrival: null }], context).verdicts[0]!.code
		).toBe('deep-discharged');
	});
	it('judges how cells arrived by what they read then, whatever they read now', () => {
		const now = ordinary.map((c) => ({ ...c, restVoltageV: 3.4, touched: true }));
		const came = (restVoltageV: number) => ({ restVoltageV, restVoltageSdV: 0.001 });
		const cells = now.map((c, i) => ({ ...c, arrival: came(i === 2 ? 3.253 : 3.2945) }));
		const { verdicts, socByCell } = judgeDelivery(cells, context);
		const apart = verdicts.find((v) => v.code === 'voltage-outlier')!;
		expect(apart).toMatchObject({
			warmth: 'open',
			subject: { id: 3 },
			title: 'H-3 came resting 42 mV below the rest',
			facts: { touched: true, restVoltageV: { value: 3.253 } }
		});
		// The charge it came with, and the one it has now.
		expect((apart.facts as { chargeHigh: number }).chargeHigh).toBeLessThan(0.6);
		expect(socByCell[3]!.lowFraction).toBeGreaterThan(0.98);
		const before = judgeDelivery([...ordinary.slice(0, 5), cell(7, 3.253, 0.18)], context).verdicts;
		expect(before.find((v) => v.code === 'voltage-outlier')).toMatchObject({
			warmth: 'look',
			title: expect.stringContaining('H-7 rests 4')
		});
	});
	it('doubts each cell by the meter it was read with', () => {
		const coarse = { ...cell(7, 1.9, null), restVoltageSdV: 0.025 };
		const fine = { ...cell(8, 1.9, null), restVoltageSdV: 0.001 };
		const doubts = judgeDelivery([coarse, fine], context).verdicts.filter((v) => v.code === 'deep-discharged');
		expect(doubts.map((v) => v.doubt)).toEqual([
			expect.stringContaining('± 25.0 mV'),
			expect.stringContaining('± 1.0 mV')
		]);
		const bounds = judgeDelivery(
			[
				{ ...cell(1, 3.2, null), restVoltageSdV: 0.02 },
				{ ...cell(2, 3.2, null), restVoltageSdV: 0.0005 }
			],
			context
		).socByCell;
		const width = (id: number) => bounds[id]!.highFraction - bounds[id]!.lowFraction;
		expect(width(1)).toBeGreaterThan(1.5 * width(2));
	});
	it('stops at a deep-discharged cell', () => {
		expect(judgeDelivery([...ordinary, cell(7, 1.9, 0.2)], context).verdicts[0]).toMatchObject({
			code: 'deep-discharged',
			warmth: 'stop',
			subject: { kind: 'cell', id: 7, label: 'H-7' },
			facts: { restVoltageV: { value: 1.9 }, limitV: 2.5, chemistry: 'LFP' }
		});
	});
	it('stops at a cell above its limit, and takes what no one cell has for a slip; neither blurs the comparison', () => {
		const { verdicts } = judgeDelivery([...ordinary, cell(7, 3.72, 0.178), cell(8, 32.94, 0.178)], context);
		expect(verdicts.filter((v) => cellsOf(v).includes(7))).toMatchObject([{ code: 'overcharged', warmth: 'stop' }]);
		expect(verdicts.filter((v) => cellsOf(v).includes(8))).toMatchObject([
			{ code: 'not-one-cell', warmth: 'look', title: 'H-8 cannot rest at 32.940 V' }
		]);
		expect(verdicts.find((v) => v.code === 'charge-unknown')!.finding).toContain('6 of 6');
		// 3.65 V is where an LFP charge ends: just off the charger it is no fault.
		expect(judgeDelivery([...ordinary, cell(7, 3.65, 0.178)], context).verdicts.map((v) => v.code)).not.toContain(
			'overcharged'
		);
	});
	it('asks for cells when there are none', () =>
		expect(judgeDelivery([], context).verdicts[0]!.title).toBe('No cells yet'));
});

describe('a cell that was tested since', () => {
	it('rests below its limit, and did not arrive so: the supplier is not told', () => {
		const low = (touched: boolean) =>
			judgeDelivery(
				[
					{
						id: 1,
						label: 'A',
						restVoltageV: 2.4,
						restVoltageSdV: 0.002,
						acResistanceMohm: null,
						acResistanceSdMohm: null,
						touched,
						arrival: touched ? { restVoltageV: 3.29, restVoltageSdV: 0.002 } : null
					}
				],
				{ chemistry: 'LFP', restS: 3600, ratedResistanceMohm: null }
			).verdicts.find((v) => v.code === 'deep-discharged')!;
		expect(low(false)).toMatchObject({ title: 'A arrived below 2.50 V', warmth: 'stop' });
		expect(low(true)).toMatchObject({ title: 'A rests below 2.50 V', warmth: 'stop' });
		expect(low(true).next).not.toContain('supplier');
	});
});

import { describe, expect, it } from 'vitest';
import type { Subject } from '../../foundation/verdicts';
import { gradeOf, judgeGrade, type GradedCell } from '.';

const delivery: Subject = { kind: 'delivery', id: 1, label: 'Crate' };
const line = { name: 'A', leastAh: 280, mostMohm: null };
const cell = (id: number, capacityAh: number | null, rest: Partial<GradedCell> = {}): GradedCell => ({
	id,
	label: `X-${id}`,
	capacityAh,
	capacitySdAh: 2,
	resistanceMohm: null,
	resistanceSdMohm: 0.005,
	temperatureC: 25,
	...rest
});

describe('a cell against the line of its grade', () => {
	it.each([
		[276, 'outside'], // two sd under: 97.7 %
		[277, 'unsure'], // one and a half: 93.3 %
		[283, 'unsure'],
		[284, 'within'],
		[null, 'unsure']
	])('%s Ah ± 2 of 280 wanted: %s', (ah, expected) => expect(gradeOf(cell(1, ah), line)).toBe(expected));
	it('without doubt the line itself is within', () =>
		expect(gradeOf(cell(1, 280, { capacitySdAh: 0 }), line)).toBe('within'));
	it('one quantity outside is outside; one not measured is not within', () => {
		const both = { ...line, mostMohm: 0.2 };
		expect(gradeOf(cell(1, 290, { resistanceMohm: 0.25 }), both)).toBe('outside');
		expect(gradeOf(cell(1, 270), both)).toBe('outside');
		expect(gradeOf(cell(1, 290), both)).toBe('unsure');
		expect(gradeOf(cell(1, 290, { resistanceMohm: 0.15 }), both)).toBe('within');
	});
	it('two quantities that are each just within are not within together', () => {
		const both = { ...line, mostMohm: 0.2 };
		// 1.8 sd each: 3.6 % outside each, 7.2 % one or the other.
		const near = { resistanceMohm: 0.191, resistanceSdMohm: 0.005 };
		expect(gradeOf(cell(1, 283.6, near), line)).toBe('within');
		expect(gradeOf(cell(1, 290, near), both)).toBe('within');
		expect(gradeOf(cell(1, 283.6, near), both)).toBe('unsure');
	});
	it('a resistance read in the cold is held against the line as warm as a sheet means it', () => {
		const resistance = { name: 'A', leastAh: null, mostMohm: 0.25 };
		// × 2.2 at 0 °C: 0.33 mΩ there are 0.15 at 25 °C, with half of what was taken off as doubt.
		expect(gradeOf(cell(1, null, { resistanceMohm: 0.33, temperatureC: 0 }), resistance)).toBe('unsure');
		expect(gradeOf(cell(1, null, { resistanceMohm: 0.33, temperatureC: 25 }), resistance)).toBe('outside');
		expect(gradeOf(cell(1, null, { resistanceMohm: 0.33, temperatureC: null }), resistance)).toBe('unsure');
	});
});

describe('a delivery against the grade it was sold as', () => {
	it('names who is outside, and says how many cannot be told', () => {
		const [told] = judgeGrade([cell(1, 290), cell(2, 270), cell(3, 279)], line, delivery);
		expect(told).toMatchObject({ code: 'outside-grade', warmth: 'look', facts: { outside: 1, unsure: 1, within: 1 } });
		expect(told!.members.map((m) => m.id)).toEqual([2]);
	});
	it('is calm only when all are told', () => {
		expect(judgeGrade([cell(1, 290), cell(2, 279)], line, delivery)[0]).toMatchObject({ warmth: 'open' });
		expect(judgeGrade([cell(1, 290)], line, delivery)[0]).toMatchObject({ code: 'within-grade', warmth: 'calm' });
	});
	it('says nothing without a line, or before anything was measured', () => {
		expect(judgeGrade([cell(1, 200)], { ...line, leastAh: null }, delivery)).toEqual([]);
		expect(judgeGrade([cell(1, null)], line, delivery)).toEqual([]);
	});
});

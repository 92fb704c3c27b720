import { describe, expect, it } from 'vitest';
import { tellsCharge, type Touch } from './touches';

const day = (n: number) => new Date(Date.UTC(2026, 10, n)).toISOString();
const touch = (from: number, until: number | null, more: Partial<Touch> = {}): Touch => ({
	from: day(from),
	until: until === null ? null : day(until),
	balanceRunId: null,
	atWork: false,
	...more
});

describe('whether a rest voltage still tells the charge', () => {
	it('does while nothing touches the cell, and what came before or comes later does not count', () => {
		expect(tellsCharge(day(5), [], null)).toBe(true);
		expect(tellsCharge(day(5), [touch(1, 2), touch(5, 5)], null)).toBe(true);
		expect(tellsCharge(day(5), [touch(9, 10)], day(8))).toBe(true);
	});
	it('goes back as well as on', () => {
		expect(tellsCharge(day(8), [touch(1, 2), touch(9, 10)], day(5))).toBe(true);
		expect(tellsCharge(day(8), [touch(6, 7)], day(5))).toBe(false);
	});
	it('does not after a test or a charge, nor in the middle of one', () => {
		expect(tellsCharge(day(5), [touch(6, 6)], null)).toBe(false);
		expect(tellsCharge(day(5), [touch(4, 7)], null)).toBe(false);
		expect(tellsCharge(day(5), [touch(4, null)], null)).toBe(false);
	});
	it('tells with what a row began, not what is left of it', () => {
		const row = touch(6, null, { balanceRunId: 3 });
		expect(tellsCharge(day(5), [row], day(6), 3)).toBe(true);
		expect(tellsCharge(day(5), [row], day(7))).toBe(false);
		expect(tellsCharge(day(5), [row, touch(2, 7)], day(6), 3)).toBe(false);
	});
	it('is over once the bank is at work, but for the days it lies open', () => {
		const work = touch(3, null, { atWork: true });
		expect(tellsCharge(day(1), [work], day(2))).toBe(true);
		expect(tellsCharge(day(1), [work], day(5))).toBe(false);
		expect(tellsCharge(day(10), [work], day(12))).toBe(true);
		expect(tellsCharge(day(10), [work], day(20))).toBe(false);
		expect(tellsCharge(day(10), [work], null)).toBe(false);
	});
});

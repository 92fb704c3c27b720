import { describe, expect, it } from 'vitest';
import { claimUntilOf, testsAgainstClaims } from '.';

describe('a timetable of tests against the claims', () => {
	const BEGINS = '2026-12-01T08:00:00Z';
	const waiting = (ids: number[], claimUntil: string, odd: number[] = []) =>
		ids.map((id) => ({ id, claimUntil, odd: odd.includes(id) }));
	const tests = (days: Record<number, string>) =>
		Object.entries(days).map(([cellId, endsAt]) => ({ cellId: Number(cellId), endsAt }));

	it('ends fourteen days after arrival, or when the supplier says', () => {
		expect(claimUntilOf({ receivedOn: '2026-11-20', claimDays: null })).toBe('2026-12-04');
		expect(claimUntilOf({ receivedOn: '2026-11-20T00:00:00.000Z', claimDays: 30 })).toBe('2026-12-20');
	});
	it('on the last day is in time, the morning after is not', () => {
		const cells = waiting([1, 2], '2026-12-04');
		const at = (second: string) =>
			testsAgainstClaims(tests({ 1: '2026-12-03T10:00:00Z', 2: second }), cells, BEGINS).map((late) => late.late);
		expect(at('2026-12-04T23:00:00Z')).toEqual([]);
		expect(at('2026-12-05T06:00:00Z')).toEqual([[2]]);
	});
	it('names who is late, by how much, and which of them already looked odd', () => {
		const cells = waiting([1, 2, 3, 4], '2026-12-04', [1, 4]);
		const plan = tests({
			1: '2026-12-02T10:00:00Z',
			2: '2026-12-05T10:00:00Z',
			3: '2026-12-06T10:00:00Z',
			4: '2026-12-06T20:00:00Z'
		});
		expect(testsAgainstClaims(plan, cells, BEGINS)).toEqual([
			{
				claimUntil: '2026-12-04',
				endsAt: '2026-12-06T20:00:00.000Z',
				lateDays: 2,
				late: [2, 3, 4],
				first: [4]
			}
		]);
	});
	it('a delivery whose claim ends later gives its turn', () => {
		const cells = [...waiting([1, 2], '2026-12-20'), ...waiting([3, 4], '2026-12-04')];
		const plan = tests({
			1: '2026-12-02T10:00:00Z',
			2: '2026-12-03T10:00:00Z',
			3: '2026-12-04T10:00:00Z',
			4: '2026-12-05T10:00:00Z'
		});
		expect(testsAgainstClaims(plan, cells, BEGINS)).toMatchObject([
			{ claimUntil: '2026-12-04', late: [4], first: [4] }
		]);
	});
	it('of a claim that had ended before the first test nothing is said', () =>
		expect(
			testsAgainstClaims(tests({ 1: '2026-12-06T10:00:00Z' }), waiting([1], '2026-11-30'), '2026-12-01T08:00:00Z')
		).toEqual([]));
	it('has nothing to say of no tests, and of cells it does not know', () => {
		expect(testsAgainstClaims([], waiting([1], '2027-01-01'), BEGINS)).toEqual([]);
		expect(testsAgainstClaims(tests({ 9: '2026-12-06T10:00:00Z' }), waiting([1], '2026-12-02'), BEGINS)).toEqual([]);
	});
});

import { describe, expect, it } from 'vitest';
import { judgeMatch, tooFewCells, type JudgedGroups } from '.';

const groups: JudgedGroups = {
	smallestGroupAh: 200,
	spreadAh: 1,
	groupSdAh: 2,
	smallestAh: { low95: 196, likely: 198, high95: 200 },
	gainAh: { low95: 2.1, likely: 3.6, high95: 5 },
	arrivalSmallestAh: 195,
	proof: { proven: true, upperBoundAh: 200 }
};

describe('verdicts on a match', () => {
	it.each([
		[1, 'match-even', 'calm'],
		[4, 'match-even', 'calm'], // exactly 2 %
		[5, 'match-uneven', 'look'],
		[10, 'match-uneven', 'look'], // exactly 5 %
		[11, 'match-too-uneven', 'stop']
	] as const)('a spread of %d Ah in 200 is %s', (spreadAh, code, warmth) => {
		expect(judgeMatch({ ...groups, spreadAh }, null)[0]).toMatchObject({ code, warmth });
	});
	it('say what was gained, and what a better group could hold at most while unproven', () => {
		expect(judgeMatch(groups, 210)[1]).toMatchObject({
			title: 'Matching gains 2.1 to 5.0 Ah over the order of arrival',
			finding: 'As read: smallest group 200.0 Ah against 195.0 Ah; rated 210 Ah.',
			rule: 'Proven: no other choice of these cells has a larger smallest group as read.'
		});
		const unproven = { ...groups, proof: { proven: false, upperBoundAh: 200.4 } };
		expect(judgeMatch(unproven, null)[1]!.doubt).toContain('200.40 Ah');
	});
	it('say that little is gained where it may be a loss, and that less is given where it is one', () => {
		const title = (low95: number, high95: number) =>
			judgeMatch({ ...groups, gainAh: { low95, likely: (low95 + high95) / 2, high95 } }, null)[1]!.title;
		expect(title(-0.4, 1.2)).toBe('Matching gains little over the order of arrival');
		expect(judgeMatch({ ...groups, gainAh: { low95: -0.4, likely: 0.4, high95: 1.2 } }, null)[1]!.finding).toContain(
			'Really −0.4 to 1.2 Ah more.'
		);
		expect(title(-4, -1)).toBe('These groups give less than the order of arrival');
	});
	it('claim nothing of groups that were not searched', () => {
		const [, gain] = judgeMatch({ ...groups, proof: null }, null);
		expect(gain).toMatchObject({ facts: { proven: false, upperBoundAh: null } });
		expect(gain!.doubt).toContain('not searched');
		expect(gain!.rule).not.toMatch(/[Pp]roven/);
	});
	it('of one larger group among others alike do not ask to replace the smallest', () => {
		// 286 Ah among 280s; then 299 among them, and 262 below them.
		const of = (smallestGroupAh: number, largestAh: number, middleAh: number) =>
			judgeMatch({ ...groups, smallestGroupAh, spreadAh: largestAh - smallestGroupAh, middleAh }, null)[0]!;
		expect(of(279.5, 286, 280)).toMatchObject({ code: 'match-surplus', warmth: 'calm' });
		expect(of(279.5, 299, 280).next).not.toMatch(/[Rr]eplace|retest/);
		expect(of(262, 281, 280)).toMatchObject({ code: 'match-too-uneven' });
	});
	it('wait for measured cells', () => {
		expect(tooFewCells(5, 8, 3)).toMatchObject({ warmth: 'open', title: '5 of 8 cells have a capacity' });
		expect(tooFewCells(8, 8, 0)).toBeNull();
	});
});

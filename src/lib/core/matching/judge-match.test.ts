import { describe, expect, it } from 'vitest';
import { judgeMatch, tooFewCells, type JudgedGroups } from '.';

const groups: JudgedGroups = {
	smallestGroupAh: 200,
	spreadAh: 1,
	groupSdAh: 2,
	smallestAh: { low95: 196, likely: 198, high95: 200 },
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
			title: 'Matching gains 5.0 Ah over the order of arrival',
			finding: 'Smallest group 200.0 Ah against 195.0 Ah; rated 210 Ah.',
			doubt: null
		});
		const unproven = { ...groups, proof: { proven: false, upperBoundAh: 200.4 } };
		expect(judgeMatch(unproven, null)[1]!.doubt).toContain('200.40 Ah');
	});
	it('claim nothing of groups that were not searched', () => {
		const [, gain] = judgeMatch({ ...groups, proof: null }, null);
		expect(gain).toMatchObject({ facts: { proven: false, upperBoundAh: null } });
		expect(gain!.doubt).toContain('not searched');
		expect(gain!.rule).not.toMatch(/[Pp]roven/);
	});
	it('wait for measured cells', () => {
		expect(tooFewCells(5, 8, 3)).toMatchObject({ warmth: 'open', title: '5 of 8 cells have a capacity' });
		expect(tooFewCells(8, 8, 0)).toBeNull();
	});
});

import { describe, expect, it } from 'vitest';
import type { RehearsalJudgement } from '$lib/core/rehearsal';
import { rehearsalVerdicts } from './rehearsal-words';

const judgement = (caught: boolean[], totalCost: number): RehearsalJudgement => ({
	defects: caught.map((c, i) => ({
		kind: 'weak-cell',
		where: `R-0${i}`,
		size: '',
		amount: 1,
		name: 'weak cell',
		caught: c,
		cost: 0,
		consequence: ''
	})),
	falseAlarms: [],
	mishaps: [],
	builtAh: null,
	bestAh: 100,
	lostCapacityCost: 0,
	totalCost
});

describe('what a rehearsal says', () => {
	it('at its end: calm only when all was caught and nothing lost', () => {
		expect(rehearsalVerdicts(judgement([true, true], 0), true, true)[0]).toMatchObject({
			warmth: 'calm',
			title: 'You caught 2 of 2'
		});
		expect(rehearsalVerdicts(judgement([true, false], 0), true, true)[0]).toMatchObject({ warmth: 'look' });
		expect(rehearsalVerdicts(judgement([true], 41.6), true, true)[0]).toMatchObject({
			warmth: 'look',
			finding: expect.stringContaining('42')
		});
		expect(rehearsalVerdicts(judgement([], 0), true, true)[0].title).toBe('Nothing was hidden');
	});
	it('before: where to begin, what the hands can do, and that another crate lies there', () => {
		expect(rehearsalVerdicts(null, true, false)[0].next).toMatch(/Receive/);
		expect(rehearsalVerdicts(null, true, true)[0].next).toMatch(/row/);
		expect(rehearsalVerdicts(null, false, true)[0]).toMatchObject({ warmth: 'open', code: 'rehearsal-away' });
	});
});

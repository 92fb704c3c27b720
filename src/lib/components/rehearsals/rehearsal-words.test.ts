import { describe, expect, it } from 'vitest';
import type { RehearsalJudgement } from '$lib/core/world/rehearsal';
import type { Stage } from '$lib/core/foundation/verdicts';
import { benchMark, rehearsalVerdicts, type SeenCell, type Wiring } from './rehearsal-words';

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
		expect(rehearsalVerdicts(judgement([true, true], 0), 'series', 'serve')[0]).toMatchObject({
			warmth: 'calm',
			title: 'You caught 2 of 2'
		});
		expect(rehearsalVerdicts(judgement([true, false], 0), 'series', 'serve')[0]).toMatchObject({ warmth: 'look' });
		expect(rehearsalVerdicts(judgement([true], 41.6), 'series', 'serve')[0]).toMatchObject({
			warmth: 'look',
			finding: expect.stringContaining('42')
		});
		expect(rehearsalVerdicts(judgement([], 0), 'series', 'serve')[0]!.title).toBe('Nothing was hidden');
	});
	it('before: what comes next, by how the cells stand and what is known of them, and that another crate lies there', () => {
		const next = (...at: [Wiring, Stage]) => rehearsalVerdicts(null, ...at)[0]!.next;
		expect(next('loose', 'receive')).toMatch(/Receive/);
		expect(next('loose', 'test')).toMatch(/Test/);
		expect(next('loose', 'match')).toMatch(/Match/);
		expect(next('loose', 'balance')).toMatch(/row/);
		expect(next('parallel', 'balance')).toMatch(/Balance/);
		expect(next('series', 'limits')).toMatch(/balance lead/);
		expect(rehearsalVerdicts(null, null, 'balance')[0]).toMatchObject({ warmth: 'open', code: 'rehearsal-away' });
	});
	it('on the tray: what is clipped to a cell, and that its print is wrong', () => {
		const cell: SeenCell = { id: 1, label: 'R-01', restVoltageV: 3.29, group: null, tools: [] };
		expect(benchMark(cell)).toBeNull();
		expect(benchMark({ ...cell, restVoltageV: -3.29, tools: ['supply', 'voltmeter'] })).toBe(
			'reversed, supply, probes'
		);
	});
});

import { describe, expect, it } from 'vitest';
import { cellsOf } from '../../foundation/verdicts';
import { judgeCapacity, judgeTesting, type TestedCell } from '.';

const waiting = (id: number): TestedCell => ({
	id,
	label: `T-${id}`,
	judgement: null,
	refused: null,
	temperatureC: 25,
	tested: false
});
const tested = (id: number, ah: number): TestedCell => ({
	...waiting(id),
	tested: true,
	judgement: judgeCapacity({ id, label: `T-${id}` }, ah, 1, 100)
});

describe('verdicts on a tray under test', () => {
	it('judge each tested cell and call for the next', () => {
		const verdicts = judgeTesting([tested(1, 95), tested(2, 105), waiting(3), waiting(4)]);
		expect(verdicts.map((v) => v.code)).toEqual(['capacity-short', 'capacity-meets', 'untested']);
		expect(verdicts[2]).toMatchObject({ title: '2 cells not tested', next: 'Put T-3 on the tester.' });
		expect(cellsOf(verdicts[2]!)).toEqual([3, 4]);
	});
	it('ask for a run again whose correction was refused, and do not count it as waiting', () => {
		const refused = {
			...waiting(1),
			refused: { why: 'conditions' as const, reason: 'A correction of 8 % is more than 5 %.' }
		};
		expect(judgeTesting([refused])).toMatchObject([
			{
				code: 'correction-refused',
				warmth: 'look',
				finding: 'A correction of 8 % is more than 5 %.',
				subject: { kind: 'cell', id: 1 }
			}
		]);
	});
	it('tell a lower bound from a correction that was refused', () => {
		const cell = (why: 'not-full' | 'ended-early') => ({ ...waiting(1), refused: { why, atLeastAh: 61.4 } });
		expect(judgeTesting([cell('not-full')])).toMatchObject([
			{ code: 'capacity-at-least', title: 'T-1: at least 61 Ah', next: expect.stringContaining('Charge it full') }
		]);
		expect(judgeTesting([cell('ended-early')])[0]!.next).toContain('to its end');
	});
	it('speak once of cells that nothing speaks against, and name the temperature where that is the remedy', () => {
		const near = [tested(1, 100.4), tested(2, 99.7), tested(3, 100.9)];
		const [verdict, ...more] = judgeTesting([...near, tested(4, 95)]).sort((a) =>
			a.code === 'capacity-undecided' ? -1 : 1
		);
		expect(more.map((v) => v.code)).toEqual(['capacity-short']);
		expect(verdict).toMatchObject({
			warmth: 'open',
			title: '3 cells: nothing against them',
			facts: { lowestAh: { value: 99.7 } }
		});
		expect(cellsOf(verdict!)).toEqual([1, 2, 3]);
		expect(judgeTesting(near.map((c) => ({ ...c, temperatureC: null })))[0]!.next).toContain('Enter the temperature');
		// Two are told one by one.
		expect(judgeTesting(near.slice(0, 2)).map((v) => v.code)).toEqual(['capacity-unsure', 'capacity-unsure']);
	});
	it('have nothing to say of no cells, and nothing against tested cells without a rating', () => {
		expect(judgeTesting([])).toEqual([]);
		expect(judgeTesting([{ ...waiting(1), tested: true }])).toEqual([]);
	});
	it('count one cell as one', () => expect(judgeTesting([waiting(7)])[0]!.title).toBe('1 cell not tested'));
});

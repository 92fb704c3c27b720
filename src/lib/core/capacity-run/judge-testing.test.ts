import { describe, expect, it } from 'vitest';
import { cellsOf } from '../verdicts';
import { judgeCapacity, judgeTesting, type TestedCell } from '.';

const waiting = (id: number): TestedCell => ({ id, label: `T-${id}`, judgement: null, refused: null, tested: false });
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
		const refused = { ...waiting(1), refused: 'A correction of 8 % is more than 5 %.' };
		expect(judgeTesting([refused])).toMatchObject([
			{
				code: 'correction-refused',
				warmth: 'look',
				finding: 'A correction of 8 % is more than 5 %.',
				subject: { kind: 'cell', id: 1 }
			}
		]);
	});
	it('have nothing to say of no cells, and nothing against tested cells without a rating', () => {
		expect(judgeTesting([])).toEqual([]);
		expect(judgeTesting([{ ...waiting(1), tested: true }])).toEqual([]);
	});
	it('count one cell as one', () => expect(judgeTesting([waiting(7)])[0]!.title).toBe('1 cell not tested'));
});

import { expect, it } from 'vitest';
import { leadVerdict, judgeBalanceLeads } from '../build/leads';
import { jointVerdicts, judgeJoints } from '../prove/joints';
import { counterVerdict } from '../prove/proofs';
import type { StageVerdict } from '../foundation/verdicts';
import { findingsOf } from '.';

const battery = { kind: 'battery', id: 7, label: 'Battery 1' } as const;
const cells = ['R-01', 'R-02', 'R-03', 'R-04'].map((label, i) => ({ id: i + 1, label }));
const picture = {
	cells,
	batteries: [{ id: 7, groups: cells.map(({ id }, i) => ({ id: 70 + i, position: i + 1, cellIds: [id] })) }]
};
const found = (verdicts: object[]) => findingsOf(verdicts as StageVerdict[], picture);

it('a pair of exchanged leads is named by the lower one, an open lead by itself', () => {
	const leads = (readingsV: number[]) => [
		leadVerdict(judgeBalanceLeads({ series: 4, cells: { low: 3.28, high: 3.32 }, readingsV }), battery)
	];
	expect(found(leads([0, 3.3, 9.9, 6.6, 13.2]))).toEqual([{ kind: 'swapped-leads', where: '2' }]);
	expect(found(leads([0, 3.3, 6.6, 0.04, 13.2]))).toEqual([{ kind: 'open-lead', where: '3' }]);
	expect(found(leads([0, 3.3, 6.6, 9.9, 13.2]))).toEqual([]);
});
it('a joint with too much is the bar of its cell, unless several share the group', () => {
	const joints = judgeJoints({
		restV: [3.3, 3.3, 3.3, 3.3],
		loadV: [3.27, 3.2, 3.27, 3.27],
		currentA: -50,
		parallel: 1,
		meterSdV: 0.001
	});
	const verdicts = jointVerdicts({ joints, currentA: -50 }, battery);
	expect(found(verdicts)).toEqual([{ kind: 'loose-bar', where: 'R-02' }]);
	const shared = { cells, batteries: [{ id: 7, groups: [{ id: 71, position: 2, cellIds: [2, 3] }] }] };
	expect(findingsOf(verdicts as StageVerdict[], shared)).toEqual([]);
});
it('counters that disagree are a load that reads wrong', () =>
	expect(found([counterVerdict({ chargedAh: 280, dischargedAh: 272 }, battery)])).toEqual([
		{ kind: 'biased-tester', where: null }
	]));

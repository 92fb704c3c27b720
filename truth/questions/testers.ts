import { TESTER_GAIN_SD } from '$lib/core/test/verdicts';
import { jointCapacities, type StandardRun } from '$lib/core/test/testers';
import { normalDraw } from '$lib/core/foundation/statistics';
import type { Answer, Question } from '../answer';
import { drawCell } from '../world';

const CELLS = 8;
/** Cells that were run on both testers. */
const ON_BOTH = 2;
const REPEATS_SD = 0.003;

/** Cells run on two testers, some on both: what each holds, and how far each tester is off. */
export const testers: Question = {
	name: 'two testers',
	ask(world): Answer[] {
		const { random, ratedAh } = world;
		const gains = { A: normalDraw(random, 0, TESTER_GAIN_SD), B: normalDraw(random, 0, TESTER_GAIN_SD) };
		const truth = Array.from({ length: CELLS }, () => drawCell(world).capacityAh);
		const read = (cellId: number, tester: 'A' | 'B'): StandardRun => {
			const capacityAh = truth[cellId]! * (1 + gains[tester]) * (1 + normalDraw(random, 0, REPEATS_SD));
			return { cellId, tester, capacityAh, sdAh: capacityAh * TESTER_GAIN_SD };
		};
		const runs = truth.flatMap((_, id) =>
			id < ON_BOTH ? [read(id, 'A'), read(id, 'B')] : [read(id, id % 2 ? 'A' : 'B')]
		);
		const { byCell, gains: found } = jointCapacities(runs);
		const at = Math.floor(random() * CELLS);
		const { capacityAh, sdAh } = byCell.get(at)!;
		const tester = found[0]!;
		return [
			{
				kind: 'interval',
				of: 'capacity by two testers together',
				low: capacityAh - 1.96 * sdAh,
				high: capacityAh + 1.96 * sdAh,
				truth: truth[at]!,
				scale: ratedAh
			},
			{
				kind: 'interval',
				of: 'gain of a tester',
				low: tester.gain - 1.96 * tester.sd,
				high: tester.gain + 1.96 * tester.sd,
				truth: gains[tester.tester as 'A' | 'B'],
				scale: 1
			}
		];
	}
};

/** Two testers of ±3 %, or three of which one is 5 % off: cells run on all of them. */
export const unlikeTesters: Question = {
	name: 'unlike testers',
	ask(world): Answer[] {
		const { random, ratedAh } = world;
		const gains =
			random() < 0.5
				? [0, 1].map(() => normalDraw(random, 0, 0.03))
				: [0, 1, 2].map((i) => (i === 2 ? (random() < 0.5 ? -0.05 : 0.05) : normalDraw(random, 0, TESTER_GAIN_SD)));
		const truth = Array.from({ length: CELLS / 2 }, () => drawCell(world).capacityAh);
		const runs = truth.flatMap((ah, cellId) =>
			gains.map((gain, i): StandardRun => {
				const capacityAh = ah * (1 + gain) * (1 + normalDraw(random, 0, REPEATS_SD));
				return { cellId, tester: `T${i}`, capacityAh, sdAh: capacityAh * TESTER_GAIN_SD };
			})
		);
		const { capacityAh, sdAh } = jointCapacities(runs).byCell.get(0)!;
		return [
			{
				kind: 'interval',
				of: 'capacity by two testers together',
				stratum: 'testers 3 to 5 % off',
				low: capacityAh - 1.96 * sdAh,
				high: capacityAh + 1.96 * sdAh,
				truth: truth[0]!,
				scale: ratedAh
			}
		];
	}
};

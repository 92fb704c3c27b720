import { matchCells, whatGroupsHold } from '$lib/core/match/groups';
import { normalDraw } from '$lib/core/foundation/statistics';
import type { Answer, Question } from '../answer';
import { between, drawCell, oneOf } from '../world';

/** Cells measured with a doubt and matched by what was read: what the smallest group really holds, and so the battery. */
export const smallestGroup: Question = {
	name: 'matched groups',
	ask(world): Answer[] {
		const { random, ratedAh } = world;
		const [series, parallel] = oneOf(random, [
			[4, 2],
			[8, 2],
			[16, 1],
			[8, 1]
		] as const);
		const sdAh = ratedAh * between(random, 0.003, 0.015);
		const truth = Array.from(
			{ length: series * parallel + Math.floor(3 * random()) },
			() => drawCell(world).capacityAh
		);
		const cells = truth.map((ah, id) => ({ id, capacityAh: normalDraw(random, ah, sdAh), capacitySdAh: sdAh }));
		const problem = { series, parallel, cells };
		const found = matchCells(problem, { timeLimitS: 0.05, clockS: () => performance.now() / 1000 });
		const groups = found.groups.map((g) => g.cellIds);
		const { smallestAh, gainAh } = whatGroupsHold(problem, groups);
		const smallest = (own: readonly (readonly (number | string)[])[]) =>
			Math.min(...own.map((g) => g.reduce<number>((sum, id) => sum + truth[Number(id)]!, 0)));
		const asTheyCame = groups.map((_, s) => cells.slice(s * parallel, (s + 1) * parallel).map((c) => c.id));
		const scale = ratedAh * parallel;
		return [
			{
				kind: 'interval',
				of: 'what the smallest group really holds',
				scale,
				low: smallestAh.low95,
				high: smallestAh.high95,
				truth: smallest(groups)
			},
			{
				kind: 'interval',
				of: 'what matching gains',
				scale,
				low: gainAh.low95,
				high: gainAh.high95,
				truth: smallest(groups) - smallest(asTheyCame)
			}
		];
	}
};

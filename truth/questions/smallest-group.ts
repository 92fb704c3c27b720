import { matchCells, smallestGroupRange } from '$lib/core/matching';
import { normalDraw } from '$lib/core/shared';
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
		const { low95, high95 } = smallestGroupRange(problem, groups);
		const trueSmallest = Math.min(...groups.map((g) => g.reduce<number>((sum, id) => sum + truth[Number(id)]!, 0)));
		return [
			{
				...{ kind: 'interval', of: 'what the smallest group really holds', scale: ratedAh * parallel },
				...{ low: low95, high: high95, truth: trueSmallest }
			}
		];
	}
};

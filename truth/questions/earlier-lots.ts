import { TESTER_GAIN_SD } from '$lib/core/test/verdicts';
import { evidenceOfEarlierLots, judgeCapacity } from '$lib/core/test/capacity';
import type { TestedLot } from '$lib/core/picture';
import { normalDraw, type Random } from '$lib/core/foundation/statistics';
import type { Answer, Question } from '../answer';
import { between, oneOf } from '../world';

/** Lots of one type, each on a tester of its own: what the type, its lots, its cells and the testers scatter by, as fractions. */
interface Type {
	mean: number;
	lots: number;
	cells: number;
}
const REPEATS = 0.003;

function drawLot(random: Random, type: Type, ratedAh: number, n: number) {
	const gain = 1 + normalDraw(random, 0, TESTER_GAIN_SD);
	const lotAh = ratedAh * type.mean * (1 + normalDraw(random, 0, type.lots));
	return Array.from({ length: n }, () => {
		const trueAh = lotAh * (1 + normalDraw(random, 0, type.cells));
		return { trueAh, readAh: trueAh * gain * (1 + normalDraw(random, 0, REPEATS)) };
	});
}

/** Is a cell of a new lot below its rating, with earlier lots of its type on other testers as evidence. */
export const earlierLots: Question = {
	name: 'earlier lots',
	ask({ random, ratedAh }): Answer[] {
		const type: Type = {
			mean: 1 + normalDraw(random, 0.005, 0.012),
			lots: between(random, 0.004, 0.015),
			cells: between(random, 0.006, 0.018)
		};
		const lots = Array.from({ length: oneOf(random, [1, 2, 3, 5]) }, (_, i): TestedLot => ({
			tester: `T${i}`,
			capacitiesAh: drawLot(random, type, ratedAh, oneOf(random, [4, 8, 16])).map((c) => c.readAh)
		}));
		const own = drawLot(random, type, ratedAh, oneOf(random, [4, 8, 16]));
		const evidence = evidenceOfEarlierLots({ tester: 'own', capacitiesAh: own.map((c) => c.readAh) }, lots);
		const { trueAh, readAh } = own[0]!;
		const sdAh = readAh * Math.hypot(TESTER_GAIN_SD, REPEATS);
		const { probabilityShort } = judgeCapacity(
			...([{ id: 1, label: 'X' }, readAh, sdAh, ratedAh, null, null, null, null, evidence] as const)
		);
		const spread = evidence ? readAh * Math.hypot(evidence.sd, REPEATS) : sdAh;
		const bestAh = evidence ? readAh / (1 + evidence.gain) : readAh;
		return [
			{
				kind: 'probability',
				of: 'cell of a new lot is below its rating',
				stated: probabilityShort,
				happened: trueAh < ratedAh
			},
			{
				kind: 'interval',
				of: 'capacity with earlier lots as evidence',
				truth: trueAh,
				scale: ratedAh,
				low: bestAh - 1.96 * spread,
				high: bestAh + 1.96 * spread
			}
		];
	}
};

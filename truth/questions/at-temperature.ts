import { capacitiesAtTemperature, weakAtTemperature } from '$lib/core/test/capacity';
import { TESTER_GAIN_SD } from '$lib/core/test/verdicts';
import { normalDraw } from '$lib/core/foundation/statistics';
import type { Answer, Question } from '../answer';
import { between, drawCell, oneOf } from '../world';
import { given } from './capacity';

const ROOM_C = 25;
const HELD_C = [-5, 0, 5, 35, 40];
const CELLS = 5;
const REPEATS = 0.003;
/** A box holds its temperature to so much, and a thermometer tells it to so much, K. */
const BOX_K = 2;
const TOLD_K = 1;
/** What lies so far below the middle of the others, as a share, is a cell of another kind in the cold. */
const APART = 0.04;

/** Cells run in the room and at a temperature chosen on purpose, one of them now and then of far higher resistance. */
export const atTemperature: Question = {
	name: 'deliberate temperature',
	ask(world): Answer[] {
		const { random, ratedAh } = world;
		const heldAtC = oneOf(random, HELD_C);
		const rate = between(random, 0.2, 0.5);
		const dischargeA = rate * ratedAh;
		const odd = random() < 0.3 ? 0 : -1;
		const gains = [0, 1].map(() => 1 + normalDraw(random, 0, TESTER_GAIN_SD));
		const sameTester = random() < 0.7;
		const cells = Array.from({ length: CELLS }, (_, i) => {
			const cell = drawCell(world, i === odd ? { resistanceFactor: between(random, 4, 9) } : {});
			const wasC = heldAtC + between(random, -BOX_K, BOX_K);
			const [roomAh, heldAh, ranAh] = [ROOM_C, heldAtC, wasC].map((t) => given(world, cell, dischargeA, t)) as [
				number,
				number,
				number
			];
			const read = (ah: number, tester: number) => ah * gains[tester]! * (1 + normalDraw(random, 0, REPEATS));
			const heldOn = sameTester ? 0 : 1;
			const capacityAh = read(ranAh, heldOn);
			const told = wasC + normalDraw(random, 0, TOLD_K / 2);
			return {
				truth: heldAh / roomAh,
				held: {
					cellId: i,
					tester: `T${heldOn}`,
					heldAtC,
					temperatureC: told,
					capacityAh,
					cRate: rate,
					sdAh: TESTER_GAIN_SD * capacityAh
				},
				room: {
					cellId: i,
					tester: 'T0',
					capacityAh: read(roomAh, 0),
					cRate: rate,
					sdAh: TESTER_GAIN_SD * roomAh
				}
			};
		});
		const told = capacitiesAtTemperature(
			cells.map((c) => c.held),
			cells.map((c) => c.room)
		).cells;
		const weak = new Set(weakAtTemperature(told).map((w) => w.cellId));
		const first = told.find((c) => c.cellId === 0)?.share;
		const others = cells.slice(1).map((c) => c.truth);
		const middle = others.sort((a, b) => a - b)[Math.floor(others.length / 2)]!;
		const answers: Answer[] = [
			{
				kind: 'defect',
				of: 'a cell that falls behind in the cold, named',
				present: middle - cells[0]!.truth > APART,
				called: weak.has(0)
			}
		];
		if (first)
			answers.push({
				kind: 'interval',
				of: 'share of its capacity a cell gives in the cold or in warmth',
				low: first.value - 1.96 * first.sd,
				high: first.value + 1.96 * first.sd,
				truth: cells[0]!.truth,
				scale: 1
			});
		return answers;
	}
};

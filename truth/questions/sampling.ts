import { permutations } from './permutations';
import { capacityOfTheRest, mostBad } from '$lib/core/test/sampling';
import { normalDraw, normalQuantile } from '$lib/core/foundation/statistics';
import { planQueue } from '$lib/core/test/queue';
import type { Answer, Question } from '../answer';
import { between, oneOf } from '../world';

/** A queue is searched whole: some of the worlds are asked. */
const QUEUES_ASKED = 0.1;
const HOUR_MS = 3_600_000;

/** A lot of which some were tested: what that says of the rest; and a small queue, against every order there is. */
export const sampling: Question = {
	name: 'sampling and queue',
	ask({ random, ratedAh }): Answer[] {
		const all = Math.floor(between(random, 6, 60));
		const tested = Math.max(2, Math.floor(between(random, 0.15, 0.9) * all));
		const bad = Math.floor(random() ** 2 * all);
		// Cells are taken off the heap without looking: the first of a shuffled lot.
		const lot = Array.from({ length: all }, (_, i) => ({ isBad: i < bad, at: random() })).sort((a, b) => a.at - b.at);
		const found = lot.slice(0, tested).filter((cell) => cell.isBad).length;
		const answers: Answer[] = [
			{
				kind: 'interval',
				of: 'bad cells of a lot by a sample',
				scale: all,
				truth: bad,
				low: found,
				high: mostBad({ all, tested, bad: found })
			}
		];
		const lotOf = { mean: ratedAh * normalDraw(random, 1, 0.02), sd: ratedAh * between(random, 0.003, 0.03) };
		const measured = Array.from({ length: tested }, () => normalDraw(random, lotOf.mean, lotOf.sd));
		const { lowerAh, meanAh, share } = capacityOfTheRest(measured);
		if (lowerAh !== null)
			answers.push({
				kind: 'interval',
				of: 'what nine in ten of a lot hold',
				scale: ratedAh,
				truth: lotOf.mean - normalQuantile(share) * lotOf.sd,
				low: lowerAh,
				high: meanAh
			});
		if (random() < QUEUES_ASKED) {
			const cells = Array.from({ length: 4 }, (_, id) => ({
				id,
				capacityAh: ratedAh * between(random, 0.6, 1),
				soc: random()
			}));
			const things = (most: number, amps: number[]) =>
				Array.from({ length: 1 + Math.floor(random() * most) }, (_, id) => ({ id, currentA: oneOf(random, amps) }));
			const queue = {
				testers: things(2, [20, 40]),
				supplies: things(2, [10, 20, 40]),
				unattendedDischarge: true,
				restH: 1,
				waking: { from: '07:00', to: '22:30' },
				startAt: '2026-03-01T08:00:00Z'
			};
			const hoursOf = (iso: string) => (Date.parse(iso) - Date.parse(queue.startAt)) / HOUR_MS;
			const best = Math.min(...permutations(cells).map((own) => hoursOf(planQueue({ ...queue, cells: own }).endsAt)));
			const plan = planQueue({ ...queue, cells });
			answers.push({
				kind: 'interval',
				of: 'earliest end of a queue (a bound, never broken)',
				scale: best,
				truth: best,
				low: hoursOf(plan.boundEndsAt),
				high: hoursOf(plan.endsAt)
			});
		}
		return answers;
	}
};

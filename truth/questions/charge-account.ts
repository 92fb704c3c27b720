import { chargeAt, chargeBefore, countedAh, type ChargeMovement } from '$lib/core/foundation/charge-account';
import { normalDraw } from '$lib/core/foundation/statistics';
import { simulate } from '$lib/core/world/simulation';
import type { Answer, Question } from '../answer';
import { between, drawCell } from '../world';

const HOUR_S = 3600;
const HOUR_MS = 3_600_000;
/** A counter's own gain, one sd. */
const COUNTER_SD = 0.02;
/** What a cell may lose by itself, share a day. */
const LOST_A_DAY = 0.001;

/** A cell that is charged from what it came with, emptied, and given some charge back: what it came with, and what it holds. */
export const chargeAccount: Question = {
	name: 'account of charge',
	costly: true,
	ask(world): Answer[] {
		const { random, ratedAh, nature } = world;
		const cell = drawCell(world);
		const came = between(random, 0.1, 0.9);
		const rate = between(random, 0.1, 0.4);
		const given = between(random, 0.1, 0.7) * ratedAh;
		const amps = rate * ratedAh;
		const { cells, steps, times } = run();
		const gain = 1 + normalDraw(random, 0, COUNTER_SD);
		// The supply counts by itself as often as the tester counts both ways.
		const gainIn = random() < 0.5 ? gain : 1 + normalDraw(random, 0, COUNTER_SD);
		const counted = (k: number) => countedAh(steps[k]!.ah * (k === 2 ? gain : gainIn));
		const movements: ChargeMovement[] = [
			{ fromMs: 0, untilMs: times[0]!, end: 'full', movedAh: counted(0) },
			{ fromMs: times[1]!, untilMs: times[2]!, end: 'empty', movedAh: counted(2) },
			{ fromMs: times[3]!, untilMs: times[4]!, end: null, movedAh: counted(4) }
		];
		// What is known of its capacity is its own run, by the same counter.
		const capacityAh = -steps[2]!.ah * gain;
		const { share } = chargeAt({ capacityAh, movements, rests: [], lostADay: LOST_A_DAY }, times[4]!);
		const before = chargeBefore({ capacityAh, movements })!;
		const soc = cells[1]!.soc.at(-1)!;
		return [
			{ kind: 'interval', of: 'share of full after so much was given back', ...share, truth: soc, scale: 1 },
			{ kind: 'interval', of: 'share of full it came with, by its first charge', ...before, truth: came, scale: 1 }
		];

		function run() {
			const result = simulate({
				world: {
					chemistry: 'LFP',
					nature,
					seed: Math.floor(random() * 1e9),
					wiring: { kind: 'loose' },
					ambientC: between(random, 12, 30),
					cells: [{ ...cell, id: 1, soc: came }]
				},
				steps: [
					{ kind: 'charge', currentA: amps, voltageV: between(random, 3.55, 3.65), until: { tailA: 0.04 * ratedAh } },
					{ kind: 'rest', until: { durationS: HOUR_S } },
					{ kind: 'discharge', currentA: amps, until: { cellLowV: 2.5 } },
					{ kind: 'rest', until: { durationS: HOUR_S } },
					{ kind: 'charge', currentA: amps, voltageV: 3.6, until: { durationS: (given / amps) * HOUR_S } }
				],
				stepS: 5,
				recordEveryS: HOUR_S
			});
			let ms = 0;
			const ends = result.steps.map((s) => (ms += s.durationS * 1000));
			return { ...result, times: ends.map((t) => Math.max(t, HOUR_MS / 3600)) };
		}
	}
};

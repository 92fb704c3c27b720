import { driftSlopes, judgeCheck, judgeGrowth } from '$lib/core/serve/years';
import { simulate, type WorldCell } from '$lib/core/world/simulation';
import { normalDraw } from '$lib/core/foundation/statistics';
import type { Question } from '../answer';
import { drawMeter } from '../meter';
import { between, drawCell, oneOf } from '../world';

/** A history is some simulated charges long: some of the worlds are asked. */
const ASKED = 0.3;
/** What a balancer brings back of a lag in a month when it works, as a share of the capacity. */
const GIVES_BACK = 0.01;

/** Checks at the end of a charge over some years: a group that loses more than the others, or none; with a balancer now and then, or none. */
export const growth: Question = {
	name: 'growth of a drift',
	costly: true,
	ask(world) {
		const { random, ratedAh, nature } = world;
		if (random() > ASKED) return [];
		const groups = oneOf(random, [4, 8, 16]);
		const cells = Array.from({ length: groups }, () => drawCell(world));
		const leaky = random() < 0.4 ? Math.floor(random() * groups) : null;
		const morePerMonth = between(random, 0.003, 0.02);
		const balancer = random() < 0.4;
		const meter = drawMeter(random, 'restVoltage');
		const lag = cells.map(() => Math.abs(normalDraw(random, 0, 0.004)));
		const checks = oneOf(random, [3, 4, 6, 8]);
		const months = oneOf(random, [1, 3, 6]);
		const drifts = Array.from({ length: checks }, (_, i) => {
			if (i > 0) {
				if (leaky !== null) lag[leaky]! += morePerMonth * months;
				const works = balancer && random() < 0.5;
				if (works) lag.forEach((own, g) => (lag[g] = Math.max(0, own - GIVES_BACK * months)));
			}
			const least = Math.min(...lag);
			const world: WorldCell[] = cells.map((c, id) => ({
				...c,
				id,
				soc: 0.9 - Math.min(0.5, lag[id]! - least),
				selfDischargePerMonth: 0.02
			}));
			const rate = between(random, 0.05, 0.3);
			const { cells: seen, currentA } = simulate({
				world: { chemistry: 'LFP', cells: world, wiring: { kind: 'series' }, nature, seed: Math.floor(random() * 1e9) },
				steps: [
					{ kind: 'charge', currentA: rate * ratedAh, until: { cellHighV: 3.6 } },
					{ kind: 'charge', currentA: 0.03 * ratedAh, until: { cellHighV: 3.6, durationS: between(random, 300, 3600) } }
				],
				stepS: 30,
				recordEveryS: 1200
			});
			const last = currentA.length - 1;
			const { driftAh } = judgeCheck(
				{
					context: 'full',
					currentA: currentA[last]!,
					groupVoltagesV: cells.map((_, g) => Number(meter.read(seen[g]!.voltageV[last]!).toFixed(3)))
				},
				{ chemistry: 'LFP', groupAh: ratedAh, meterSdV: meter.sd(3.4) }
			);
			return { ageYears: (i * months) / 12, driftAh };
		});
		const found = judgeGrowth(driftSlopes(drifts, groups, ratedAh), ratedAh, []);
		return [
			{
				kind: 'defect',
				of: `a group that falls behind steadily${balancer ? ', a balancer at work now and then' : ''}`,
				present: leaky !== null,
				called: found !== null
			}
		];
	}
};

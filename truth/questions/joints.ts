import { judgeJoints, jointVerdicts } from '$lib/core/prove/joints';
import { median } from '$lib/core/foundation/statistics';
import type { Answer, Question } from '../answer';
import { loadedBattery } from '../loaded-battery';
import { drawMeter } from '../meter';
import { between } from '../world';

/** A joint with this much more than its like is one to be found, Ω. */
const TO_BE_FOUND_OHM = 0.0003;

/** Resistance of each joint beyond its like, from readings at rest and under a load. */
export const joints: Question = {
	name: 'joints',
	ask(world): Answer[] {
		const { random, ratedAh } = world;
		const meter = drawMeter(random, 'restVoltage');
		const kind = random();
		const stratum = kind < 0.6 ? undefined : kind < 0.8 ? 'a pack warmer at one end' : 'near full or nearly empty';
		const battery = loadedBattery(world, 0.004, {
			gradientK: stratum === 'a pack warmer at one end' ? between(random, 4, 10) : 0,
			soc:
				stratum === 'near full or nearly empty'
					? random() < 0.5
						? between(random, 0.05, 0.2)
						: between(random, 0.95, 0.995)
					: undefined
		});
		const { parallel, jointOhm, loose } = battery;
		const currentA = (random() < 0.8 ? -1 : 1) * between(random, 0.1, 0.8) * ratedAh * parallel;
		const restV = battery.groupV(0).map(meter.read);
		battery.flow(currentA, between(random, 10, 60));
		const loadV = battery.groupV(currentA).map(meter.read);
		const judged = judgeJoints({ restV, loadV, currentA, parallel, meterSdV: meter.pairSd });
		const verdicts = jointVerdicts({ joints: judged, currentA, rest: { restV, chemistry: 'LFP' } });
		if (verdicts[0]!.code === 'joints-hidden') return [];
		const called = verdicts.some((v) => v.code === 'joint-loose');
		const excess = jointOhm.map((ohm, g) => ohm - median(jointOhm.filter((_, k) => k !== g))!);
		const at = loose >= 0 && random() < 0.5 ? loose : Math.floor(random() * jointOhm.length);
		const { low95, high95 } = judged[at]!.mOhm;
		return [
			{
				kind: 'interval',
				of: 'joint beyond its like, mΩ',
				stratum,
				low: low95,
				high: high95,
				truth: excess[at]! * 1000,
				scale: 1
			},
			{
				kind: 'defect',
				of: `joint 0.3 mΩ and more too much${stratum ? `, ${stratum}` : ''}`,
				present: Math.max(...excess) > TO_BE_FOUND_OHM,
				called
			}
		];
	}
};

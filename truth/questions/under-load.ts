import { judgeUnderLoad } from '$lib/core/serve/years';
import { median } from '$lib/core/foundation/statistics';
import type { Answer, Question } from '../answer';
import { loadedBattery } from '../loaded-battery';
import { drawMeter } from '../meter';
import { between } from '../world';

/** A check in service while current flows: no reading at rest to hold it against. */
export const underLoad: Question = {
	name: 'under-load',
	ask(world): Answer[] {
		const { random, ratedAh } = world;
		const meter = drawMeter(random, 'restVoltage');
		// In service the groups have drifted further apart than at the build.
		const battery = loadedBattery(world, 0.01, { aged: true });
		const { parallel, jointOhm } = battery;
		const groupAh = ratedAh * parallel;
		const currentA = (random() < 0.8 ? -1 : 1) * between(random, 0.1, 0.5) * groupAh;
		battery.flow(currentA, between(random, 60, 900));
		const groupVoltagesV = battery.groupV(currentA).map(meter.read);
		const subjects = jointOhm.map((_, i) => ({ kind: 'group' as const, id: i, label: `Group ${i + 1}` }));
		const verdicts = judgeUnderLoad(
			{ currentA, groupVoltagesV },
			{ meterSdV: meter.pairSd, groupAh, chemistry: 'LFP' },
			subjects,
			{
				kind: 'battery',
				id: 1,
				label: 'battery'
			}
		);
		const apart = verdicts.filter((v) => v.code === 'load-apart');
		const excess = jointOhm.map((ohm, g) => ohm - median(jointOhm.filter((_, k) => k !== g))!);
		const seesOhm = Math.max(0.0003, 8 / 1000 / Math.abs(currentA));
		const [first] = apart;
		const facts = first?.facts as { group: number; mOhm: { low95: number; high95: number } } | undefined;
		return [
			...(facts
				? [
						{
							kind: 'interval' as const,
							of: 'joint told from a check under load, mΩ',
							low: facts.mOhm.low95,
							high: facts.mOhm.high95,
							truth: excess[facts.group - 1]! * 1000,
							scale: 1
						}
					]
				: []),
			{
				kind: 'defect',
				of: 'joint that drops a check under load by 8 mV and more',
				present: Math.max(...excess) > seesOhm,
				called: apart.length > 0
			}
		];
	}
};

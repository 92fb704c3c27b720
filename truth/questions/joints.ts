import { judgeJoints, jointVerdicts } from '$lib/core/assembly';
import { createCells, refreshCells, stepCell, stepDecay, terminalVoltageV } from '$lib/core/cell-model';
import { median, normalDraw } from '$lib/core/shared';
import type { Answer, Question } from '../answer';
import { drawMeter } from '../meter';
import { between, drawCell, oneOf } from '../world';

/** A sound joint, its bars and its sense point, Ω. */
const SOUND = { mean: 0.00008, sd: 0.00002 };
/** A joint with this much more than its like is one to be found, Ω. */
const TO_BE_FOUND_OHM = 0.0003;
const STEP_S = 5;

/** Resistance of each joint beyond its like, from readings at rest and under a load. */
export const joints: Question = {
	name: 'joints',
	ask(world): Answer[] {
		const { random, nature, ratedAh } = world;
		const groups = oneOf(random, [4, 8, 16]);
		const parallel = oneOf(random, [1, 1, 2, 4]);
		const meter = drawMeter(random, 'restVoltage');
		const loose = random() < 0.5 ? Math.floor(random() * groups) : -1;
		const looseOhm = between(random, 0.0001, 0.001);
		const jointOhm = Array.from(
			{ length: groups },
			(_, g) => Math.max(0.00002, normalDraw(random, SOUND.mean, SOUND.sd)) + (g === loose ? looseOhm : 0)
		);
		const soc = between(random, 0.3, 0.9);
		const specs = Array.from({ length: groups * parallel }, () => ({
			parameters: drawCell(world),
			soc: soc + normalDraw(random, 0, 0.004),
			branch: 0
		}));
		const cells = createCells(specs, between(random, 10, 30), nature);
		const currentA = (random() < 0.8 ? -1 : 1) * between(random, 0.1, 0.8) * ratedAh * parallel;
		const groupV = (amps: number) =>
			jointOhm.map((ohm, g) => {
				// Cells of a group share the current about alike; their mean is the group.
				const own = Array.from({ length: parallel }, (_, p) =>
					terminalVoltageV(cells, g * parallel + p, amps / parallel)
				);
				return own.reduce((a, b) => a + b, 0) / parallel + ohm * amps;
			});
		const restV = groupV(0).map(meter.read);
		const decay = stepDecay(STEP_S);
		const delayS = between(random, 10, 60);
		for (let t = 0; t < delayS; t += STEP_S)
			for (let i = 0; i < specs.length; i++) {
				cells.currentA[i] = currentA / parallel;
				stepCell(cells, i, decay);
			}
		refreshCells(cells);
		const loadV = groupV(currentA).map(meter.read);
		const judged = judgeJoints({ restV, loadV, currentA, parallel, meterSdV: meter.pairSd });
		const called = jointVerdicts({ joints: judged, currentA }).some((v) => v.code === 'joint-loose');
		const excess = jointOhm.map((ohm, g) => ohm - median(jointOhm.filter((_, k) => k !== g))!);
		const at = loose >= 0 && random() < 0.5 ? loose : Math.floor(random() * groups);
		const { low95, high95 } = judged[at]!.mOhm;
		return [
			{
				kind: 'interval',
				of: 'joint beyond its like, mΩ',
				low: low95,
				high: high95,
				truth: excess[at]! * 1000,
				scale: 1
			},
			{ kind: 'defect', of: 'joint 0.3 mΩ and more too much', present: Math.max(...excess) > TO_BE_FOUND_OHM, called }
		];
	}
};

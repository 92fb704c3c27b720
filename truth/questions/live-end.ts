import { createCells, stepCell, stepDecay, terminalVoltageV } from '$lib/core/world/cell-model';
import { remainingS, startLive, takeSample, type LiveSample, type PlannedRun } from '$lib/core/foundation/live-run';
import type { Answer, Question } from '../answer';
import { drawMeter } from '../meter';
import { between, drawCell } from '../world';

const STEP_S = 10;
const EVERY_S = 60;
const CUTOFF_V = 2.5;
/** Some are used cells, which nobody told. */
const USED = 0.2;

const HOLD_S = 1800;

/** Time left of a charge of one cell, from anywhere on: asked at any moment before its current falls. */
export const liveChargeEnd: Question = {
	name: 'time to the end of one cell’s charge',
	ask(world): Answer[] {
		const { random, ratedAh, nature } = world;
		const temperatureC = between(random, 8, 30);
		const parameters = { ...drawCell(world), temperatureC };
		const currentA = between(random, 0.1, 0.4) * ratedAh;
		const leadOhm = between(random, 0, 0.006);
		const run: PlannedRun = {
			phases: [
				{ kind: 'charge', voltageV: 3.65, currentA, tailA: between(random, 0.02, 0.05) * ratedAh, holdS: HOLD_S }
			],
			expectedAh: ratedAh,
			chemistry: 'LFP'
		};
		const meter = drawMeter(random, 'restVoltage');
		const cells = createCells([{ parameters, soc: between(random, 0.1, 0.95) }], temperatureC, nature);
		const decay = stepDecay(STEP_S);
		const samples: LiveSample[] = [];
		let [endS, tailS, fellS]: [number, number | null, number | null] = [0, null, null];
		for (; tailS === null || endS - tailS < HOLD_S; endS += STEP_S) {
			const at = (a: number) => terminalVoltageV(cells, 0, a) + a * leadOhm;
			const slope = (at(currentA) - at(0)) / currentA;
			const flowsA = Math.min(currentA, Math.max(0, (3.65 - at(0)) / slope));
			const [phase] = run.phases;
			if (flowsA < 0.99 * currentA) fellS ??= endS;
			if (phase!.kind === 'charge' && flowsA <= phase!.tailA) tailS ??= endS;
			if (endS % EVERY_S === 0 && fellS === null)
				samples.push({
					atMs: endS * 1000,
					voltageV: meter.read(at(flowsA)),
					currentA: flowsA,
					cellV: null,
					outputOn: true,
					cutOff: false
				});
			cells.currentA[0] = flowsA;
			stepCell(cells, 0, decay);
		}
		if (samples.length < 2) return [];
		const asked = samples[Math.floor(random() * samples.length)]!;
		const state = samples
			.filter((s) => s.atMs <= asked.atMs)
			.reduce(
				(own, s) => takeSample(run, own, s, { heardMs: s.atMs, afterBreak: false, simulated: false }).state,
				startLive()
			);
		const left = remainingS(run, state);
		if (!left) return [];
		return [
			{
				kind: 'interval',
				of: 'time left of a charge of one cell',
				low: left.low,
				high: left.high,
				truth: endS - asked.atMs / 1000,
				scale: endS
			}
		];
	}
};

/** Time left of a discharge that a load with thin leads runs, asked at any moment of its second half, and once near its end. */
export const liveEnd: Question = {
	name: 'time to the end of a discharge',
	ask(world): Answer[] {
		const { random, ratedAh, nature } = world;
		const temperatureC = between(random, 8, 30);
		const used = random() < USED;
		const parameters = {
			...drawCell(world, used ? { capacityAh: ratedAh * between(random, 0.75, 1) } : {}),
			temperatureC
		};
		const currentA = between(random, 0.1, 0.5) * ratedAh;
		const leadsV = currentA * between(random, 0, Math.min(0.004, 0.1 / currentA));
		const meter = drawMeter(random, 'restVoltage');
		const cells = createCells([{ parameters, soc: between(random, 0.96, 1) }], temperatureC, nature);
		const decay = stepDecay(STEP_S);
		cells.currentA[0] = -currentA;
		const samples: LiveSample[] = [];
		let endS = 0;
		for (; ; endS += STEP_S) {
			const trueV = terminalVoltageV(cells, 0, -currentA) - leadsV;
			if (trueV <= CUTOFF_V) break;
			if (endS % EVERY_S === 0)
				samples.push({
					atMs: endS * 1000,
					voltageV: meter.read(trueV),
					currentA: -currentA,
					cellV: null,
					outputOn: true,
					cutOff: false
				});
			stepCell(cells, 0, decay);
		}
		const run: PlannedRun = {
			phases: [{ kind: 'discharge', currentA, cutoffV: CUTOFF_V }],
			expectedAh: ratedAh,
			chemistry: 'LFP'
		};
		const asked = [between(random, 0.5, 1) * endS, endS - between(random, 0, 1800)];
		const answers: Answer[] = [];
		let state = startLive();
		for (const sample of samples) {
			state = takeSample(run, state, sample, { heardMs: sample.atMs, afterBreak: false, simulated: false }).state;
			const isAsked = asked.findIndex((s) => sample.atMs / 1000 >= s);
			if (isAsked < 0) continue;
			asked.splice(isAsked, 1);
			const left = remainingS(run, state);
			if (left)
				answers.push({
					kind: 'interval',
					of: 'time left of a discharge',
					low: left.low,
					high: left.high,
					truth: endS - sample.atMs / 1000,
					scale: endS
				});
		}
		return answers;
	}
};

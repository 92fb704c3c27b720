import { TESTER_GAIN_SD } from '$lib/core/test/verdicts';
import { analyseLog, parseLog } from '$lib/core/test/log';
import { createCells, stepCell, stepDecay, terminalVoltageV } from '$lib/core/world/cell-model';
import { normalDraw, type Random } from '$lib/core/foundation/statistics';
import type { Answer, Question } from '../answer';
import { between, drawCell, oneOf, type TruthWorld } from '../world';

const CUTOFF_V = 2.5;
const STEP_S = 20;
/** Results that are told as a lower bound are refused as a capacity. */
const BOUNDS = ['ends-early', 'starts-not-full', 'gap-not-counted'];
const FAULTS = ['gap', 'paused', 'clock', 'twice', 'unsigned', 'events', 'two-rates'] as const;

type Row = [timeS: number, volts: number, amps: number];

/** A full cell discharged (amps below 0), or an empty one charged to 3.6 V; what a logger that never errs writes. */
function logged({ nature, random }: TruthWorld, cell: ReturnType<typeof drawCell>, amps: number): Row[] {
	const cells = createCells([{ parameters: { ...cell, massKg: 1e6 }, soc: amps < 0 ? 1 : 0.02 }], 25, nature);
	const decay = stepDecay(STEP_S);
	cells.currentA[0] = amps;
	const rows: Row[] = [];
	for (let t = 0; ; t += STEP_S) {
		const volts = terminalVoltageV(cells, 0, amps);
		rows.push([t, volts + normalDraw(random, 0, 0.001), amps]);
		if (amps < 0 ? volts <= CUTOFF_V : volts >= 3.6) return rows;
		stepCell(cells, 0, decay);
	}
}
const later = (rows: readonly Row[], byS: number): Row[] => rows.map(([t, v, a]) => [t + byS, v, a]);

/** A log as it comes out of a drawer. */
function spoiled(random: Random, how: (typeof FAULTS)[number], run: Row[], charge: Row[]): Row[] {
	const endS = run.at(-1)![0];
	const at = between(random, 0.2, 0.7) * endS;
	switch (how) {
		case 'gap':
			return run.filter(([t]) => t < at || t > at + 1200);
		case 'paused':
			// The load had tripped: what is missing had not flowed, and the rest comes later.
			return [
				...run.filter(([t]) => t < at),
				...later(
					run.filter(([t]) => t >= at),
					1200
				)
			];
		case 'clock':
			return run.map(([t, v, a]) => [t > at ? t - 3600 : t, v, a]);
		case 'twice': {
			const first = run.slice(0, Math.floor(run.length * between(random, 0.5, 1)));
			const between1 = later(charge, first.at(-1)![0] + 600);
			return [...first, ...between1, ...later(run, between1.at(-1)![0] + 600)];
		}
		case 'unsigned':
			return [...charge, ...later(run, charge.at(-1)![0] + STEP_S)].map(([t, v, a]) => [t, v, Math.abs(a)]);
		case 'events':
			return run.filter((_, i) => i < 3 || i % 60 === 0 || i > run.length - 8);
		case 'two-rates':
			return run.filter(([t], i) => t < 600 || i % 15 === 0 || t > endS - 60);
	}
}

/** Capacity by a log that was not kept as it should be: mended with its doubt, or told as a bound. */
export const logs: Question = {
	name: 'odd logs',
	ask(world): Answer[] {
		const { random, ratedAh } = world;
		const cell = drawCell(world);
		const dischargeA = between(random, 0.15, 0.5) * ratedAh;
		const run = logged(world, cell, -dischargeA);
		const how = oneOf(random, FAULTS);
		const needsCharge = how === 'twice' || how === 'unsigned';
		const charge = needsCharge ? logged(world, cell, dischargeA) : [];
		const truth = (dischargeA * run.at(-1)![0]) / 3600;
		const gain = 1 + normalDraw(random, 0, TESTER_GAIN_SD);
		const text = [
			'time_s,voltage_V,current_A',
			...spoiled(random, how, run, charge).map(([t, v, a]) => `${t},${v.toFixed(4)},${(a * gain).toFixed(3)}`)
		].join('\n');
		const options = { ratedAh, bridgeGaps: false, cutoffV: CUTOFF_V, chemistry: 'LFP' as const };
		const { capacityAh, doubtAh, faults } = analyseLog(parseLog(text), options).analysis;
		if (faults.some((f) => BOUNDS.includes(f.code))) return [];
		const sd = Math.hypot(TESTER_GAIN_SD * capacityAh, doubtAh);
		return [
			{
				kind: 'interval',
				of: 'capacity by a log',
				stratum: 'a log with faults',
				low: capacityAh - 1.96 * sd,
				high: capacityAh + 1.96 * sd,
				truth,
				scale: ratedAh
			}
		];
	}
};

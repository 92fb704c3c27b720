import { isBalanced } from '$lib/core/balance/is-balanced';
import { judgeCheck } from '$lib/core/serve/years';
import { simulate, type WorldCell } from '$lib/core/world/simulation';
import { normalDraw, type Random } from '$lib/core/foundation/statistics';
import type { Answer, Question } from '../answer';
import { drawMeter } from '../meter';
import { between, drawCell, oneOf, type TruthWorld } from '../world';

/** Apart by no more than this share of a group is balanced. */
const BALANCED = 0.01;

/** How far the groups of a battery are from each other: mostly together, one left behind, or all over. */
function lags(random: Random, groups: number): number[] {
	const kind = oneOf(random, ['together', 'one', 'all'] as const);
	if (kind === 'together') return Array.from({ length: groups }, () => Math.abs(normalDraw(random, 0, 0.002)));
	if (kind === 'all') return Array.from({ length: groups }, () => Math.abs(normalDraw(random, 0, 0.02)));
	const behind = Math.floor(random() * groups);
	return Array.from({ length: groups }, (_, g) =>
		g === behind ? between(random, 0.005, 0.2) : Math.abs(normalDraw(random, 0, 0.002))
	);
}

/** A battery charged to its first full group, and held there until somebody reads it. */
export function chargedBattery(
	world: TruthWorld,
	tailFrom = 0.015,
	tailTo = 0.05
): {
	volts: number[];
	soc: number[];
	capacityAh: number[];
	currentA: number;
} {
	const { random, ratedAh, nature } = world;
	const groups = oneOf(random, [4, 8, 16]);
	const behind = lags(random, groups);
	const cells: WorldCell[] = behind.map((lag, g) => {
		const cell = drawCell(world);
		return { ...cell, id: g, soc: 0.9 - lag, selfDischargePerMonth: 0.02 };
	});
	const rate = between(random, 0.05, 0.3);
	const tail = between(random, tailFrom, tailTo);
	const stopV = between(random, 3.45, 3.65);
	const { cells: recorded, currentA } = simulate({
		world: { chemistry: 'LFP', cells, wiring: { kind: 'series' }, nature, seed: Math.floor(random() * 1e9) },
		steps: [
			// In constant current until the first group is full, then at the tail to the same, as a charger that falls back does.
			{ kind: 'charge', currentA: rate * ratedAh, until: { cellHighV: stopV } },
			{ kind: 'charge', currentA: tail * ratedAh, until: { cellHighV: stopV, durationS: between(random, 300, 5400) } }
		],
		stepS: 20,
		recordEveryS: 600
	});
	const last = currentA.length - 1;
	return {
		volts: behind.map((_, g) => recorded[g]!.voltageV[last]!),
		soc: behind.map((_, g) => recorded[g]!.soc[last]!),
		capacityAh: cells.map((c) => c.capacityAh!),
		currentA: currentA[last]!
	};
}

/** "Is it balanced?" and drift, from voltages read at the end of a charge. */
export const snapshot: Question = {
	name: 'snapshot near full',
	ask(world) {
		const { ratedAh, random } = world;
		const { volts, soc, capacityAh, currentA } = chargedBattery(world);
		const meter = drawMeter(random, 'restVoltage');
		const groupVoltagesV = volts.map((v) => Number(meter.read(v).toFixed(3)));
		const read = { chemistry: 'LFP' as const, groupAh: ratedAh, meterSdV: meter.sd(3.4) };
		const answer = isBalanced({ ...read, groupVoltagesV, currentA });
		// Charge still wanting until each group stands where the fullest does.
		const missing = soc.map((s, g) => (Math.max(...soc) - s) * capacityAh[g]!);
		const apart = Math.max(...missing);
		const limit = BALANCED * ratedAh;
		const answers: Answer[] = [
			{
				kind: 'defect',
				of: 'a group more than 1 % behind, called apart',
				present: apart > limit,
				called: answer.answer === 'apart'
			},
			{
				kind: 'defect',
				of: 'groups within 1 %, called balanced',
				present: apart <= limit,
				called: answer.answer === 'balanced'
			}
		];
		if (answer.apartAh)
			answers.push({
				kind: 'interval',
				of: 'charge between fullest and emptiest group',
				low: answer.apartAh.low95,
				high: answer.apartAh.high95,
				truth: apart,
				scale: ratedAh
			});
		const check = judgeCheck({ context: 'full', currentA, groupVoltagesV }, read);
		const at = Math.floor(random() * volts.length);
		const drift = check.driftAh[at];
		if (drift) {
			const others = missing.filter((_, g) => g !== at);
			const truth = others.reduce((a, b) => a + b, 0) / others.length - missing[at]!;
			answers.push({
				kind: 'interval',
				of: 'drift of a group at the top',
				low: drift.low95,
				high: drift.high95,
				truth,
				scale: ratedAh
			});
		}
		return answers;
	}
};

/** The same asked before the current has fallen to its tail. */
export const stillCharging: Question = {
	name: 'snapshot while current flows',
	ask(world) {
		const { ratedAh, random } = world;
		if (random() < 0.5) return [];
		const { volts, soc, capacityAh, currentA } = chargedBattery(world, 0.08, 0.2);
		const meter = drawMeter(random, 'restVoltage');
		const groupVoltagesV = volts.map((v) => Number(meter.read(v).toFixed(3)));
		const answer = isBalanced({
			chemistry: 'LFP',
			groupAh: ratedAh,
			meterSdV: meter.sd(3.4),
			groupVoltagesV,
			currentA
		});
		const missing = soc.map((s, g) => (Math.max(...soc) - s) * capacityAh[g]!);
		const apart = Math.max(...missing);
		const answers: Answer[] = [
			{
				kind: 'defect',
				of: 'groups more than 1 % apart called balanced while current flows',
				present: false,
				called: apart > BALANCED * ratedAh && answer.answer === 'balanced'
			}
		];
		if (answer.apartAh)
			answers.push({
				kind: 'interval',
				of: 'charge between fullest and emptiest group',
				stratum: 'while current flows',
				low: answer.apartAh.low95,
				high: answer.apartAh.high95,
				truth: apart,
				scale: ratedAh
			});
		return answers;
	}
};

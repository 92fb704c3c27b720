import { mean } from 'd3-array';
import { judgeCheck } from '$lib/core/serve/years';
import { simulate, type WorldCell } from '$lib/core/world/simulation';
import { groupPassings } from '$lib/core/foundation/snapshot';
import { normalDraw } from '$lib/core/foundation/statistics';
import type { Question } from '../answer';
import { between, drawCell, oneOf, type TruthWorld } from '../world';

/** A BMS reads to a millivolt, each channel off by its own. */
const CHANNEL_SD_V = 0.002;

/** Drift at the top by a log of the whole charge: Ah counted between the groups' passings of one voltage. */
export const passings: Question = {
	name: 'passings in a charge log',
	costly: true,
	ask(world) {
		const { random, ratedAh, nature } = world;
		const groups = oneOf(random, [4, 8]);
		const behind = Array.from({ length: groups }, () => Math.abs(normalDraw(random, 0, 0.012)));
		if (random() < 0.3) behind[Math.floor(random() * groups)] = between(random, 0.02, 0.12);
		const cells: WorldCell[] = behind.map((lag, id) => ({
			...drawCell(world),
			id,
			soc: 0.93 - lag,
			selfDischargePerMonth: 0.02
		}));
		const rate = between(random, 0.05, 0.25);
		const stopV = between(random, 3.5, 3.63);
		const every = oneOf(random, [20, 60, 120]);
		const {
			cells: recorded,
			currentA,
			timeS
		} = simulate({
			world: { chemistry: 'LFP', cells, wiring: { kind: 'series' }, nature, seed: Math.floor(random() * 1e9) },
			steps: [
				{ kind: 'charge', currentA: rate * ratedAh, until: { cellHighV: stopV } },
				{ kind: 'charge', currentA: 0.04 * ratedAh, until: { cellHighV: stopV, durationS: between(random, 300, 5400) } }
			],
			stepS: 20,
			recordEveryS: every
		});
		const channel = behind.map(() => normalDraw(random, 0, CHANNEL_SD_V));
		const read = (i: number) => behind.map((_, g) => Number((recorded[g]!.voltageV[i]! + channel[g]!).toFixed(3)));
		const samples = currentA.map((a, i) => ({ atMs: timeS[i]! * 1000, currentA: a, groupsV: read(i) }));
		const last = currentA.length - 1;
		const log = { chemistry: 'LFP' as const, groupAh: ratedAh, meterSdV: CHANNEL_SD_V };
		const found = groupPassings({ ...log, samples });
		const check = { context: 'full' as const, currentA: currentA[last]!, groupVoltagesV: read(last) };
		const { driftAh } = judgeCheck({ ...check, passings: found }, log);
		const soc = cells.map((_, g) => recorded[g]!.soc[last]!);
		const full = Math.max(...soc);
		const missing = cells.map((cell, g) => (full - soc[g]!) * cell.capacityAh!);
		const at = Math.floor(random() * groups);
		const drift = driftAh[at];
		if (!drift || !found) return [];
		const later = aYearOn(cells, behind, channel, world);
		const learnt = judgeCheck(
			{
				context: 'full' as const,
				currentA: later.currentA,
				groupVoltagesV: later.groupVoltagesV,
				anchor: {
					checkedAt: '2025-06-01',
					currentA: check.currentA,
					groupVoltagesV: check.groupVoltagesV,
					passings: found
				}
			},
			log
		).driftAh[at];
		const unaided = judgeCheck(
			{ context: 'full' as const, currentA: later.currentA, groupVoltagesV: later.groupVoltagesV },
			log
		).driftAh[at];
		const intervals = [
			{ of: 'drift of a group a year after its count', drift: learnt, truth: later.driftAh[at]! },
			{ of: 'the same by its voltage alone', drift: unaided, truth: later.driftAh[at]! }
		].flatMap(({ of, drift: own, truth }) =>
			own ? [{ kind: 'interval' as const, of, low: own.low95, high: own.high95, truth, scale: ratedAh }] : []
		);
		return [
			...intervals,
			{
				kind: 'interval',
				of: 'drift of a group with the charge’s log',
				low: drift.low95,
				high: drift.high95,
				truth: mean(missing.filter((_, g) => g !== at))! - missing[at]!,
				scale: ratedAh
			}
		];
	}
};

/** The same battery a year on: its groups have moved, and are read at the end of another charge, by the same channels. */
function aYearOn(
	cells: readonly WorldCell[],
	behind: readonly number[],
	channel: readonly number[],
	{ random, ratedAh, nature }: TruthWorld
): { currentA: number; groupVoltagesV: number[]; driftAh: number[] } {
	const now = cells.map((cell, i) => ({ ...cell, soc: 0.93 - Math.max(0, behind[i]! + normalDraw(random, 0, 0.01)) }));
	const stopV = between(random, 3.5, 3.63);
	const { cells: recorded, currentA } = simulate({
		world: { chemistry: 'LFP', cells: now, wiring: { kind: 'series' }, nature, seed: Math.floor(random() * 1e9) },
		steps: [
			{ kind: 'charge', currentA: between(random, 0.05, 0.25) * ratedAh, until: { cellHighV: stopV } },
			{ kind: 'charge', currentA: 0.04 * ratedAh, until: { cellHighV: stopV, durationS: between(random, 300, 5400) } }
		],
		stepS: 20,
		recordEveryS: 60
	});
	const last = currentA.length - 1;
	const soc = now.map((_, g) => recorded[g]!.soc[last]!);
	const missing = now.map((cell, g) => (Math.max(...soc) - soc[g]!) * cell.capacityAh!);
	return {
		currentA: currentA[last]!,
		groupVoltagesV: now.map((_, g) => Number((recorded[g]!.voltageV[last]! + channel[g]!).toFixed(3))),
		driftAh: missing.map((own, g) => mean(missing.filter((__, k) => k !== g))! - own)
	};
}

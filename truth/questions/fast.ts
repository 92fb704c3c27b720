import { planTopBalance } from '$lib/core/foundation/parallel-charge';
import { followMethod } from '$lib/core/balance/steps';
import type { MethodRun } from '$lib/core/picture';
import { simulate, type WorldCell } from '$lib/core/world/simulation';
import { normalDraw } from '$lib/core/foundation/statistics';
import { WHOLE_BANK } from '$lib/core/foundation/verdicts';
import type { Answer, Question } from '../answer';
import { drawMeter } from '../meter';
import { between, drawCell, oneOf, type TruthWorld } from '../world';

const BEGAN = '2026-01-10T08:00:00.000Z';
const ENDED = '2026-01-10T12:00:00.000Z';
const blank = { version: 1, cellId: null, unit: null, voltageV: null, ah: null, wh: null, asked: null, words: null };

const LINK_OHM = 0.00005;
const LEAD_OHM = 0.005;
const SUPPLY_A = 20;

/** What a supply puts into the cells side by side until its tail, Ah. */
function toFull({ nature, random, ratedAh }: TruthWorld, cells: WorldCell[]): number {
	const bounds = cells.map((_, id) => ({
		id,
		label: String(id),
		capacityAh: ratedAh,
		restVoltageV: null,
		resistanceMohm: null,
		socLow: 0.5,
		socHigh: 1
	}));
	const plan = planTopBalance(bounds, {
		chemistry: 'LFP',
		chargeLimitV: 3.65,
		chargeCRate: 0.5,
		supplyA: SUPPLY_A,
		leadOhm: LEAD_OHM
	});
	const { cells: after } = simulate({
		world: {
			chemistry: 'LFP',
			cells,
			wiring: { kind: 'parallel', linkOhm: LINK_OHM },
			nature,
			seed: Math.floor(random() * 1e9)
		},
		steps: [
			{
				kind: 'charge',
				currentA: plan.setA,
				voltageV: plan.setV,
				leadOhm: LEAD_OHM,
				until: { tailA: plan.tailA, durationS: 3 * plan.durationS.high }
			}
		],
		stepS: 30,
		recordEveryS: 600
	});
	return cells.reduce((sum, c, id) => sum + (after[id]!.soc.at(-1)! - c.soc!) * c.capacityAh!, 0);
}

/** A string charged in series until its first group is full: what all of them still lack, by what was read at that moment. */
export const fast: Question = {
	name: 'fast balance',
	costly: true,
	ask(world): Answer[] {
		const { random, ratedAh, nature } = world;
		const series = oneOf(random, [4, 8, 16]);
		const soc = between(random, 0.4, 0.7);
		const apart = oneOf(random, [0.005, 0.02, 0.05]);
		const cells: WorldCell[] = Array.from({ length: series }, (_, id) => ({
			...drawCell(world),
			id,
			soc: Math.min(0.9, Math.max(0.1, normalDraw(random, soc, apart)))
		}));
		const currentA = ratedAh * between(random, 0.03, 0.3);
		const { cells: recorded } = simulate({
			world: { chemistry: 'LFP', cells, wiring: { kind: 'series' }, nature, seed: Math.floor(random() * 1e9) },
			steps: [{ kind: 'charge', currentA, until: { cellHighV: between(random, 3.58, 3.65) } }],
			stepS: 10,
			recordEveryS: 10
		});
		const meter = drawMeter(random, 'restVoltage');
		const last = recorded[0]!.voltageV.length - 1;
		const volts = cells.map((_, id) => Number(meter.read(recorded[id]!.voltageV[last]!).toFixed(3)));
		const run: MethodRun = {
			id: 1,
			version: 1,
			bankId: 1,
			method: 'fast',
			cells: [],
			setup: { cellSupplyA: SUPPLY_A },
			startedAt: BEGAN,
			endedAt: null,
			entries: [
				{ ...blank, id: 1, step: 'began', doneAt: BEGAN, currentA, volts: null },
				{ ...blank, id: 2, step: 'tripped', doneAt: ENDED, currentA, volts }
			]
		};
		const { verdicts } = followMethod(run, {
			chemistry: 'LFP',
			chargeLimitV: 3.65,
			dischargeLimitV: 2.5,
			series,
			groupAh: ratedAh,
			cellAh: ratedAh,
			meterSdV: meter.sd(3.5),
			resistanceOhm: null,
			subject: WHOLE_BANK
		});
		const told = verdicts.find((v) => v.code === 'fast-tripped');
		if (!told) return [];
		const { low95, high95 } = told.facts.missingAh as { low95: number; high95: number };
		const truth = toFull(
			world,
			cells.map((c, id) => ({ ...c, soc: recorded[id]!.soc[last]! }))
		);
		return [
			{
				kind: 'interval',
				of: 'what a string lacks when its first is full',
				scale: series * ratedAh,
				low: low95,
				high: high95,
				truth
			}
		];
	}
};

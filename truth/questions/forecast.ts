import { forecastInDoubt, forecastRange } from '$lib/core/match/forecast';
import { matchCells } from '$lib/core/match/groups';
import { createCells, terminalVoltageV } from '$lib/core/world/cell-model';
import { simulate, type Balancer, type WorldCell } from '$lib/core/world/simulation';
import { normalDraw } from '$lib/core/foundation/statistics';
import type { Answer, Question } from '../answer';
import { drawMeter } from '../meter';
import { between, drawCell, oneOf, type TruthWorld } from '../world';

const REST_S = 2 * 86400;
const CHARGE_C_RATE = 0.05;
/** What a capacity is told at. */
const DISCHARGE_C_RATE = 0.2;
const STEP_S = 60;
const RECORD_S = 300;

/** Single cells in series, run to an end each way; what came out, Ah, and for how long a balancer moved charge meanwhile, h. */
function ran(
	{ nature, random, ratedAh }: TruthWorld,
	cells: WorldCell[],
	{ balancer, ambientC }: { balancer?: Partial<Balancer>; ambientC?: number } = {}
) {
	const charge = { kind: 'charge', currentA: CHARGE_C_RATE * ratedAh, until: { cellHighV: 3.65 } } as const;
	const discharge = { kind: 'discharge', currentA: DISCHARGE_C_RATE * ratedAh, until: { cellLowV: 2.5 } } as const;
	const result = simulate({
		world: {
			chemistry: 'LFP',
			cells,
			wiring: { kind: 'series' },
			nature,
			balancer,
			ambientC,
			seed: Math.floor(random() * 1e9)
		},
		steps: [charge, discharge],
		stepS: STEP_S,
		recordEveryS: balancer ? RECORD_S : 86_400
	});
	const columns = Object.values(result.cells);
	const works = result.timeS.filter((s, k) => {
		const amps = columns.map((c) => c.currentA[k]!);
		return s > result.steps[0]!.durationS && Math.max(...amps) - Math.min(...amps) > 0.01;
	});
	return { ah: Math.abs(result.steps[1]!.ah), hours: (works.length * RECORD_S) / 3600 };
}

/** What a string will give by its cells' tests and the volts they came with, against strings that are run. */
export const forecast: Question = {
	name: 'forecast',
	costly: true,
	ask(world): Answer[] {
		const { random, ratedAh, nature } = world;
		const series = oneOf(random, [4, 8, 16]);
		const sdAh = ratedAh * between(random, 0.003, 0.015);
		const [level, scatter] = [between(random, 0.15, 0.6), oneOf(random, [0.003, 0.02, 0.05])];
		const alike = random() < 0.5 ? between(random, -1, 1) : null;
		const meter = drawMeter(random, 'restVoltage');
		const made = Array.from({ length: series + Math.floor(3 * random()) }, (_, id) => {
			const [cell, soc] = [drawCell(world), Math.min(0.95, Math.max(0.03, normalDraw(random, level, scatter)))];
			const branch = alike ?? between(random, -1, 1);
			const rested = createCells([{ parameters: cell, soc, branch }], 25, nature);
			const voltageV = Number(meter.read(terminalVoltageV(rested, 0, 0)).toFixed(3));
			return {
				own: { ...cell, id, soc, branch },
				known: {
					id,
					capacityAh: normalDraw(random, cell.capacityAh, sdAh),
					capacitySdAh: sdAh,
					rest: { voltageV, sdV: meter.sd(voltageV), restS: REST_S }
				}
			};
		});
		const known = made.map((c) => c.known);
		const { groups } = matchCells(
			{ series, parallel: 1, cells: known },
			{ timeLimitS: 0.05, clockS: () => performance.now() / 1000 }
		);
		const ids = groups.map((g) => g.cellIds.map(Number));
		const built = ids.map(([id]) => made[id!]!.own);
		const full = built.map((c) => ({ ...c, soc: 0.97, branch: 1 }));
		const activeA = between(random, 0.3, 3);
		const efficiency = between(random, 0.78, 0.92);
		const balanced = ran(world, full, { balancer: { kind: 'active', currentA: activeA, efficiency, startV: 0 } });
		const coldC = between(random, 0, 10);
		const held = full.map((c) => ({ ...c, temperatureC: coldC, massKg: 1e6 }));
		const inTheCold = forecastInDoubt(known, ids, 'top', coldC).usable;
		const truths = { none: ran(world, built).ah, top: ran(world, full).ah, active: balanced.ah };
		return [
			{
				kind: 'interval',
				of: 'what a balanced string gives',
				stratum: 'in the cold',
				scale: ratedAh,
				low: inTheCold.low95,
				high: inTheCold.high95,
				truth: ran(world, held, { ambientC: coldC }).ah
			},
			...(
				[
					['none', 'what a string gives as the cells came', 'none'],
					['top', 'what a balanced string gives', 'top'],
					['active', 'what a string gives with an active balancer', { activeA, hours: balanced.hours }]
				] as const
			).map(([key, of, balance]) => {
				const { low95, high95 } = forecastRange(known, [ids], balance, 'LFP')!.usableAh;
				return { kind: 'interval' as const, of, low: low95, high: high95, truth: truths[key], scale: ratedAh };
			})
		];
	}
};

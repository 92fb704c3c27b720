import { arrivalByCharge } from '$lib/core/balance/charge';
import {
	betweenSupplyAndCells,
	judgeProgress,
	planTopBalance,
	type ChargeReading
} from '$lib/core/foundation/parallel-charge';
import { judgeLight, settledV } from '$lib/core/balance/settled';
import { createCells, terminalVoltageV } from '$lib/core/world/cell-model';
import { socBounds } from '$lib/core/foundation/chemistry';
import { normalDraw } from '$lib/core/foundation/statistics';
import { simulate, type WorldCell } from '$lib/core/world/simulation';
import { WHOLE_BANK } from '$lib/core/foundation/verdicts';
import type { Answer, Question } from '../answer';
import { drawMeter } from '../meter';
import { between, drawCell, oneOf } from '../world';

/** A whole charge and days of rest take a while: some of the worlds are asked. */
const ASKED = 0.35;
const HOUR_S = 3600;
const HOLD_S = 1800;
/** Somebody comes to switch it off a little later. */
const LONGER_S = 1200;
const STEP_S = 30;

/** A charge side by side: when it ends, what the row arrived with, where its cells settle, what a light proves. */
export const parallelCharge: Question = {
	name: 'charge side by side',
	costly: true,
	ask(world): Answer[] {
		const { random, ratedAh, nature } = world;
		if (random() > ASKED) return [];
		const n = oneOf(random, [4, 8, 16]);
		const soc = between(random, 0.1, 0.7);
		const parameters = Array.from({ length: n }, () => drawCell(world));
		const cells = parameters.map((p, id) => ({
			...p,
			id,
			soc: Math.min(0.95, Math.max(0.02, normalDraw(random, soc, 0.02)))
		}));
		const leadOhm = between(random, 0.002, 0.015);
		const setup = {
			chemistry: 'LFP' as const,
			chargeLimitV: 3.65,
			chargeCRate: 0.5,
			supplyA: oneOf(random, [10, 20, 30, 60]),
			leadOhm
		};
		// Read before they were joined, as anybody does: one meter, rested, all come the same way.
		const meter = drawMeter(random, 'restVoltage');
		const branch = between(random, -1, 1);
		const arrived = createCells(
			parameters.map((p, i) => ({ parameters: p, soc: cells[i]!.soc, branch })),
			25,
			nature
		);
		const bounds = cells.map((_, id) => {
			const read = meter.read(terminalVoltageV(arrived, id, 0));
			const { lowFraction, highFraction } = socBounds('LFP', read, meter.sd(read), 2 * 24 * HOUR_S);
			return {
				id,
				label: String(id),
				capacityAh: ratedAh,
				restVoltageV: read,
				resistanceMohm: null,
				socLow: lowFraction,
				socHigh: highFraction
			};
		});
		const plan = planTopBalance(bounds, setup);
		const longestS = 1.5 * plan.durationS.high + 12 * HOUR_S;
		const restH = between(random, 1, 72);
		const {
			currentA,
			voltageV,
			cells: recorded,
			timeS,
			steps
		} = simulate({
			world: {
				chemistry: 'LFP',
				cells,
				wiring: { kind: 'parallel', linkOhm: 0.00005 },
				nature,
				seed: Math.floor(random() * 1e9)
			},
			steps: [
				{
					kind: 'charge',
					currentA: plan.setA,
					voltageV: plan.setV,
					leadOhm,
					until: { tailA: plan.tailA, durationS: longestS }
				},
				{ kind: 'charge', currentA: plan.setA, voltageV: plan.setV, leadOhm, until: { durationS: HOLD_S + LONGER_S } },
				{ kind: 'rest', until: { durationS: restH * HOUR_S } }
			],
			stepS: STEP_S,
			recordEveryS: 60
		});
		// A leak holds the current above the tail: that charge ends by hand.
		if (steps[0]!.endedBy !== 'tail') return [];
		const doneS = steps[0]!.durationS + HOLD_S;
		const offS = doneS + LONGER_S;
		const clamp = 1 + normalDraw(random, 0, 0.01);
		const at = (s: number) =>
			Math.min(
				timeS.length - 1,
				Math.max(
					0,
					timeS.findIndex((t) => t >= s)
				)
			);
		const look = (s: number): ChargeReading => {
			const i = at(s);
			const a = Math.max(0, currentA[i]!) * clamp;
			const cellV = voltageV[i]! - 0;
			return {
				timeS: s,
				supplyA: Number(a.toFixed(1)),
				cellV: Number(meter.read(cellV).toFixed(3)),
				supplyV: Number(
					(Math.min(plan.setV, cellV + currentA[i]! * leadOhm) + normalDraw(random, 0, 0.003)).toFixed(2)
				),
				deliveredAh: null
			};
		};
		const answers: Answer[] = [];
		// Looked at now and then, until some moment before its end.
		const untilS = doneS * between(random, 0.1, 0.97);
		const every = between(random, 0.3, 3) * HOUR_S;
		const looks: ChargeReading[] = [];
		for (let s = 60; s <= untilS; s += every * between(random, 0.5, 1.5)) looks.push(look(s));
		if (looks.length >= 2) {
			const { remainingS } = judgeProgress(looks, plan);
			const left = doneS - looks.at(-1)!.timeS;
			if (remainingS)
				answers.push({
					kind: 'interval',
					of: 'time to the end of a charge',
					scale: doneS,
					truth: left,
					low: remainingS.low,
					high: remainingS.high
				});
		}
		// Looked at every ten minutes of the last two hours until its end, or until some moment before: full or not, and whether it is called done.
		const endS = random() < 0.5 ? offS - 60 : Math.max(900, doneS * between(random, 0.6, 0.99));
		const whole = Array.from({ length: 12 }, (_, k) => endS - (11 - k) * 600).filter((s) => s > 60);
		const calledDone = judgeProgress(whole.map(look), plan).done;
		const socsThen = cells.map((_, id) => recorded[id]!.soc[at(endS)]!);
		answers.push({
			kind: 'defect',
			of: 'a row not full yet, not called done',
			present: Math.min(...socsThen) < 0.98,
			called: !calledDone
		});
		// The same charge, by a supply that was set by its own wrong display.
		const wrongV = between(random, -0.1, 0.1);
		const shown = whole.map((s) => look(s)).map((l) => ({ ...l, supplyV: l.supplyV! + wrongV }));
		const seen = betweenSupplyAndCells(shown);
		if (seen)
			answers.push({
				kind: 'interval',
				of: 'what a supply shows too much',
				scale: 0.1,
				truth: wrongV,
				low: seen.displayV.low95,
				high: seen.displayV.high95
			});
		const totalAh = n * ratedAh;
		const inside = cells.reduce((sum, c, id) => sum + (recorded[id]!.soc[at(offS)]! - c.soc!) * c.capacityAh!, 0);
		const delivered = inside * (1 + normalDraw(random, 0, 0.015));
		const trueShare =
			cells.reduce((sum, c) => sum + c.soc! * c.capacityAh!, 0) / cells.reduce((sum, c) => sum + c.capacityAh!, 0);
		const share = arrivalByCharge(delivered, totalAh, false);
		answers.push({
			kind: 'interval',
			of: 'charge on arrival by what went in',
			scale: 1,
			truth: trueShare,
			low: share.low95,
			high: share.high95
		});
		const own = Math.floor(random() * n);
		const readAt = offS + between(random, 1, restH) * HOUR_S;
		const expected = settledV('LFP', (readAt - offS) / HOUR_S, { setV: plan.setV, cRate: plan.tailA / plan.totalAh });
		answers.push({
			kind: 'interval',
			of: 'volts a full cell settles at',
			scale: 0.1,
			truth: recorded[own]!.voltageV[at(readAt)]!,
			low: expected.low95,
			high: expected.high95
		});
		const stopS = doneS * between(random, 0.7, 1);
		answers.push(...light({ ...world, n, cells, stopS, plan, meterSd: meter.sd(3.3), read: (v) => meter.read(v) }));
		return answers;
	}
};

interface Stopped {
	nature: Parameters<typeof simulate>[0]['world']['nature'];
	random: () => number;
	ratedAh: number;
	n: number;
	cells: WorldCell[];
	stopS: number;
	plan: ReturnType<typeof planTopBalance>;
	meterSd: number;
	read: (v: number) => number;
}

/** A charger stops at some moment, full or not; the row is read a day later. */
function light({ nature, random, ratedAh, n, cells, stopS, plan, meterSd, read }: Stopped): Answer[] {
	const { cells: after } = simulate({
		world: { chemistry: 'LFP', cells, wiring: { kind: 'parallel', linkOhm: 0.00005 }, nature, seed: 5 },
		steps: [
			{ kind: 'charge', currentA: plan.setA, voltageV: plan.setV, leadOhm: 0.005, until: { durationS: stopS } },
			{ kind: 'rest', until: { durationS: 24 * HOUR_S } }
		],
		stepS: 60,
		recordEveryS: 24 * HOUR_S
	});
	const iso = (s: number) => new Date(Date.UTC(2026, 0, 1) + 1000 * s).toISOString();
	const last = after[0]!.voltageV.length - 1;
	const readV = read(after[Math.floor(random() * n)]!.voltageV[last]!);
	const verdict = judgeLight(
		[
			{ readAt: iso(0), supplyA: 0, cellV: null, stopped: true },
			{ readAt: iso(24 * HOUR_S), supplyA: 0, cellV: readV, stopped: null }
		],
		{ chemistry: 'LFP', setV: plan.setV, totalAh: n * ratedAh, meterSdV: meterSd },
		WHOLE_BANK
	)!;
	const { low95, high95 } = verdict.facts.missingAh as { low95: number; high95: number };
	const missing = cells.reduce((sum, c, id) => sum + Math.max(0, 1 - after[id]!.soc[last]!) * c.capacityAh!, 0);
	return [
		{
			kind: 'interval',
			of: 'missing a day after a light',
			scale: n * ratedAh,
			truth: missing,
			low: low95,
			high: high95
		}
	];
}

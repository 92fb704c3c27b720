import { simulate } from '$lib/core/world/simulation';
import { normalDraw } from '$lib/core/foundation/statistics';
import { leakageByReadings, leakageByRefill } from '$lib/core/receive/storage';
import type { Answer, Question } from '../answer';
import { drawMeter } from '../meter';
import { between, drawCell, oneOf } from '../world';

/** Months of rest take a while: some of the worlds are asked. */
const ASKED = 0.4;
const DAY_S = 86_400;
const MONTH_DAYS = 30.4375;
const BEGAN_MS = Date.UTC(2026, 0, 10);

/** A cell left alone: how much charge it loses by itself, by its rest voltages or by a refill. */
export const leakage: Question = {
	name: 'self-discharge',
	costly: true,
	ask(world): Answer[] {
		const { random, ratedAh, nature } = world;
		if (random() > ASKED) return [];
		const percent = Math.exp(between(random, Math.log(0.4), Math.log(12)));
		const soc = oneOf(random, [between(random, 0.06, 0.3), between(random, 0.3, 0.95)]);
		const days = between(random, 20, 180);
		const readAt = [0, ...(random() < 0.5 ? [between(random, 0.3, 0.7)] : []), 1].map((share) => share * days);
		const cell = { ...drawCell(world), id: 1, soc, selfDischargePerMonth: percent / 100 / nature.selfDischarge };
		const meter = drawMeter(random, 'restVoltage');
		const { cells: recorded } = simulate({
			world: { chemistry: 'LFP', cells: [cell], wiring: { kind: 'loose' }, nature, seed: Math.floor(random() * 1e9) },
			steps: [{ kind: 'rest', until: { durationS: days * DAY_S } }],
			stepS: 1800,
			recordEveryS: 1800
		});
		const volts = recorded[1]!.voltageV;
		const socs = recorded[1]!.soc;
		const at = (list: readonly number[], day: number) => list[Math.round((day / days) * (list.length - 1))]!;
		const readings = readAt.map((day) => {
			const voltageV = Number(meter.read(at(volts, day)).toFixed(3));
			return { at: new Date(BEGAN_MS + day * DAY_S * 1000).toISOString(), restVoltageV: voltageV, sdV: meter.sd(3.3) };
		});
		const lost = (100 * (socs[0]! - socs.at(-1)!) * MONTH_DAYS) / days;
		const answers: Answer[] = [];
		const byVolts = leakageByReadings('LFP', readings).percentPerMonth;
		if (byVolts)
			answers.push({
				kind: 'interval',
				of: 'self-discharge by rest voltages',
				scale: 10,
				truth: lost,
				low: byVolts.low95,
				high: byVolts.high95
			});
		const sdAh = 0.001 * ratedAh;
		// Charging is not quite free, and two ends of charge are not the same.
		const tooMuchAh = normalDraw(random, between(random, 0, 0.003), 0.001) * ratedAh;
		const ah = (lost / 100) * (days / MONTH_DAYS) * ratedAh + tooMuchAh + normalDraw(random, 0, sdAh);
		const byRefill = leakageByRefill(ratedAh, { ah, sdAh, days }).percentPerMonth!;
		answers.push({
			kind: 'interval',
			of: 'self-discharge by a refill',
			scale: 10,
			truth: lost,
			low: byRefill.low95,
			high: byRefill.high95
		});
		return answers;
	}
};

import { createCells, stepCell, stepDecay, terminalVoltageV } from '$lib/core/world/cell-model';
import { normalDraw } from '$lib/core/foundation/statistics';
import { WHOLE_BANK } from '$lib/core/foundation/verdicts';
import { combineWitnesses, type Witness } from '$lib/core/test/witnesses';
import type { Question } from '../answer';
import { between, drawCell, oneOf } from '../world';

const STEP_S = 60;
const INVERTER = { low: 0.86, high: 0.94 };

/** A counter, a clock, a meter behind an inverter: what they say together of one discharge; slow in a room, or fast in the cold. */
export const witnesses: Question = {
	name: 'witnesses',
	ask(world) {
		const { random, ratedAh, nature } = world;
		const cold = random() < 0.5;
		const temperatureC = cold ? between(random, 0, 10) : between(random, 15, 30);
		const cRate = cold ? between(random, 0.3, 0.8) : between(random, 0.05, 0.25);
		const amps = cRate * ratedAh;
		const cells = createCells(
			[{ parameters: { ...drawCell(world), temperatureC, massKg: 1e6 }, soc: 1 }],
			temperatureC,
			nature
		);
		const decay = stepDecay(STEP_S);
		let [ah, wh, hours] = [0, 0, 0];
		for (;;) {
			const voltageV = terminalVoltageV(cells, 0, -amps);
			if (voltageV <= 2.5) break;
			cells.currentA[0] = -amps;
			stepCell(cells, 0, decay);
			ah += (amps * STEP_S) / 3600;
			wh += (voltageV * amps * STEP_S) / 3600;
			hours += STEP_S / 3600;
		}
		const off = (sd: number) => Math.exp(normalDraw(random, 0, sd));
		const all: Witness[] = [
			{ kind: 'ah', ah: ah * off(0.01) },
			{ kind: 'wh', wh: wh * off(0.01) },
			{ kind: 'hours-amps', hours, amps: amps * off(0.02) },
			{ kind: 'watts-hours', watts: (wh / hours) * off(0.03), hours },
			{ kind: 'kwh-out', kwh: (wh / 1000) * between(random, INVERTER.low, INVERTER.high) * off(0.01) }
		];
		// Two or three of them, Wh among them: where the mean volts matter.
		const energy = oneOf(random, [1, 3, 4]);
		const charge = oneOf(random, [0, 2]);
		const items = [energy, charge, oneOf(random, [1, 3, 4])]
			.filter((at, i, picked) => picked.indexOf(at) === i)
			.map((at) => all[at]!);
		const told = random() < 0.5;
		const found = combineWitnesses('LFP', items, ratedAh, WHOLE_BANK, { temperatureC: told ? temperatureC : null });
		const { low95, high95 } = found.ah!;
		return [
			{
				kind: 'interval',
				of: 'charge by witnesses',
				stratum: cold ? 'fast in the cold' : undefined,
				low: low95,
				high: high95,
				truth: ah,
				scale: ratedAh
			}
		];
	}
};

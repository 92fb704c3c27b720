import { createCells, stepCell, stepDecay, terminalVoltageV } from '$lib/core/world/cell-model';
import { fitNotes, type SpotNote } from '$lib/core/test/run-notes';
import { normalDraw } from '$lib/core/foundation/statistics';
import type { Answer, Question } from '../answer';
import { between, drawCell, oneOf } from '../world';

/** A fit takes a third of a second: some of the worlds are asked. */
const ASKED = 0.35;
const STEP_S = 20;
/** A figure read off a display somewhere between two of its updates, V. */
const READ_SD_V = 0.002;
/** One note in four runs has a slipped figure, so far off at least, V. */
const SLIP_V = [0.04, 0.3] as const;

/** A few lines copied at odd hours from the display of a discharge that goes on: what it will give, and when it ends. */
export const notes: Question = {
	name: 'capacity from spot notes',
	costly: true,
	ask(world): Answer[] {
		const { random, ratedAh, nature } = world;
		if (random() > ASKED) return [];
		// One in five is a used cell, of which nobody has said so.
		const used = random() < 0.2;
		const cell = drawCell(world, used ? { capacityAh: ratedAh * between(random, 0.55, 0.95) } : {});
		const temperatureC = between(random, 5, 30);
		const byPower = random() < 0.4;
		const calledA = between(random, 0.05, 0.4) * ratedAh;
		const really = 1 + normalDraw(random, 0, 0.008);
		const cutoffV = oneOf(random, [2.5, 2.8, 3.0]);
		const cells = createCells(
			[{ parameters: { ...cell, temperatureC, massKg: 1e6 }, soc: between(random, 1, 1.007) }],
			temperatureC,
			nature
		);
		const decay = stepDecay(STEP_S);
		const powerW = calledA * 3.2;
		const track: { timeS: number; ah: number; voltageV: number }[] = [];
		let ah = 0;
		let amps = calledA * really;
		for (let n = 0; ; n++) {
			const voltageV = terminalVoltageV(cells, 0, -amps);
			if (byPower) amps = (powerW * really) / voltageV;
			track.push({ timeS: n * STEP_S, ah, voltageV });
			if (voltageV <= cutoffV) break;
			cells.currentA[0] = -amps;
			stepCell(cells, 0, decay);
			ah += (amps * STEP_S) / 3600;
		}
		const end = track.at(-1)!;
		const seenUntil = between(random, 0.35, 0.99);
		const has = oneOf(random, ['time', 'ah', 'both'] as const);
		const count = oneOf(random, [3, 4, 6, 9]);
		const early = random() < 0.3;
		const ahGain = 1 + normalDraw(random, 0, 0.001);
		const lines = Array.from({ length: count }, (_, i): SpotNote => {
			const share = (seenUntil * (i + between(random, 0.2, 1))) / count;
			const at = track[i === 0 && early ? 0 : Math.max(1, Math.round(share * (track.length - 1)))]!;
			return {
				timeS: has === 'ah' ? null : at.timeS,
				ah: has === 'time' ? null : Number((at.ah * ahGain).toFixed(1)),
				voltageV: Number((at.voltageV + normalDraw(random, 0, READ_SD_V)).toFixed(2 + Math.round(random())))
			};
		});
		const slipped = count >= 4 && random() < 0.25 ? Math.floor(random() * count) : null;
		if (slipped !== null) {
			const line = lines[slipped]!;
			line.voltageV = line.voltageV! + (random() < 0.5 ? -1 : 1) * between(random, ...SLIP_V);
		}
		const stratum = slipped !== null ? 'a slipped figure' : used ? 'a used cell' : undefined;
		const fit = fitNotes({
			chemistry: 'LFP',
			ratedAh,
			cutoffV,
			notes: lines,
			load: byPower ? { powerW } : { currentA: calledA }
		});
		return [
			{
				kind: 'interval',
				of: 'capacity by spot notes',
				stratum,
				scale: ratedAh,
				truth: end.ah,
				low: fit.capacityAh.low95,
				high: fit.capacityAh.high95
			},
			{
				kind: 'interval',
				of: 'time to the end by spot notes',
				stratum,
				scale: end.timeS,
				truth: end.timeS,
				low: fit.finishS.low95,
				high: fit.finishS.high95
			},
			{
				kind: 'interval',
				of: 'look again before a twentieth is left (a bound)',
				stratum,
				scale: end.timeS,
				low: fit.lookAgainS,
				high: Infinity,
				truth: Math.max(0.95 * end.timeS, lines.at(-1)!.timeS ?? 0)
			},
			{
				kind: 'defect',
				of: 'a note with a slipped figure, named',
				present: slipped !== null,
				called: slipped !== null ? fit.oddNote === slipped : fit.oddNote !== null
			}
		];
	}
};

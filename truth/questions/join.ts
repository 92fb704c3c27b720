import { checkJoin, checkJoining, firstCurrents } from '$lib/core/balance';
import { acResistanceMohm, circuitConstants, createCells, terminalVoltageV } from '$lib/core/cell-model';
import { WHOLE_BANK, type Measured } from '$lib/core/verdicts';
import { normalDraw } from '$lib/core/shared';
import type { Answer, Question } from '../answer';
import { drawMeter } from '../meter';
import { between, drawCell } from '../world';

const CELLS = 4;

/** The current in the first moment when cells at unlike charge are joined. */
export const join: Question = {
	name: 'joining',
	ask(world): Answer[] {
		const { random, nature } = world;
		const volts = drawMeter(random, 'restVoltage');
		const ohms = drawMeter(random, 'acResistance');
		const linkOhm = between(random, 0.0001, 0.0004);
		const cells = Array.from({ length: CELLS }, (_, i) => {
			const cell = drawCell(world);
			const state = createCells(
				[{ parameters: cell, soc: between(random, 0.05, 0.98), branch: between(random, -1, 1) }],
				25,
				nature
			);
			const v = terminalVoltageV(state, 0, 0);
			const { r0Ohm } = circuitConstants(cell, 25, nature);
			const ac = acResistanceMohm({ ...cell, resistanceFactor: cell.resistanceFactor * nature.resistance }, 25);
			return {
				v,
				r0Ohm,
				known: {
					id: i,
					label: `C-${i}`,
					capacityAh: cell.capacityAh,
					restVoltageV: volts.read(v),
					resistanceMohm: ohms.read(ac)
				}
			};
		});
		// The odd one meets the others, which stand together.
		const peaks = cells.map(({ v, r0Ohm }, i) => {
			const others = cells.filter((_, k) => k !== i);
			const siemens = others.reduce((s, c) => s + 1 / c.r0Ohm, 0);
			const othersV = others.reduce((s, c) => s + c.v / c.r0Ohm, 0) / siemens;
			return Math.abs(v - othersV) / (r0Ohm + 1 / siemens + linkOhm);
		});
		const truth = Math.max(...peaks);
		const { verdict, limitA } = checkJoin(cells.map(({ known }) => ({ ...known, socLow: 0, socHigh: 1 })));
		const together = Math.max(
			...firstCurrents(
				cells.map((c) => c.v),
				cells.map((c) => c.r0Ohm + linkOhm)
			).map(Math.abs)
		);
		const isRead = random() < 0.5;
		const joined = checkJoining(
			{
				...{ chemistry: 'LFP', linkOhm },
				items: cells.map(({ known, r0Ohm }) => ({
					...{ id: known.id, restVoltageV: known.restVoltageV, capacityAh: known.capacityAh },
					sdV: volts.sd(known.restVoltageV),
					// Somebody’s own measurement of it, good to a tenth.
					resistanceOhm: isRead ? r0Ohm * Math.exp(normalDraw(random, 0, 0.1)) : null
				}))
			},
			WHOLE_BANK
		).peakA!;
		const { value, sd } = verdict.facts.peakA as Measured;
		return [
			{
				...{ kind: 'interval', of: 'largest current when all are joined at once', scale: limitA },
				...{ low: joined.low95, high: joined.high95, truth: together }
			},
			{
				kind: 'interval',
				of: 'peak current at joining',
				low: value - 1.96 * sd,
				high: value + 1.96 * sd,
				truth,
				scale: limitA
			},
			{
				kind: 'defect',
				of: 'joining above half a C, refused',
				present: truth > limitA,
				called: verdict.code === 'join-refused'
			}
		];
	}
};

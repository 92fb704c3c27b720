import { checkJoin, checkJoining, firstCurrents } from '$lib/core/balance/joining';
import { acResistanceMohm, circuitConstants, createCells, terminalVoltageV } from '$lib/core/world/cell-model';
import { normalDraw, type Interval } from '$lib/core/foundation/statistics';
import { WHOLE_BANK } from '$lib/core/foundation/verdicts';
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
				chemistry: 'LFP',
				linkOhm,
				items: cells.map(({ known, r0Ohm }) => ({
					id: known.id,
					restVoltageV: known.restVoltageV,
					capacityAh: known.capacityAh,
					sdV: volts.sd(known.restVoltageV),
					// Somebody’s own measurement of it, good to a tenth.
					resistanceOhm: isRead ? r0Ohm * Math.exp(normalDraw(random, 0, 0.1)) : null
				}))
			},
			WHOLE_BANK
		).peakA!;
		const { low95, high95 } = verdict.facts.withinA as unknown as Interval;
		return [
			{
				kind: 'interval',
				of: 'largest current when all are joined at once',
				scale: limitA,
				low: joined.low95,
				high: joined.high95,
				truth: together
			},
			{
				kind: 'interval',
				of: 'peak current at joining',
				low: low95,
				high: high95,
				truth: together,
				scale: limitA
			},
			{
				kind: 'defect',
				of: 'joining above half a C, refused',
				present: together > limitA,
				called: verdict.code === 'join-refused'
			}
		];
	}
};

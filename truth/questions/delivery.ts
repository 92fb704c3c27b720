import { acResistanceMohm, createCells, terminalVoltageV } from '$lib/core/world/cell-model';
import { judgeDelivery } from '$lib/core/receive/arrival';
import { normalDraw } from '$lib/core/foundation/statistics';
import { cellsOf } from '$lib/core/foundation/verdicts';
import type { Answer, Question } from '../answer';
import { drawMeter } from '../meter';
import { between, drawCell, oneOf } from '../world';

const CELLS = 16;
const REST_S = 2 * 86400;
const HIDDEN = ['nothing', 'resistance', 'charge'] as const;

/** A crate with nothing hidden, or with one cell of high resistance or another charge. */
export const delivery: Question = {
	name: 'delivery',
	ask(world): Answer[] {
		const { random, nature } = world;
		const hidden = oneOf(random, HIDDEN);
		const odd = Math.floor(random() * CELLS);
		const usualSoc = between(random, 0.2, 0.5);
		const volts = drawMeter(random, 'restVoltage');
		const ohms = drawMeter(random, 'acResistance');
		const branch = between(random, -1, 1);
		const arrived = Array.from({ length: CELLS }, (_, i) => {
			const cell = drawCell(world);
			if (hidden === 'resistance' && i === odd) cell.resistanceFactor *= between(random, 1.3, 2);
			const lost = hidden === 'charge' && i === odd ? usualSoc * between(random, 0.5, 0.9) : 0;
			const soc = usualSoc - lost + normalDraw(random, 0, 0.006);
			const cells = createCells([{ parameters: cell, soc, branch }], 25, nature);
			const restVoltageV = volts.read(terminalVoltageV(cells, 0, 0));
			const acOhm = ohms.read(
				acResistanceMohm({ ...cell, resistanceFactor: cell.resistanceFactor * nature.resistance }, 25)
			);
			return {
				id: i + 1,
				label: `C-${i + 1}`,
				restVoltageV,
				acResistanceMohm: acOhm,
				restVoltageSdV: volts.sd(restVoltageV),
				acResistanceSdMohm: ohms.sd(acOhm)
			};
		});
		const { verdicts } = judgeDelivery(arrived, { chemistry: 'LFP', restS: REST_S, ratedResistanceMohm: null });
		const called = (code: string, id: number | null) =>
			verdicts.some((v) => v.code === code && (id === null || cellsOf(v).includes(id)));
		const found = (code: string, kind: (typeof HIDDEN)[number]) =>
			hidden === kind ? called(code, odd + 1) : called(code, null);
		return [
			{
				kind: 'defect',
				of: 'a cell of 1.3 to 2 × the resistance',
				present: hidden === 'resistance',
				called: found('resistance-outlier', 'resistance')
			},
			{
				kind: 'defect',
				of: 'a cell with half its charge lost or more',
				present: hidden === 'charge',
				called: found('voltage-outlier', 'charge') || called('deep-discharged', null)
			}
		];
	}
};

import { restVoltageCurve, type Chemistry } from '../chemistry';
import { simulate } from '../simulation';
import { firstCurrents } from './join-check';

export interface JoinedItem {
	restVoltageV: number;
	capacityAh: number;
	/** Of the whole item, Ω. */
	resistanceOhm: number;
	cellsInSeries: number;
}

/** Moments after the last link went on at which the current is told, s. */
const AT_S = [0, 60, 600, 3600, 21_600, 86_400];
const USUAL_OHM_AH = 0.05;
const STEP_S = 20;

/**
 * How the largest current through one of several items falls once they are joined, A: by the model of the cell (surface, curve, hysteresis),
 * likeliest figures only. The first is of the first instant.
 * @returns in time order; empty where a voltage is none such an item can have
 * @throws CoreError as `simulate`
 */
export function currentsAfterJoining(
	chemistry: Chemistry,
	items: readonly JoinedItem[],
	linkOhm: number
): { atS: number; largestA: number }[] {
	if (items.length < 2 || items.some((i) => !(i.restVoltageV > 0))) return [];
	const curve = restVoltageCurve(chemistry);
	const cells = items.map((item, id) => ({
		...{ id, capacityAh: item.capacityAh },
		soc: Math.min(1, Math.max(0, curve.xOf(item.restVoltageV / item.cellsInSeries))),
		resistanceFactor: item.resistanceOhm / item.cellsInSeries / (USUAL_OHM_AH / item.capacityAh)
	}));
	const most = Math.max(...items.map((i) => i.cellsInSeries));
	const { cells: recorded } = simulate({
		world: { chemistry, cells, wiring: { kind: 'parallel', linkOhm: linkOhm / most }, seed: 1 },
		steps: [{ kind: 'rest', until: { durationS: AT_S.at(-1)! } }],
		...{ stepS: STEP_S, recordEveryS: STEP_S }
	});
	const at = (id: number, atS: number) => {
		const { currentA } = recorded[id]!;
		return Math.abs(currentA[Math.min(currentA.length - 1, Math.round(atS / STEP_S))]!);
	};
	const first = Math.max(
		...firstCurrents(
			items.map((i) => i.restVoltageV),
			items.map((i) => i.resistanceOhm + linkOhm)
		).map(Math.abs)
	);
	return AT_S.map((atS) => ({
		atS,
		largestA: atS === 0 ? first : Math.max(...items.map((_, id) => at(id, atS)))
	}));
}

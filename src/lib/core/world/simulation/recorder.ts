import { terminalVoltageV, type Cells } from '../cell-model';
import type { Flow } from './drive';

/** Columns of a simulation, all of the length of `timeS`. */
export interface Recording {
	timeS: number[];
	/** A into the battery. */
	currentA: number[];
	/** At the battery's terminals, V; null where cells are loose. */
	voltageV: (number | null)[];
	cells: Record<string, { voltageV: number[]; soc: number[]; currentA: number[]; temperatureC: number[] }>;
}

/** Nearness at which two moments are one, s. */
const SAME_MOMENT_S = 1e-9;

/** Records at every `everyS` and at the moments it is told to. */
export function recorder(cells: Cells, ids: readonly string[], everyS: number) {
	const result: Recording = {
		timeS: [],
		currentA: [],
		voltageV: [],
		cells: Object.fromEntries(ids.map((id) => [id, { voltageV: [], soc: [], currentA: [], temperatureC: [] }]))
	};
	let count = 0;
	const next = () => count * everyS;
	return {
		result,
		/** The next moment it wants to record, s. */
		next,
		at(timeS: number, flow: Flow | null, must: boolean): void {
			const due = timeS >= next() - SAME_MOMENT_S;
			if (due) count = Math.floor((timeS + SAME_MOMENT_S) / everyS) + 1;
			const already = result.timeS.length > 0 && timeS - result.timeS[result.timeS.length - 1]! < SAME_MOMENT_S;
			if ((!due && !must) || already) return;
			result.timeS.push(timeS);
			result.currentA.push(flow?.currentA ?? 0);
			result.voltageV.push(flow?.voltageV ?? null);
			ids.forEach((id, i) => {
				const column = result.cells[id];
				column!.voltageV.push(terminalVoltageV(cells, i, cells.currentA[i]!));
				column!.soc.push(cells.soc[i]!);
				column!.currentA.push(cells.currentA[i]!);
				column!.temperatureC.push(cells.temperatureC[i]!);
			});
		}
	};
}

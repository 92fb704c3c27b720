import { CHEMISTRY_FIGURES, mostOfOneCellV, restVoltageCurve, type Chemistry } from '../chemistry';

/** What a row of voltages can be readings of. */
export type Read =
	| { kind: 'groups' }
	/** Each from the battery's negative: the differences are the groups. */
	| { kind: 'cumulative'; differencesV: number[] }
	/** Each over so many cells in series: whole units. */
	| { kind: 'units'; cells: number }
	/** Groups as a BMS sees them whose balance leads (from 1, at the first group's plus) stand in each other's place. */
	| { kind: 'exchanged'; leads: number[] }
	/** One that no such group can have; `index` from 0. `meantV`: what it would be with its decimal point elsewhere. */
	| { kind: 'impossible'; index: number; volts: number; mostV: number; meantV: number | null };

/** Cells in series of a sealed unit or a module, at most. */
const MAX_CELLS = 24;
/** A unit's voltages fit so many cells when a cell of it lies in what such a cell shows in use: this far beyond the curve's ends, V. */
const MARGIN_V = 0.1;

/**
 * What voltages that were typed or sent as those of groups can be, before anything is made of them: groups, cumulative readings
 * along a string, whole units, or one that cannot be.
 * @param voltsOfReading V as read; null where nothing was
 * @param cellsPerReading cells in series each reading is over, as it was said
 */
export function whatWasRead(
	voltsOfReading: readonly (number | null)[],
	chemistry: Chemistry,
	cellsPerReading = 1
): Read {
	const read = voltsOfReading.flatMap((v, index) => (v === null ? [] : [{ index, volts: v / cellsPerReading }]));
	const mostV = mostOfOneCellV(chemistry);
	const odd = read.find(({ volts }) => volts > mostV || volts < 0);
	if (!odd) return { kind: 'groups' };
	if (cellsPerReading === 1 && read.length > 1) {
		const volts = read.map((r) => r.volts);
		const differencesV = staircase(volts, mostV);
		if (differencesV) return { kind: 'cumulative', differencesV };
		const leads = exchangedLeads(volts, mostV);
		if (leads) return { kind: 'exchanged', leads };
		const cells = unitCells(volts, chemistry);
		if (cells !== null) return { kind: 'units', cells };
	}
	const volts = odd.volts * cellsPerReading;
	return {
		kind: 'impossible',
		index: odd.index,
		volts,
		mostV: mostV * cellsPerReading,
		meantV: meant(odd.volts, chemistry)
	};
}

/** Least step of a staircase, V: a cell that is far down. */
const MIN_STEP_V = 1;

/** The steps of readings that rise (or fall) by about a cell each, from 0 or from the first cell; null where they do not. */
function staircase(volts: readonly number[], mostV: number): number[] | null {
	if (volts.length < 2) return null;
	const rising = volts[1]! > volts[0]! ? [...volts] : [...volts].reverse();
	const steps = rising.slice(1).map((v, i) => v - rising[i]!);
	if (!steps.every((step) => step >= MIN_STEP_V && step <= mostV)) return null;
	const first = rising[0]!;
	if (Math.abs(first) < MIN_STEP_V) return steps;
	return first <= mostV && first >= MIN_STEP_V ? [first, ...steps] : null;
}

/** The two leads whose exchange makes every group one that can be; null where no exchange does. */
function exchangedLeads(volts: readonly number[], mostV: number): number[] | null {
	let node = 0;
	const nodes = volts.map((v) => (node += v));
	const inOrder = [...nodes].sort((a, b) => a - b);
	if (!staircase(inOrder, mostV) || inOrder[0]! < MIN_STEP_V) return null;
	const moved = nodes.flatMap((n, i) => (n === inOrder[i] ? [] : [i + 1]));
	return moved.length === 2 ? moved : null;
}

/** Cells in series that would make every reading one of such a unit, nearest to the nominal voltage; null where none do. */
function unitCells(volts: readonly number[], chemistry: Chemistry): number | null {
	const { nominalV, chargeLimitV, dischargeLimitV } = CHEMISTRY_FIGURES[chemistry];
	const [least, most] = [Math.min(...volts), Math.max(...volts)];
	let best: number | null = null;
	for (let cells = 2; cells <= MAX_CELLS; cells++) {
		if (least / cells < dischargeLimitV - MARGIN_V || most / cells > chargeLimitV + MARGIN_V) continue;
		const off = (n: number) => Math.abs((least + most) / 2 / n - nominalV);
		if (best === null || off(cells) < off(best)) best = cells;
	}
	return best;
}

/** A slipped decimal point, where moving it by one or three places gives what such a cell shows. */
function meant(volts: number, chemistry: Chemistry): number | null {
	const curve = restVoltageCurve(chemistry);
	const fits = (v: number) => v > curve.at(0) - MARGIN_V && v < CHEMISTRY_FIGURES[chemistry].chargeLimitV + MARGIN_V;
	return [10, 1000, 100].map((by) => Math.abs(volts) / by).find(fits) ?? null;
}

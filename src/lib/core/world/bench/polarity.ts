import { CoreError } from '../../foundation/errors';
import { isBuiltIn } from './bench';
import type { Bench, Place } from './bench-state';

/** Whether clips or probes on a loose cell have plus and minus exchanged: its print is wrong and nobody turned them, or the other way. */
export function isCrossed(bench: Bench, place: Place): boolean {
	if (typeof place !== 'object' || place === null || !('cell' in place) || isBuiltIn(bench, place.cell)) return false;
	return bench.scenario.cells[place.cell]!.printedReversed !== (place.turned ?? false);
}

/**
 * Switches an output. Across crossed clips it sparks and stays off; that is written down as an incident.
 * @throws CoreError `crossed`
 */
export function switchOutput(bench: Bench, tool: 'supply' | 'load', on: boolean): void {
	const place = bench.clips[tool];
	if (on && isCrossed(bench, place)) {
		const { cell } = place as { cell: number };
		bench.incidents.push({ timeS: bench.timeS, kind: 'crossed', cells: [cell], amperes: null });
		throw new CoreError(
			'crossed',
			tool,
			`A spark: plus and minus of the ${tool} are exchanged on ${bench.scenario.cells[cell]!.label}. It protected itself and stays off.`
		);
	}
	bench[tool].on = on;
	if (tool === 'load' && on) bench.load.cutOff = false;
}

import {
	completeScenario,
	openBench,
	wireBench,
	type Bench,
	type LeadNodes,
	type Place,
	type Scenario,
	type Tool,
	type Incident
} from '$lib/core/world/bench';
import { copyState, restoreState, type CellsState } from '$lib/core/world/cell-model';
import type { Wiring } from '$lib/core/world/simulation';

/** A bench as it was left, as plain data: what a rehearsal is gone on with after the stand-ins were stopped. */
export interface SavedBench {
	scenario: Scenario;
	clockMs: number;
	timeS: number;
	wiring: Wiring;
	/** Missing in benches saved before there was a plug: in. */
	plugged?: boolean;
	/** How the balance leads sit; missing in old ones: as they came. */
	leadNodes?: LeadNodes;
	/** Missing in old ones: none. */
	tightened?: number[];
	groups: number[][];
	clips: Record<Tool, Place>;
	shuntAh: number;
	incidents: Incident[];
	cells: Record<keyof CellsState, number[]>;
}

export function saveBench(bench: Bench, clockMs: number): SavedBench {
	const state = Object.entries(copyState(bench.cells)).map(([name, column]) => [name, Array.from(column)]);
	return {
		scenario: bench.scenario,
		clockMs,
		timeS: bench.timeS,
		wiring: bench.wiring,
		plugged: bench.plugged,
		leadNodes: bench.leadNodes,
		tightened: bench.tightened,
		groups: bench.joined?.groups ?? [],
		clips: bench.clips,
		shuntAh: bench.shuntAh,
		incidents: bench.incidents,
		cells: Object.fromEntries(state) as SavedBench['cells']
	};
}

/** The bench again, everything switched off. @throws CoreError when the data is not one */
export function restoreBench(saved: SavedBench): Bench {
	const bench = openBench({ ...completeScenario(saved.scenario), wiring: { kind: 'loose', groups: [] } });
	const turned = bench.scenario.cells.flatMap((c, i) => (c.printedReversed ? [i] : []));
	const inGroups = new Set(saved.groups.flat());
	restoreState(
		bench.cells,
		Object.fromEntries(
			Object.entries(saved.cells).map(([name, column]) => [name, Float64Array.from(column)])
		) as CellsState
	);
	bench.tightened = saved.tightened ?? [];
	if (saved.wiring !== 'loose')
		wireBench(
			bench,
			saved.wiring,
			saved.groups,
			turned.filter((i) => inGroups.has(i)),
			saved.plugged ?? true
		);
	return Object.assign(bench, {
		timeS: saved.timeS,
		leadNodes: saved.leadNodes ?? bench.leadNodes,
		clips: saved.clips,
		shuntAh: saved.shuntAh,
		incidents: saved.incidents
	});
}

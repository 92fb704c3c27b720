import { openCircuitCurve } from '$lib/core/world/cell-model';
import { simulate, type SimulationInput } from '$lib/core/world/simulation';
import { bareLoop } from './bare-loop';
import { medianMs, report } from './report';

const [GROUPS, PARALLEL, HOURS] = [16, 2, 24];
const STEPS = HOURS * 3600;

function dayOf16S2P(): SimulationInput {
	const id = (i: number) => `c${i}`;
	const half = { durationS: STEPS / 2 };
	return {
		world: {
			chemistry: 'LFP',
			cells: Array.from({ length: GROUPS * PARALLEL }, (_, i) => ({ id: id(i), capacityAh: 280, soc: 0.5 + i / 1000 })),
			wiring: {
				kind: 'series',
				groups: Array.from({ length: GROUPS }, (_, g) => [id(2 * g), id(2 * g + 1)]),
				linkOhm: 1e-4
			},
			bms: {},
			balancer: {}
		},
		steps: [
			{ kind: 'charge', currentA: 20, voltageV: 56.8, leadOhm: 0.01, until: half },
			{ kind: 'discharge', currentA: 16, until: half }
		],
		stepS: 1,
		recordEveryS: 60
	};
}

/** 16S2P for a day at 1 s with BMS and balancer, against the same arithmetic in a bare loop. */
export function simulationSpeed(): void {
	const input = dayOf16S2P();
	const { coefficients } = openCircuitCurve('LFP');
	const bare = medianMs(() => void bareLoop(GROUPS, PARALLEL, STEPS, 20, coefficients), 5);
	const full = medianMs(() => void simulate(input), 5);
	const cellSteps = GROUPS * PARALLEL * STEPS;
	report(
		`16S2P, ${HOURS} h at 1 s with BMS and balancer: ${(cellSteps / full / 1000).toFixed(1)} million cell-steps/s, against a bare typed-array loop`,
		`${full.toFixed(0)} ms / ${bare.toFixed(0)} ms = ${(full / bare).toFixed(2)}`,
		full / bare <= 3,
		'ratio ≤ 3'
	);
}

import { createCells, refreshCells, stepCell, stepDecay, terminalVoltageV } from '$lib/core/world/cell-model';
import { normalDraw } from '$lib/core/foundation/statistics';
import { between, drawCell, oneOf, type TruthWorld } from './world';

/** A sound joint, its bars and its sense point, Ω. */
const SOUND = { mean: 0.00008, sd: 0.00002 };
const STEP_S = 5;

/** A battery in the middle of its charge, one joint of it loose in half of the worlds. */
export interface LoadedBattery {
	parallel: number;
	/** By group, Ω. */
	jointOhm: number[];
	/** Place of the group behind the loose one; -1: all are tight. */
	loose: number;
	/** Each group as it stands, from joint to joint, V. @param amps positive into the battery */
	groupV(amps: number): number[];
	/** A current flows for so long, A and s. */
	flow(amps: number, seconds: number): void;
}

/** How a battery is not as it was built. */
interface Otherwise {
	/** Years of work: resistances have parted by 12 % (ln-sd), and it stands anywhere between nearly empty and nearly full. */
	aged?: boolean;
	/** Warmer by so much at one end than at the other, K. */
	gradientK?: number;
	/** Share of charge it stands at; anywhere on the plateau when missing. */
	soc?: number;
}

/** @param socSd how unlike the charge of its groups is, one sd */
export function loadedBattery(
	world: TruthWorld,
	socSd: number,
	{ aged = false, gradientK = 0, soc: stands }: Otherwise = {}
): LoadedBattery {
	const { random, nature } = world;
	const groups = oneOf(random, [4, 8, 16]);
	const parallel = oneOf(random, [1, 1, 2, 4]);
	const loose = random() < 0.5 ? Math.floor(random() * groups) : -1;
	const looseOhm = between(random, 0.0001, 0.001);
	const jointOhm = Array.from(
		{ length: groups },
		(_, g) => Math.max(0.00002, normalDraw(random, SOUND.mean, SOUND.sd)) + (g === loose ? looseOhm : 0)
	);
	const soc = stands ?? (aged ? between(random, 0.08, 0.97) : between(random, 0.3, 0.9));
	const airC = between(random, 10, 30);
	const specs = Array.from({ length: groups * parallel }, (_, i) => ({
		parameters: drawCell(world, {
			...(aged ? { resistanceFactor: Math.exp(normalDraw(random, 0.2, 0.12)) } : {}),
			temperatureC: airC + (gradientK * Math.floor(i / parallel)) / (groups - 1)
		}),
		soc: soc + normalDraw(random, 0, socSd),
		branch: 0
	}));
	const cells = createCells(specs, airC, nature);
	return {
		parallel,
		jointOhm,
		loose,
		groupV: (amps) =>
			jointOhm.map((ohm, g) => {
				// Cells of a group share the current about alike; their mean is the group.
				const own = Array.from({ length: parallel }, (_, p) =>
					terminalVoltageV(cells, g * parallel + p, amps / parallel)
				);
				return own.reduce((a, b) => a + b, 0) / parallel + ohm * amps;
			}),
		flow(amps, seconds) {
			const decay = stepDecay(STEP_S);
			for (let t = 0; t < seconds; t += STEP_S)
				for (let i = 0; i < specs.length; i++) {
					cells.currentA[i] = amps / parallel;
					stepCell(cells, i, decay);
				}
			refreshCells(cells);
		}
	};
}

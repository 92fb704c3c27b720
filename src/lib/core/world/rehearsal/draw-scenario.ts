import { completeScenario, SCENARIO_FORMAT, SCENARIO_VERSION, type Scenario } from '../bench';
import { normalDraw, seededRandom, type Random } from '../../foundation/statistics';
import { DEFECT_KINDS, type DefectKind } from './defects';

export interface CrateWish {
	name: string;
	story: string;
	seed: number;
	ratedAh: number;
	series: number;
	parallel: number;
	spares: number;
	timeFactor: number;
	/** What is to be hidden; the seed says where and how bad. */
	defects: readonly DefectKind[];
}

/** Healthy spread of a crate (default): capacity as a share of rated, resistance, arrival charge. */
const SPREAD = { capacity: [1.012, 0.006], resistance: [1, 0.02], soc: [0.46, 0.008] } as const;

const between = (random: Random, low: number, high: number) => low + random() * (high - low);

type Plan = Omit<Scenario, 'cells'> & { cells: Scenario['cells'] };

function hide(kind: DefectKind, plan: Plan, free: number[], random: Random): void {
	const takeCell = () => plan.cells[free.splice(Math.floor(random() * free.length), 1)[0]!];
	const lead = () => 1 + Math.floor(random() * (plan.series - 1));
	switch (kind) {
		case 'weak-cell':
			takeCell()!.capacityAh = plan.ratedAh * between(random, 0.82, 0.92);
			return;
		case 'high-resistance':
			takeCell()!.resistanceFactor = between(random, 1.3, 1.7);
			return;
		case 'leaking-cell':
			takeCell()!.selfDischargePerMonth = between(random, 0.08, 0.2);
			return;
		case 'wrong-print':
			takeCell()!.printedReversed = true;
			return;
		case 'loose-bar':
			takeCell()!.looseBarOhm = between(random, 0.0008, 0.002);
			return;
		case 'swapped-leads': {
			const first = lead();
			plan.bms.swappedLeads = [first, first + 1];
			return;
		}
		case 'open-lead':
			plan.bms.openLead = lead();
			return;
		case 'biased-tester':
			plan.load.currentGain = between(random, 0.025, 0.05) * (random() < 0.5 ? -1 : 1);
			return;
		case 'supply-display':
			plan.supply.displayErrorV = between(random, 0.03, 0.08);
			return;
		case 'bms-reading':
			plan.bms.readErrorV[Math.floor(random() * plan.series)] =
				between(random, 0.012, 0.03) * (random() < 0.5 ? -1 : 1);
	}
}

/** A scenario with the wished defects hidden where the seed says. The same wish gives the same scenario. */
export function drawScenario(wish: CrateWish): Scenario {
	const random = seededRandom(wish.seed);
	const count = wish.series * wish.parallel + wish.spares;
	const { defects, spares: _, ...rest } = wish;
	const draw = ([mean, sd]: readonly [number, number]) => normalDraw(random, mean, sd);
	const plan = completeScenario({
		format: SCENARIO_FORMAT,
		formatVersion: SCENARIO_VERSION,
		chemistry: 'LFP',
		...rest,
		cells: Array.from({ length: count }, (_, i) => ({
			label: `R-${String(i + 1).padStart(2, '0')}`,
			capacityAh: wish.ratedAh * draw(SPREAD.capacity),
			resistanceFactor: draw(SPREAD.resistance),
			soc: draw(SPREAD.soc)
		}))
	});
	const free = plan.cells.map((_, i) => i);
	for (const kind of defects) hide(kind, plan, free, random);
	return plan;
}

/** Most defects a scenario from a person's own seed hides. */
const MAX_DEFECTS = 4;

/** A small crate from a person's own seed: what is hidden, where and how bad is all in the seed. */
export function scenarioOfSeed(seed: number): Scenario {
	const random = seededRandom(seed ^ 0x5eed);
	const left = [...DEFECT_KINDS];
	const count = Math.floor(random() * (MAX_DEFECTS + 1));
	const defects = Array.from({ length: count }, () => left.splice(Math.floor(random() * left.length), 1)[0]!);
	// Two faults in one lead cannot be told apart.
	if (defects.includes('swapped-leads') && defects.includes('open-lead'))
		defects.splice(defects.indexOf('open-lead'), 1);
	return drawScenario({
		name: `Crate of seed ${seed}`,
		story: 'Four cells for a small box and two to spare. What is wrong with them, if anything, only the seed knows.',
		seed,
		ratedAh: 100,
		series: 4,
		parallel: 1,
		spares: 2,
		timeFactor: 1000,
		defects
	});
}

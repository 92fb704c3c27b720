import type { Incident, Scenario } from '../bench';
import { CHEMISTRY_FIGURES } from '../../foundation/chemistry';
import { DEFECT_NAMES, hiddenDefects, type Defect, type DefectKind, type Finding } from './defects';

/** How a rehearsal was left. */
export interface RehearsalEnd {
	scenario: Scenario;
	conclusions: readonly Finding[];
	/** Labels a group of the battery as it was last built; null when none was. */
	built: readonly (readonly string[])[] | null;
	incidents: readonly Incident[];
	/** Charge forced past full and past empty into each cell, Ah, in the scenario's order. */
	overChargedAh: readonly number[];
	overDischargedAh: readonly number[];
}

export interface JudgedDefect extends Defect {
	name: string;
	caught: boolean;
	/** What it costs as things were left, in the scenario's money; 0 when it was caught or not built in. */
	cost: number;
	/** What it would do in a real bank. */
	consequence: string;
}

export interface RehearsalJudgement {
	defects: JudgedDefect[];
	falseAlarms: (Finding & { name: string })[];
	mishaps: { text: string; cost: number }[];
	/** Smallest group as built and the best that could have been built from the crate, Ah; null when nothing was built. */
	builtAh: number | null;
	bestAh: number;
	lostCapacityCost: number;
	totalCost: number;
}

/** Share of its capacity a cell must be driven past full or empty before it counts as harmed (default). */
const HARM_SHARE = 0.01;
/** Load at which joint heat is told, C-rate. */
const HEAT_C_RATE = 0.5;

function consequenceOf(defect: Defect, scenario: Scenario): string {
	const amperes = HEAT_C_RATE * scenario.ratedAh * scenario.parallel;
	switch (defect.kind) {
		case 'weak-cell':
			return 'The smallest group ends every discharge: the others carry what it lacks to no use.';
		case 'high-resistance':
			return 'It warms more, hits both limits early under load, and ages ahead of its neighbours.';
		case 'leaking-cell':
			return 'It falls behind its neighbours month by month and sooner or later the balancer no longer keeps up.';
		case 'wrong-print':
			return 'Built in by its print it is a short circuit.';
		case 'loose-bar':
			return `At ${amperes.toFixed(0)} A it makes ${(amperes ** 2 * defect.amount).toFixed(0)} W of heat in one joint.`;
		case 'swapped-leads':
			return 'The BMS sees one group reversed and its neighbour doubled; many do not survive being plugged in.';
		case 'open-lead':
			return 'Two groups are read wrong: one may be over-charged while the BMS sees another voltage.';
		case 'biased-tester':
			return `Every capacity is ${defect.amount > 0 ? 'too high' : 'too low'}: good cells are sent back or short ones kept.`;
		case 'supply-display':
			return 'The charge stops short of, or past, the voltage you believe you have set.';
		default:
			return 'One group is charged to another voltage than its neighbours, at every charge.';
	}
}

function smallestGroup(groups: readonly (readonly string[])[], capacity: ReadonlyMap<string, number>): number {
	return Math.min(...groups.map((g) => g.reduce((sum, label) => sum + (capacity.get(label) ?? 0), 0)));
}

/** The best smallest group: exact for groups of one, a bound (mean of the best cells) for more. */
function bestSmallestGroup({ cells, series, parallel }: Scenario): number {
	const best = cells
		.map((c) => c.capacityAh)
		.sort((a, b) => b - a)
		.slice(0, series * parallel);
	if (parallel === 1) return best[best.length - 1]!;
	return best.reduce((sum, ah) => sum + ah, 0) / series;
}

const CELL_LOST: readonly DefectKind[] = ['high-resistance', 'leaking-cell', 'loose-bar', 'open-lead', 'bms-reading'];

function costOf(defect: Defect, end: RehearsalEnd, bankKwh: number): number {
	const { prices } = end.scenario;
	const inside = defect.where === null || end.built === null || end.built.some((g) => g.includes(defect.where!));
	if (defect.kind === 'swapped-leads') return prices.bms;
	if (defect.kind === 'biased-tester') return Math.abs(defect.amount) * bankKwh * prices.perKwh;
	if (defect.kind === 'supply-display') return 0;
	if (defect.kind === 'open-lead' || defect.kind === 'bms-reading') return prices.cell;
	return CELL_LOST.includes(defect.kind) && inside ? prices.cell : 0;
}

function mishapOf({ kind, cells, amperes }: Incident, scenario: Scenario): RehearsalJudgement['mishaps'][number] {
	const labels = cells.map((i) => scenario.cells[i]!.label).join(', ');
	switch (kind) {
		case 'reversed':
			return {
				text: `${labels} joined the wrong way round: a short circuit.`,
				cost: cells.length * scenario.prices.cell
			};
		case 'crossed':
			return {
				text: `An output switched on across ${labels} with plus and minus exchanged: a spark at the clips.`,
				cost: 0
			};
		case 'hard-join':
			return {
				text: `Cells joined at unequal charge: ${amperes!.toFixed(0)} A through the bars at the first instant.`,
				cost: 0
			};
	}
}

function mishapsOf(end: RehearsalEnd): RehearsalJudgement['mishaps'] {
	const { scenario } = end;
	const label = (i: number) => scenario.cells[i]!.label;
	const spoiled = (ah: readonly number[]) =>
		scenario.cells.flatMap((c, i) => (ah[i]! > HARM_SHARE * c.capacityAh ? [{ i, ah: ah[i] }] : []));
	return [
		...end.incidents.map((incident) => mishapOf(incident, scenario)),
		...spoiled(end.overChargedAh).map(({ i, ah }) => ({
			text: `${label(i)} over-charged by ${ah!.toFixed(1)} Ah.`,
			cost: scenario.prices.cell
		})),
		...spoiled(end.overDischargedAh).map(({ i, ah }) => ({
			text: `${label(i)} driven ${ah!.toFixed(1)} Ah past empty.`,
			cost: scenario.prices.cell
		}))
	];
}

const same = (a: Finding, b: Finding) => a.kind === b.kind && (a.where ?? null) === (b.where ?? null);

/** The truth beside what was concluded: what was hidden, what was caught, what was seen that is not there, and what it would cost. */
export function judgeRehearsal(end: RehearsalEnd): RehearsalJudgement {
	const { scenario, conclusions, built } = end;
	const hidden = hiddenDefects(scenario);
	const capacity = new Map(scenario.cells.map((c) => [c.label, c.capacityAh]));
	const bestAh = bestSmallestGroup(scenario);
	const builtAh = built ? smallestGroup(built, capacity) : null;
	const nominalV = CHEMISTRY_FIGURES[scenario.chemistry].nominalV;
	const kwhPerAh = (scenario.series * nominalV) / 1000;
	const defects = hidden.map((defect): JudgedDefect => {
		const caught = conclusions.some((c) => same(c, defect));
		return {
			...defect,
			name: DEFECT_NAMES[defect.kind],
			caught,
			cost: caught ? 0 : costOf(defect, end, bestAh * kwhPerAh),
			consequence: consequenceOf(defect, scenario)
		};
	});
	const mishaps = mishapsOf(end);
	const lostCapacityCost = builtAh === null ? 0 : Math.max(0, bestAh - builtAh) * kwhPerAh * scenario.prices.perKwh;
	return {
		defects,
		falseAlarms: conclusions
			.filter((c) => !hidden.some((d) => same(c, d)))
			.map((c) => ({ ...c, name: DEFECT_NAMES[c.kind] })),
		mishaps,
		builtAh,
		bestAh,
		lostCapacityCost,
		totalCost: lostCapacityCost + [...defects, ...mishaps].reduce((sum, { cost }) => sum + cost, 0)
	};
}

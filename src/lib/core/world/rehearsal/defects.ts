import type { Scenario } from '../bench';

/** What can be hidden in a scenario, and what a person can conclude. */
export const DEFECT_KINDS = [
	'weak-cell',
	'high-resistance',
	'leaking-cell',
	'wrong-print',
	'loose-bar',
	'swapped-leads',
	'open-lead',
	'biased-tester',
	'supply-display',
	'bms-reading'
] as const;
export type DefectKind = (typeof DEFECT_KINDS)[number];

/** What a defect sits in: a cell (by label), a balance lead or a group (by number), or nothing to choose. */
export const DEFECT_WHERE: Record<DefectKind, 'cell' | 'lead' | 'group' | 'none'> = {
	'weak-cell': 'cell',
	'high-resistance': 'cell',
	'leaking-cell': 'cell',
	'wrong-print': 'cell',
	'loose-bar': 'cell',
	'swapped-leads': 'lead',
	'open-lead': 'lead',
	'biased-tester': 'none',
	'supply-display': 'none',
	'bms-reading': 'group'
};

export const DEFECT_NAMES: Record<DefectKind, string> = {
	'weak-cell': 'weak cell',
	'high-resistance': 'high resistance',
	'leaking-cell': 'cell that discharges itself',
	'wrong-print': 'polarity printed wrong',
	'loose-bar': 'loose bar',
	'swapped-leads': 'balance leads swapped',
	'open-lead': 'balance lead open',
	'biased-tester': 'load reads current wrong',
	'supply-display': 'supply displays the wrong voltage',
	'bms-reading': 'BMS reads a group wrong'
};

export interface Finding {
	kind: DefectKind;
	/** Cell label, lead or group number as text; null where there is nothing to choose. */
	where: string | null;
}

export interface Defect extends Finding {
	/** How bad it is, in words with its figure. */
	size: string;
	/** The same as a number: Ah short, factor, V, Ω … by kind. */
	amount: number;
}

/** From here on a difference counts as a defect; below it is ordinary spread. */
const COUNTS_FROM = {
	capacityShare: 0.96,
	resistanceFactor: 1.15,
	leakPerMonth: 0.04,
	barOhm: 0.0003,
	currentGain: 0.015,
	displayV: 0.01,
	bmsV: 0.004
};

const signed = (value: number, digits: number, unit: string) =>
	`${value > 0 ? '+' : ''}${value.toFixed(digits)} ${unit}`;

function cellDefects(scenario: Scenario): Defect[] {
	return scenario.cells.flatMap((cell) => {
		const found: Defect[] = [];
		const add = (kind: DefectKind, amount: number, size: string) =>
			found.push({ kind, where: cell.label, amount, size });
		if (cell.capacityAh < COUNTS_FROM.capacityShare * scenario.ratedAh)
			add(
				'weak-cell',
				scenario.ratedAh - cell.capacityAh,
				`${cell.capacityAh.toFixed(1)} Ah of ${scenario.ratedAh} rated`
			);
		if (cell.resistanceFactor > COUNTS_FROM.resistanceFactor)
			add(
				'high-resistance',
				cell.resistanceFactor,
				`${((cell.resistanceFactor - 1) * 100).toFixed(0)} % above its kind`
			);
		if (cell.selfDischargePerMonth > COUNTS_FROM.leakPerMonth)
			add('leaking-cell', cell.selfDischargePerMonth, `${(cell.selfDischargePerMonth * 100).toFixed(0)} % a month`);
		if (cell.printedReversed) add('wrong-print', 1, 'plus and minus exchanged on the sleeve');
		if (cell.looseBarOhm > COUNTS_FROM.barOhm)
			add('loose-bar', cell.looseBarOhm, `${(cell.looseBarOhm * 1000).toFixed(1)} mΩ in its joint`);
		return found;
	});
}

/** Everything that is hidden in a scenario, cells first. */
export function hiddenDefects(scenario: Scenario): Defect[] {
	const { bms, load, supply } = scenario;
	const found = cellDefects(scenario);
	if (bms.swappedLeads)
		found.push({
			kind: 'swapped-leads',
			where: String(Math.min(...bms.swappedLeads)),
			amount: 1,
			size: `leads ${bms.swappedLeads.join(' and ')}`
		});
	if (bms.openLead !== null)
		found.push({ kind: 'open-lead', where: String(bms.openLead), amount: 1, size: `lead ${bms.openLead}` });
	if (Math.abs(load.currentGain) > COUNTS_FROM.currentGain)
		found.push({
			kind: 'biased-tester',
			where: null,
			amount: load.currentGain,
			size: `${signed(load.currentGain * 100, 1, '%')} on every ampere-hour`
		});
	if (Math.abs(supply.displayErrorV) > COUNTS_FROM.displayV)
		found.push({
			kind: 'supply-display',
			where: null,
			amount: supply.displayErrorV,
			size: `${signed(supply.displayErrorV * 1000, 0, 'mV')} on its display`
		});
	bms.readErrorV.forEach((volts, g) => {
		if (Math.abs(volts) > COUNTS_FROM.bmsV)
			found.push({
				kind: 'bms-reading',
				where: String(g + 1),
				amount: volts,
				size: `${signed(volts * 1000, 0, 'mV')} on group ${g + 1}`
			});
	});
	return found;
}

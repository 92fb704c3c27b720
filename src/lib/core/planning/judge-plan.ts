import { CHEMISTRY_FIGURES, type Chemistry } from '../chemistry';
import type { Verdict } from '../shared';

export interface PlannedBank {
	chemistry: Chemistry;
	series: number;
	parallel: number;
	batteries: number;
}

/** The maker's figures that decide limits; null where the data sheet was not copied. */
export interface PlannedCellType {
	name: string;
	chemistry: Chemistry;
	chargeLimitV: number | null;
	dischargeLimitV: number | null;
	chargeColdC: number | null;
	dischargeColdC: number | null;
	chargeCRate: number | null;
	dischargeCRate: number | null;
}

/** Direct voltage above which a touch is dangerous (the usual limit for dry skin), V. */
export const TOUCH_LIMIT_V = 60;

const FIGURE_WORDS: Record<string, string> = {
	chargeLimitV: 'charge limit',
	dischargeLimitV: 'discharge limit',
	chargeColdC: 'coldest charge',
	dischargeColdC: 'coldest discharge',
	chargeCRate: 'charge rate',
	dischargeCRate: 'discharge rate'
};

/** What to think of a plan: a missing or unlike cell type, figures taken from defaults, a voltage that can hurt. */
export function judgePlan(bank: PlannedBank, cellType: PlannedCellType | null): Verdict[] {
	const base = { doubt: null, cellIds: [] as number[] };
	const verdicts: Verdict[] = [];
	if (!cellType)
		return [
			{
				...base,
				code: 'no-cell-type',
				warmth: 'open',
				title: 'No cell type chosen',
				finding: 'Verdicts, matching and limits start from the maker’s figures.',
				rule: 'Every bank has a cell type.',
				next: 'Choose or make the cell type.'
			}
		];
	if (cellType.chemistry !== bank.chemistry)
		verdicts.push({
			...base,
			code: 'chemistry-mismatch',
			warmth: 'stop',
			title: `The bank is ${bank.chemistry}, its cells are ${cellType.chemistry}`,
			finding: `A ${cellType.chemistry} cell charged to ${bank.chemistry} limits can burn.`,
			rule: 'One chemistry a bank.',
			next: 'Correct whichever is wrong before anything is charged.'
		});
	const missing = Object.keys(FIGURE_WORDS).filter((key) => cellType[key as keyof PlannedCellType] === null);
	if (missing.length)
		verdicts.push({
			...base,
			code: 'defaults-used',
			warmth: 'open',
			title: `${missing.length} of the maker’s figures are missing`,
			finding: `Defaults stand in for: ${missing.map((k) => FIGURE_WORDS[k]).join(', ')}.`,
			doubt: 'Typical values of the chemistry, not of your cell.',
			rule: 'The maker’s own figures come first.',
			next: 'Copy them from the data sheet.'
		});
	const fullV = bank.series * CHEMISTRY_FIGURES[bank.chemistry].chargeLimitV;
	if (fullV > TOUCH_LIMIT_V)
		verdicts.push({
			...base,
			code: 'touch-voltage',
			warmth: 'look',
			title: `Full, this battery stands at ${fullV.toFixed(1)} V`,
			finding: `Above ${TOUCH_LIMIT_V} V DC a touch can kill.`,
			rule: 'Cells in series × charge limit.',
			next: 'Work to your local code, insulated, and have licensed help.'
		});
	return verdicts.length
		? verdicts
		: [
				{
					...base,
					code: 'plan-complete',
					warmth: 'calm',
					title: 'The plan is complete',
					finding: `${bank.series * bank.parallel * bank.batteries} cells of ${cellType.name}; full at ${fullV.toFixed(1)} V.`,
					rule: 'Cell type chosen, chemistry agrees, figures given.',
					next: null
				}
			];
}

import { CHEMISTRY_FIGURES, type Chemistry } from '../../foundation/chemistry';
import { WHOLE_BANK, type Subject, type Verdict } from '../../foundation/verdicts';
import { say, type MakerFigure } from '../verdicts';

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

const LIMIT_FIGURES: readonly MakerFigure[] = [
	'chargeLimitV',
	'dischargeLimitV',
	'chargeColdC',
	'dischargeColdC',
	'chargeCRate',
	'dischargeCRate'
];

/**
 * What to think of a plan: a missing or unlike cell type, figures taken from defaults, a voltage that can hurt.
 * @param subject the bank
 */
export function judgePlan(
	bank: PlannedBank,
	cellType: PlannedCellType | null,
	subject: Subject = WHOLE_BANK
): Verdict[] {
	if (!cellType) return [say('no-cell-type', 'open', subject, { wantedFor: 'everything' })];
	const verdicts: Verdict[] = [];
	if (cellType.chemistry !== bank.chemistry)
		verdicts.push(say('chemistry-mismatch', 'stop', subject, { bank: bank.chemistry, cells: cellType.chemistry }));
	const missing = LIMIT_FIGURES.filter((key) => cellType[key] === null);
	if (missing.length) verdicts.push(say('defaults-used', 'open', subject, { missing }));
	const fullV = bank.series * CHEMISTRY_FIGURES[bank.chemistry].chargeLimitV;
	if (fullV > TOUCH_LIMIT_V) verdicts.push(say('touch-voltage', 'look', subject, { fullV, limitV: TOUCH_LIMIT_V }));
	if (verdicts.length) return verdicts;
	const cells = bank.series * bank.parallel * bank.batteries;
	return [say('plan-complete', 'calm', subject, { cells, cellType: cellType.name, fullV })];
}

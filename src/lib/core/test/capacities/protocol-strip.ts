import { CHEMISTRY_FIGURES } from '../../foundation/chemistry';
import { clauseStrip, type Tick } from '../clauses';
import type { Clause, BankPicture } from '../../picture';
import { cRateOf, clauseOf, endOf } from './standard-runs';
import type { CellCapacity } from './bank-capacities';

const USUAL_CLAUSE: Omit<Clause, 'capacityAh'> = {
	kind: 'nominal',
	chargeV: null,
	tailCRate: null,
	restH: null,
	dischargeCRate: null,
	cutoffV: null,
	temperatureC: null
};

/** What the run a cell's figure is of kept of the clause it is held against. */
export function protocolStrip(picture: BankPicture, { run, refused }: CellCapacity): Tick[] {
	if (!run) return [];
	const { bank, cellType } = picture;
	const has = (code: string) => run.faults?.some((f) => f.code === code) ?? false;
	return clauseStrip(
		clauseOf(picture) ?? { ...USUAL_CLAUSE, capacityAh: cellType?.ratedAh ?? 0 },
		{
			startedFull: has('starts-not-full') ? false : run.startedFull,
			restH: run.restS == null ? null : run.restS / 3600,
			cRate: cRateOf(run, cellType, CHEMISTRY_FIGURES[bank.chemistry].nominalV),
			temperatureC: run.temperatureC,
			tester: run.tester,
			endedEarly: has('ends-early'),
			tooFar: refused?.why === 'conditions',
			cutoffV: run.cutoffV ?? (run.source === 'hand' ? null : endOf(picture))
		},
		bank.chemistry
	);
}

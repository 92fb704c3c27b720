import { CHEMISTRIES, type Chemistry } from '../../foundation/chemistry';
import { CoreError, requirePositive } from '../../foundation/errors';
import { STRATEGIES, type Strategy } from '../../picture';

/** The cell maker's figures; null or missing takes the chemistry's default. */
export interface CellLimits {
	ratedAh: number;
	chargeLimitV?: number | null;
	dischargeLimitV?: number | null;
	chargeColdC?: number | null;
	chargeHotC?: number | null;
	dischargeColdC?: number | null;
	dischargeHotC?: number | null;
	chargeCRate?: number | null;
	dischargeCRate?: number | null;
}

/** What the loads draw of a battery at most. */
export interface LoadDraw {
	/** For minutes and longer, A. */
	continuousA?: number | null;
	/** When something starts, A, and for how long, s. */
	inrushA?: number | null;
	inrushS?: number | null;
}

export interface LimitsInput {
	chemistry: Chemistry;
	series: number;
	parallel: number;
	strategy: Strategy;
	cell: CellLimits;
	/** Smallest measured group, Ah; null when not measured. */
	measuredGroupAh?: number | null;
	bms?: { continuousA?: number | null; chargeA?: number | null; resolutionV?: number | null } | null;
	fuseA?: number | null;
	cableA?: number | null;
	/** What the loads draw; as usual when missing. */
	load?: LoadDraw | null;
}

/** @throws CoreError `layout`, `chemistry`, `strategy`, `not-positive` */
export function checkInput(input: LimitsInput): void {
	if (!CHEMISTRIES.includes(input.chemistry))
		throw new CoreError(
			'chemistry',
			'chemistry',
			`chemistry requires one of ${CHEMISTRIES.join(', ')}, got ${input.chemistry}`
		);
	if (!STRATEGIES.includes(input.strategy))
		throw new CoreError(
			'strategy',
			'strategy',
			`strategy requires one of ${STRATEGIES.join(', ')}, got ${input.strategy}`
		);
	for (const key of ['series', 'parallel'] as const)
		if (!Number.isInteger(input[key]) || input[key] < 1)
			throw new CoreError('layout', key, `${key} requires a whole number from 1, got ${input[key]}`);
	requirePositive(input.cell.ratedAh, 'cell.ratedAh');
}

/** A figure of the maker, or the default where it is missing. */
export const or = (value: number | null | undefined, fallback: number) => value ?? fallback;

/** As a device is set: to so many digits. */
export const round = (value: number, digits: number) => Number(value.toFixed(digits));

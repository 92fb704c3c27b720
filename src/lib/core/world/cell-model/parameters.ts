import { CHEMISTRIES, CHEMISTRY_FIGURES, type Chemistry } from '../../foundation/chemistry';
import { CoreError, requireFinite, requireNotNegative, requirePositive } from '../../foundation/errors';

/** What a cell truly is; nobody at the bench can see this. */
export interface CellParameters {
	chemistry: Chemistry;
	/** Capacity when new, Ah; the default resistance follows from it. */
	capacityAh: number;
	/** Share of that capacity still there (ageing). */
	capacityFactor: number;
	/** Multiplies the default series resistance (ageing, or a bad weld). */
	resistanceFactor: number;
	/** Share of capacity lost a month at rest. */
	selfDischargePerMonth: number;
	/** Share of the charging current that is stored. */
	coulombicEfficiency: number;
	massKg: number;
	/** Where its temperature starts, °C. */
	temperatureC: number;
}

/** A cell as it may be described: everything but the chemistry has a default. */
export type CellSpec = Partial<CellParameters> & { chemistry: Chemistry };

const DEFAULT_CAPACITY_AH = 100;
const COULOMBIC_EFFICIENCY = 0.999;
const SELF_DISCHARGE_PER_MONTH = 0.02;
/** Mass of a large prismatic cell per Ah and per volt of its kind, kg (default; 4 kg at 200 Ah of LFP). */
const MASS_KG_PER_WH = 0.00625;
const RATED_C = 25;
const COLDEST_C = -60;
const HOTTEST_C = 120;

/**
 * The description with the model's defaults for what it leaves out.
 * @throws CoreError naming the field that cannot be
 */
export function completeCell(spec: CellSpec, path = 'cell'): CellParameters {
	if (!CHEMISTRIES.includes(spec.chemistry))
		throw new CoreError('chemistry', `${path}.chemistry`, `chemistry requires one of ${CHEMISTRIES.join(', ')}`);
	const capacityAh = requirePositive(spec.capacityAh ?? DEFAULT_CAPACITY_AH, `${path}.capacityAh`);
	const temperatureC = requireFinite(spec.temperatureC ?? RATED_C, `${path}.temperatureC`);
	if (temperatureC < COLDEST_C || temperatureC > HOTTEST_C)
		throw new CoreError(
			'out-of-range',
			`${path}.temperatureC`,
			`temperatureC requires ${COLDEST_C} to ${HOTTEST_C} °C, got ${temperatureC}`
		);
	const coulombicEfficiency = requirePositive(
		spec.coulombicEfficiency ?? COULOMBIC_EFFICIENCY,
		`${path}.coulombicEfficiency`
	);
	if (coulombicEfficiency > 1)
		throw new CoreError('out-of-range', `${path}.coulombicEfficiency`, 'coulombicEfficiency requires at most 1');
	return {
		chemistry: spec.chemistry,
		capacityAh,
		capacityFactor: requirePositive(spec.capacityFactor ?? 1, `${path}.capacityFactor`),
		resistanceFactor: requirePositive(spec.resistanceFactor ?? 1, `${path}.resistanceFactor`),
		selfDischargePerMonth: requireNotNegative(
			spec.selfDischargePerMonth ?? SELF_DISCHARGE_PER_MONTH,
			`${path}.selfDischargePerMonth`
		),
		coulombicEfficiency,
		massKg: requirePositive(
			spec.massKg ?? capacityAh * CHEMISTRY_FIGURES[spec.chemistry].nominalV * MASS_KG_PER_WH,
			`${path}.massKg`
		),
		temperatureC
	};
}

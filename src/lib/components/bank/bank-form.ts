import { CHEMISTRY_FIGURES, type Chemistry } from '$lib/core/foundation/chemistry';
import { toUserUnits, unitOf, type Settings } from '$lib/core/foundation/units';
import { CELL_TYPE_FIGURES, type CellTypeFigure } from '$lib/input/bank-form';

/** Name of each figure, and its unit where that does not follow the person's units. */
const NAMES: Record<CellTypeFigure, { label: string; unit: string }> = {
	ratedAh: { label: 'Rated capacity', unit: 'Ah' },
	acResistanceMohm: { label: 'AC resistance', unit: 'mΩ' },
	chargeLimitV: { label: 'Charge limit', unit: 'V' },
	dischargeLimitV: { label: 'Discharge limit', unit: 'V' },
	chargeCRate: { label: 'Charge rate', unit: 'C' },
	dischargeCRate: { label: 'Discharge rate', unit: 'C' },
	chargeColdC: { label: 'Charge, coldest', unit: '' },
	chargeHotC: { label: 'Charge, hottest', unit: '' },
	dischargeColdC: { label: 'Discharge, coldest', unit: '' },
	dischargeHotC: { label: 'Discharge, hottest', unit: '' },
	widthMm: { label: 'Width', unit: '' },
	thicknessMm: { label: 'Thickness', unit: '' },
	heightMm: { label: 'Height', unit: '' },
	massKg: { label: 'Mass', unit: '' },
	holeDepthMm: { label: 'Hole depth', unit: '' },
	torqueNm: { label: 'Torque', unit: '' }
};

/** One figure of a cell type as the form shows it; `fallback`: the chemistry's default, marked as such. */
export interface ShownFigure {
	key: CellTypeFigure;
	label: string;
	unit: string;
	fallback: string;
}

const shown = (value: number, key: CellTypeFigure, units: Settings['units']): number => {
	const quantity = CELL_TYPE_FIGURES[key];
	return quantity ? toUserUnits(value, quantity, units)! : value;
};

/** The figures of a cell type in the order of a data sheet. */
export function shownFigures(chemistry: Chemistry, units: Settings['units']): ShownFigure[] {
	const defaults = CHEMISTRY_FIGURES[chemistry] as Partial<Record<CellTypeFigure, number>>;
	return (Object.keys(CELL_TYPE_FIGURES) as CellTypeFigure[]).map((key) => {
		const quantity = CELL_TYPE_FIGURES[key];
		const value = defaults[key];
		return {
			key,
			label: NAMES[key].label,
			unit: quantity ? unitOf(quantity, units) : NAMES[key].unit,
			fallback: value === undefined ? '' : `default ${Number(shown(value, key, units).toFixed(2))}`
		};
	});
}

/** Stored figures as the form shows them; what is not given is null. */
export function figuresToForm(
	stored: Partial<Record<CellTypeFigure, number | null>>,
	units: Settings['units']
): Record<CellTypeFigure, number | null> {
	return Object.fromEntries(
		(Object.keys(CELL_TYPE_FIGURES) as CellTypeFigure[]).map((key) => {
			const value = stored[key] ?? null;
			return [key, value === null ? null : Number(shown(value, key, units).toPrecision(6))];
		})
	) as Record<CellTypeFigure, number | null>;
}

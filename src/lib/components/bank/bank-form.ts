import { CHEMISTRY_FIGURES, type Chemistry } from '$lib/core/chemistry';
import { fromUserUnits, toUserUnits, unitOf, type ConvertedQuantity, type Settings } from '$lib/core/units';

/** One figure of a cell type as the form shows it. */
export interface FigureField {
	key: string;
	label: string;
	unit: string;
	converted: ConvertedQuantity | null;
	/** Name of the chemistry's default, when there is one. */
	fallback: keyof (typeof CHEMISTRY_FIGURES)['LFP'] | null;
}

const field = (
	key: string,
	label: string,
	unit: string,
	converted: ConvertedQuantity | null = null,
	fallback: FigureField['fallback'] = null
): FigureField => ({ key, label, unit, converted, fallback });

/** The maker's figures a person can give, in the order of a data sheet. */
export const CELL_TYPE_FIGURES: readonly FigureField[] = [
	field('ratedAh', 'Rated capacity', 'Ah'),
	field('acResistanceMohm', 'AC resistance', 'mΩ'),
	field('chargeLimitV', 'Charge limit', 'V', null, 'chargeLimitV'),
	field('dischargeLimitV', 'Discharge limit', 'V', null, 'dischargeLimitV'),
	field('chargeCRate', 'Charge rate', 'C', null, 'chargeCRate'),
	field('dischargeCRate', 'Discharge rate', 'C', null, 'dischargeCRate'),
	field('chargeColdC', 'Charge, coldest', '', 'temperature', 'chargeColdC'),
	field('chargeHotC', 'Charge, hottest', '', 'temperature', 'chargeHotC'),
	field('dischargeColdC', 'Discharge, coldest', '', 'temperature', 'dischargeColdC'),
	field('dischargeHotC', 'Discharge, hottest', '', 'temperature', 'dischargeHotC'),
	field('widthMm', 'Width', '', 'length'),
	field('thicknessMm', 'Thickness', '', 'length'),
	field('heightMm', 'Height', '', 'length'),
	field('massKg', 'Mass', '', 'mass'),
	field('holeDepthMm', 'Hole depth', '', 'length'),
	field('torqueNm', 'Torque', '', 'torque')
];

/** Unit shown beside a figure. */
export function figureUnit(figure: FigureField, units: Settings['units']): string {
	return figure.converted ? unitOf(figure.converted, units) : figure.unit;
}

/** Placeholder: the chemistry's default in the person's units, marked as such. */
export function figureDefault(figure: FigureField, chemistry: Chemistry, units: Settings['units']): string {
	if (!figure.fallback) return '';
	const value = CHEMISTRY_FIGURES[chemistry][figure.fallback] as number;
	const shown = figure.converted ? toUserUnits(value, figure.converted, units)! : value;
	return `default ${Number(shown.toFixed(2))}`;
}

type Figures = Record<string, number | string | null | undefined>;

/** Stored figures as the form shows them. */
export function figuresToForm(stored: Figures, units: Settings['units']): Record<string, number | null> {
	return Object.fromEntries(
		CELL_TYPE_FIGURES.map(({ key, converted }) => {
			const value = (stored[key] ?? null) as number | null;
			const shown = converted ? toUserUnits(value, converted, units) : value;
			return [key, shown === null ? null : Number(shown.toPrecision(6))];
		})
	);
}

/** What the form holds as figures to store; blank is null. */
export function figuresFromForm(form: Figures, units: Settings['units']): Record<string, number | null> {
	return Object.fromEntries(
		CELL_TYPE_FIGURES.map(({ key, converted }) => {
			const value = form[key] === '' || form[key] === undefined || form[key] === null ? null : Number(form[key]);
			return [key, converted ? fromUserUnits(value, converted, units) : value];
		})
	);
}

import { CHEMISTRY_FIGURES, type Chemistry } from '../chemistry';
import { toUserUnits, unitOf, type ConvertedQuantity, type Settings } from '../units';

/** What can be read off a cell on arrival. */
export const QUANTITIES = ['restVoltage', 'acResistance', 'temperature', 'mass', 'thickness'] as const;
export type Quantity = (typeof QUANTITIES)[number];

export interface QuantityFigures {
	label: string;
	/** The unit values are kept in. */
	unit: string;
	decimals: number;
	/** Factor from an accepted unit (lower case) to `unit`; temperature °F is handled apart. */
	factors: Record<string, number>;
	/** Difference from the others that matters: absolute, or a fraction when `relative`. Default figures. */
	floor: { amount: number; relative: boolean };
}

/** Names, units and the floor below which a difference does not matter (default). */
export const QUANTITY_FIGURES: Record<Quantity, QuantityFigures> = {
	restVoltage: {
		label: 'rest voltage',
		unit: 'V',
		decimals: 3,
		factors: { v: 1, mv: 0.001 },
		floor: { amount: 0.008, relative: false }
	},
	acResistance: {
		label: 'AC resistance',
		unit: 'mΩ',
		decimals: 3,
		factors: { mohm: 1, mω: 1, uohm: 0.001, uω: 0.001, ohm: 1000, ω: 1000 },
		floor: { amount: 0.08, relative: true }
	},
	temperature: {
		label: 'temperature',
		unit: '°C',
		decimals: 1,
		factors: { c: 1, '°c': 1 },
		floor: { amount: 5, relative: false }
	},
	mass: {
		label: 'mass',
		unit: 'kg',
		decimals: 3,
		factors: { kg: 1, g: 0.001, lb: 0.45359237 },
		floor: { amount: 0.005, relative: true }
	},
	thickness: {
		label: 'thickness',
		unit: 'mm',
		decimals: 2,
		factors: { mm: 1, cm: 10, in: 25.4 },
		floor: { amount: 0.5, relative: false }
	}
};

/** Quantities a person may read in US units, and which conversion that is. */
const CONVERTED: Partial<Record<Quantity, ConvertedQuantity>> = {
	temperature: 'temperature',
	mass: 'mass',
	thickness: 'length'
};

/** The unit a quantity is typed and shown in. */
export function shownUnit(quantity: Quantity, units: Settings['units']): string {
	const converted = CONVERTED[quantity];
	return converted ? unitOf(converted, units) : QUANTITY_FIGURES[quantity].unit;
}

/** A kept value in the unit it is shown in. */
export function shownValue(value: number, quantity: Quantity, units: Settings['units']): number {
	const converted = CONVERTED[quantity];
	return converted ? toUserUnits(value, converted, units)! : value;
}

/** The range a first reading may lie in without a question, in the quantity's unit. */
export function plausibleRange(
	quantity: Quantity,
	chemistry: Chemistry,
	expected: { acResistanceMohm: number | null; massKg: number | null; thicknessMm?: number | null }
): readonly [number, number] {
	switch (quantity) {
		case 'restVoltage':
			return CHEMISTRY_FIGURES[chemistry].plausibleRestV;
		case 'acResistance':
			return expected.acResistanceMohm === null
				? [0.05, 20]
				: [expected.acResistanceMohm * 0.4, expected.acResistanceMohm * 4];
		case 'temperature':
			return [-10, 45];
		case 'mass':
			return expected.massKg === null ? [0.2, 15] : [expected.massKg * 0.8, expected.massKg * 1.2];
		case 'thickness':
			return expected.thicknessMm == null ? [5, 150] : [expected.thicknessMm * 0.9, expected.thicknessMm * 1.2];
	}
}

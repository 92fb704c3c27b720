import type { Chemistry } from '../chemistry';
import { median } from '../statistics';
import { QUANTITY_FIGURES, plausibleRange, type Quantity } from './quantity';

/** A doubt about one typed value, asked at once and never blocking. */
export interface Question {
	code: 'sign' | 'quantity' | 'decimal' | 'unit' | 'range' | 'neighbours';
	text: string;
	/** A value that would fit better, in the quantity's unit; null when there is no good guess. */
	suggestion: number | null;
}

/** Readings this many times off their neighbours are questioned while typing; the outlier verdict is stricter and comes later. */
const NEIGHBOUR_FACTOR = 1.5;
const SLIPS: readonly { factor: number; code: 'decimal' | 'unit' }[] = [
	{ factor: 0.001, code: 'unit' },
	{ factor: 1000, code: 'unit' },
	{ factor: 0.1, code: 'decimal' },
	{ factor: 10, code: 'decimal' },
	{ factor: 0.01, code: 'decimal' },
	{ factor: 100, code: 'decimal' }
];
/** What a thousand times too much, or too little, is usually read from. */
const UNITS_TAKEN: Record<Quantity, { tooMuch: string; tooLittle: string }> = {
	restVoltage: { tooMuch: 'millivolts for volts', tooLittle: 'kilovolts for volts' },
	acResistance: { tooMuch: 'microohms for milliohms', tooLittle: 'ohms for milliohms' },
	temperature: { tooMuch: 'a slipped decimal', tooLittle: 'a slipped decimal' },
	mass: { tooMuch: 'grams for kilograms', tooLittle: 'tonnes for kilograms' },
	thickness: { tooMuch: 'micrometres for millimetres', tooLittle: 'metres for millimetres' }
};

function whyOf({ factor, code }: (typeof SLIPS)[number], quantity: Quantity): string {
	if (code === 'decimal') return 'a slipped decimal';
	return factor < 1 ? UNITS_TAKEN[quantity].tooMuch : UNITS_TAKEN[quantity].tooLittle;
}

/** What is known of a cell and its type beside the reading; null or missing: nothing. */
export interface ExpectedReadings {
	acResistanceMohm: number | null;
	massKg: number | null;
	thicknessMm?: number | null;
	/** What this cell itself read before, in the units of the quantities. */
	own?: Partial<Record<Quantity, number | null>>;
}

/** The same figure again is one of this cell’s voltage; within so much of a mass it may be that. */
const SAME_VOLTS = 0.01;
const SAME_MASS_SHARE = 0.1;

/** A column of another quantity: the cell's own volts, or its mass, where milliohms are asked for, and the other way round. */
function otherQuantity(value: number, quantity: Quantity, { own = {}, massKg }: ExpectedReadings): string | null {
	const { restVoltage, acResistance, mass = massKg } = own;
	const isMass = mass != null && Math.abs(value / mass - 1) <= SAME_MASS_SHARE;
	if (quantity === 'acResistance') {
		if (restVoltage != null && Math.abs(value - restVoltage) <= SAME_VOLTS) return 'the voltage of this cell';
		return isMass ? 'its mass in kilograms' : null;
	}
	if (quantity === 'restVoltage' && acResistance != null && Math.abs(value / acResistance - 1) <= 0.005)
		return 'the resistance of this cell';
	return null;
}

/**
 * Whether a value should be questioned before it is believed: sign, slipped decimal, wrong unit or range.
 * @param neighbours values of the same quantity already taken, any order
 * @returns null when there is nothing to ask
 */
export function questionReading(
	value: number,
	quantity: Quantity,
	chemistry: Chemistry,
	neighbours: readonly number[],
	expected: ExpectedReadings = {
		acResistanceMohm: null,
		massKg: null
	}
): Question | null {
	const { label, unit, decimals } = QUANTITY_FIGURES[quantity];
	const [low, high] = plausibleRange(quantity, chemistry, expected);
	const fits = (v: number) => v >= low && v <= high;
	const show = (v: number) => `${Number(v.toPrecision(6)).toFixed(decimals)} ${unit}`;
	if (value < 0 && quantity !== 'temperature')
		return {
			code: 'sign',
			text: `${show(value)}: leads reversed, or polarity printed wrong? Meter the terminals before going on.`,
			suggestion: fits(-value) ? -value : null
		};
	const other = otherQuantity(value, quantity, expected);
	if (other)
		return {
			code: 'quantity',
			text: `${show(value)}: is this ${other} once more? A ${label} is asked for here.`,
			suggestion: null
		};
	const centre = neighbours.length >= 3 ? median(neighbours) : null;
	const oddAmongNeighbours =
		centre !== null &&
		centre > 0 &&
		quantity !== 'temperature' &&
		(value > centre * NEIGHBOUR_FACTOR || value < centre / NEIGHBOUR_FACTOR);
	if (fits(value) && !oddAmongNeighbours) return null;
	// What the value would most likely have been: like its neighbours, as the data sheet says, or in the middle of what is plausible.
	const likely =
		centre ?? (quantity === 'acResistance' ? expected.acResistanceMohm : null) ?? Math.sqrt(Math.abs(low * high));
	const [slip] = SLIPS.filter(({ factor }) => {
		const moved = value * factor;
		return fits(moved) && (centre === null || (moved < centre * NEIGHBOUR_FACTOR && moved > centre / NEIGHBOUR_FACTOR));
	}).sort((a, b) => Math.abs(Math.log((value * a.factor) / likely)) - Math.abs(Math.log((value * b.factor) / likely)));
	if (slip) {
		const suggestion = Number((value * slip.factor).toPrecision(6));
		return {
			code: slip.code,
			text: `${show(suggestion)} or ${show(value)}? It looks like ${whyOf(slip, quantity)}.`,
			suggestion
		};
	}
	if (!fits(value))
		return {
			code: 'range',
			text: `${show(value)} lies outside ${show(low)} to ${show(high)} for a ${label}. Read it again.`,
			suggestion: null
		};
	return {
		code: 'neighbours',
		text: `${show(value)} is far from the others (${show(centre!)}). Read it again.`,
		suggestion: null
	};
}

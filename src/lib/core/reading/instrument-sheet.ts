/** Kinds of instrument that can be read live. */
export const INSTRUMENT_KINDS = ['supply', 'load', 'voltmeter', 'ohmmeter', 'bms', 'shunt'] as const;
export type InstrumentKind = (typeof INSTRUMENT_KINDS)[number];

/** Accuracy as an instrument's sheet says it: `±(percent of reading + fixed)`. */
export interface InstrumentSheet {
	percent: number;
	/** In V, Ω or A, see {@link SHEET_UNITS}. */
	fixed: number;
}

/** What is assumed of an instrument nobody described (default): a fair one of its kind. */
export const USUAL_SHEET: Record<InstrumentKind, InstrumentSheet> = {
	supply: { percent: 0.5, fixed: 0.02 },
	load: { percent: 0.5, fixed: 0.02 },
	voltmeter: { percent: 0.05, fixed: 0.002 },
	ohmmeter: { percent: 0.5, fixed: 0.000_005 },
	bms: { percent: 0.1, fixed: 0.005 },
	shunt: { percent: 0.5, fixed: 0.1 }
};

/** Unit a person gives the fixed part in, and how many of it make one V, Ω or A. */
export const SHEET_UNITS: Record<InstrumentKind, { unit: string; perUnit: number }> = {
	supply: { unit: 'mV', perUnit: 1000 },
	load: { unit: 'mV', perUnit: 1000 },
	voltmeter: { unit: 'mV', perUnit: 1000 },
	ohmmeter: { unit: 'mΩ', perUnit: 1000 },
	bms: { unit: 'mV', perUnit: 1000 },
	shunt: { unit: 'A', perUnit: 1 }
};

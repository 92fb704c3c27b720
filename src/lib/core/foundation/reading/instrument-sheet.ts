/** Accuracy as an instrument's sheet says it: `±(percent of reading + fixed)`. */
export interface InstrumentSheet {
	percent: number;
	/** In V, Ω or A, see {@link SHEET_UNITS}. */
	fixed: number;
}

interface InstrumentKindSheet {
	/** What a person calls one. */
	name: string;
	/** The open protocol it speaks. */
	speaks: 'SCPI' | 'Modbus TCP';
	/** Unit a person gives the fixed part of an accuracy in, and how many of it make one V, Ω or A. */
	unit: string;
	perUnit: number;
	/** What is assumed of one nobody described (default): a fair one of its kind. */
	usual: InstrumentSheet;
	/** Accuracy of the one on the simulated bench as its sheet would say it; null: none stands there. */
	bench: InstrumentSheet | null;
}

const SHEETS = {
	supply: {
		name: 'Bench supply',
		speaks: 'SCPI',
		unit: 'mV',
		perUnit: 1000,
		usual: { percent: 0.5, fixed: 0.02 },
		bench: { percent: 0.1, fixed: 0.01 }
	},
	load: {
		name: 'Electronic load',
		speaks: 'SCPI',
		unit: 'mV',
		perUnit: 1000,
		usual: { percent: 0.5, fixed: 0.02 },
		bench: { percent: 0.1, fixed: 0.01 }
	},
	voltmeter: {
		name: 'Voltmeter',
		speaks: 'SCPI',
		unit: 'mV',
		perUnit: 1000,
		usual: { percent: 0.05, fixed: 0.002 },
		bench: { percent: 0.02, fixed: 0.0005 }
	},
	ohmmeter: {
		name: 'Milliohm meter',
		speaks: 'SCPI',
		unit: 'mΩ',
		perUnit: 1000,
		usual: { percent: 0.5, fixed: 0.000_005 },
		bench: { percent: 0.5, fixed: 0.000_002 }
	},
	bms: {
		name: 'BMS',
		speaks: 'Modbus TCP',
		unit: 'mV',
		perUnit: 1000,
		usual: { percent: 0.1, fixed: 0.005 },
		bench: { percent: 0.02, fixed: 0.001 }
	},
	shunt: {
		name: 'Shunt',
		speaks: 'Modbus TCP',
		unit: 'A',
		perUnit: 1,
		usual: { percent: 0.5, fixed: 0.1 },
		bench: { percent: 0.2, fixed: 0.01 }
	}
} as const satisfies Record<string, InstrumentKindSheet>;

/** Kinds of instrument that can be read live. */
export type InstrumentKind = keyof typeof SHEETS;
export const INSTRUMENT_KINDS = Object.keys(SHEETS) as InstrumentKind[];
/** What is known of each kind. */
export const INSTRUMENT_SHEETS: Record<InstrumentKind, InstrumentKindSheet> = SHEETS;

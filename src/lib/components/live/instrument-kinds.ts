import type { InstrumentKind } from '$lib/core/reading';

export type { InstrumentKind };

/** Kinds of instrument with the words a person chooses by. */
export const INSTRUMENT_KINDS: readonly { value: InstrumentKind; text: string }[] = [
	{ value: 'supply', text: 'Bench supply (SCPI)' },
	{ value: 'load', text: 'Electronic load (SCPI)' },
	{ value: 'voltmeter', text: 'Voltmeter (SCPI)' },
	{ value: 'ohmmeter', text: 'Milliohm meter (SCPI)' },
	{ value: 'bms', text: 'BMS (Modbus TCP)' },
	{ value: 'shunt', text: 'Shunt (Modbus TCP)' }
];

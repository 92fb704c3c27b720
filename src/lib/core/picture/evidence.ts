/** What a reading is corrected for on its way to standard, in this order; `tester`: by what its tester is found to read too much. */
export const CORRECTIONS = ['drop', 'temperature', 'rate', 'tester'] as const;

export type Correction = (typeof CORRECTIONS)[number];

export type FaultCode =
	| 'unreadable-row'
	| 'duplicate-row'
	| 'starts-not-full'
	| 'clock-backwards'
	| 'clock-restarted'
	| 'midnight'
	| 'gap'
	| 'gap-not-counted'
	| 'unit-guessed'
	| 'sign-flipped'
	| 'unsigned-current'
	| 'several-discharges'
	| 'direction-unclear'
	| 'charge-in-log'
	| 'ends-early';

/** Something about the log a person should know. `row` is the line in the file (header included, from 1); null for the whole. */
export interface LogFault {
	code: FaultCode;
	message: string;
	row: number | null;
}

/** Cells of one type that came together and were run on one tester. */
export interface TestedLot {
	/** Null: not written down, one tester for all such. */
	tester: string | null;
	/** As measured, Ah, under like conditions. */
	capacitiesAh: readonly number[];
}

/** A rest voltage: volts, one sd of the meter, and seconds without current. */
export interface RestRead {
	voltageV: number;
	sdV: number;
	restS: number;
}

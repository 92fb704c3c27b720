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

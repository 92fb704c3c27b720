import {
	PROBES,
	QUANTITIES,
	READ_STATES,
	type Probe,
	type Quantity,
	type ReadState
} from '$lib/core/foundation/reading';
import { ClientKey, Maybe, Num, OneOf, Text, When, Whole } from '$lib/input/fields';

export class ReadingInput {
	@Whole(1, 2 ** 31) cellId!: number;
	@OneOf(QUANTITIES) quantity!: Quantity;
	/** As typed: number with or without unit; the server reads it and keeps it. */
	@Text(40, 1) rawText!: string;
	@Maybe() @Num(0, 1e9) restS?: number | null;
	@Maybe() @When() takenAt?: string;
	/** How far off the time may be, s; missing: exact. */
	@Maybe() @Num(0, 1e8) takenDoubtS?: number | null;
	/** How the cell was while it was read, and the current into it where one flowed, A. */
	@OneOf(READ_STATES) state: ReadState = 'loose';
	@Maybe() @Num(-10_000, 10_000) stateA?: number | null;
	/** Of a resistance: how and where the probes sat. */
	@Maybe() @OneOf(PROBES) probe?: Probe | null;
	@Maybe() @Text(80) meter?: string | null;
	/** Given by the page so that a repeated send is stored once. */
	@Maybe() @ClientKey() clientKey?: string;
}

export class StoredReadingInput extends ReadingInput {
	@Num(-1e9, 1e9) value!: number;
	@Text(12) rawUnit!: string;
	@Num(0, 1e9) sd!: number;
}

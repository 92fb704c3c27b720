import type { Passings } from '$lib/core/foundation/snapshot';
import { AtMost, ClientKey, GroupPassings, Maybe, Num, Text, Volts, When, Whole, YesNo } from '$lib/input/fields';

/** A step of a balance that was done. */
export class MethodEntryInput {
	@Whole(1, 2 ** 31) methodRunId!: number;
	@Maybe() @Whole(1, 2 ** 31) cellId?: number | null;
	@Maybe() @Text(40) unit?: string | null;
	@Text(20, 1) step!: string;
	/** Now when missing. */
	@Maybe() @When() doneAt?: string;
	@Maybe() @Num(-1000, 1000) voltageV?: number | null;
	@Maybe() @Num(-2000, 2000) currentA?: number | null;
	@Maybe() @Num(-100_000, 100_000) ah?: number | null;
	@Maybe() @Num(-1_000_000, 1_000_000) wh?: number | null;
	@Maybe() @Volts() @AtMost(256) volts?: number[] | null;
	/** Ah between the groups in the charge whose log the volts are a line of. */
	@Maybe() @GroupPassings() passings?: Passings | null;
	/** The question of the step was answered with yes. */
	@Maybe() @YesNo() asked?: boolean | null;
	@Maybe() @Text(400) words?: string | null;
	@Maybe() @ClientKey() clientKey?: string;
}

import { ClientKey, YesNo, Maybe, Num, When, Whole } from '$lib/input/fields';

export class BalanceReadingInput {
	@Whole(1, 2 ** 31) balanceRunId!: number;
	@When() readAt!: string;
	/** How far off the time may be, s; missing: exact. */
	@Maybe() @Num(0, 1e8) readDoubtS?: number | null;
	@Maybe() @Num(0, 100) supplyV?: number | null;
	@Num(0, 1000) supplyA!: number;
	@Maybe() @Num(0, 10) cellV?: number | null;
	@Maybe() @Num(0, 1e6) deliveredAh?: number | null;
	/** The charger has stopped by itself: its light, its timer. */
	@Maybe() @YesNo() stopped?: boolean | null;
	/** The supply’s counter began at 0 since the count before, or went on. */
	@Maybe() @YesNo() counterAnew?: boolean | null;
	@Maybe() @ClientKey() clientKey?: string;
}

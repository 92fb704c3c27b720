import { Maybe, Num, Ticks, When, Whole } from '$lib/input/fields';

export class BalanceRunInput {
	@Whole(1, 2 ** 31) bankId!: number;
	@Num(0.5, 1000) supplyA!: number;
	@Num(0, 1) leadOhm!: number;
	/** What the supply is set to, V; the default of the chemistry when missing. */
	@Maybe() @Num(1, 5) setV?: number | null;
	@Maybe() @When() startedAt?: string | null;
	@Maybe() @When() endedAt?: string | null;
	/** Checklist item key → done. */
	@Maybe() @Ticks() checklist?: Record<string, boolean>;
}

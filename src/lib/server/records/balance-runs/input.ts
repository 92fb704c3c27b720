import { ArrayMinSize, IsArray, IsInt } from 'class-validator';
import { AtMost, Maybe, Num, Text, Ticks, When, Whole } from '$lib/input/fields';

export class BalanceRunInput {
	@Whole(1, 2 ** 31) bankId!: number;
	@Num(0.5, 1000) supplyA!: number;
	@Num(0, 1) leadOhm!: number;
	/** What the supply is set to, V; the default of the chemistry when missing. */
	@Maybe() @Num(1, 5) setV?: number | null;
	/** Why it is set above what meter and supply leave to the cells’ limit. */
	@Maybe() @Text(400) setVReason?: string | null;
	/** It is on only while somebody is there, so many hours a day; null: day and night. */
	@Maybe() @Num(0.25, 24) hoursADay?: number | null;
	@Maybe() @When() startedAt?: string | null;
	@Maybe() @When() endedAt?: string | null;
	/** Checklist item key → done. */
	@Maybe() @Ticks() checklist?: Record<string, boolean>;
}

export class NewBalanceRunInput extends BalanceRunInput {
	/** The cells of its row; all cells placed in the bank when missing. */
	@Maybe() @IsArray() @ArrayMinSize(1) @AtMost(1024) @IsInt({ each: true }) cellIds?: number[];
}

import { IsBoolean } from 'class-validator';
import { OUTPUT_CORNERS, type OutputCorner } from '$lib/core/picture';
import { Maybe, Num, OneOf, Text, When, Whole } from '$lib/input/fields';

export const BATTERY_KINDS = ['built', 'ready-made'] as const;
export const BATTERY_JOINS = ['parallel', 'series'] as const;

/** Cells in series under one BMS: built here, or a sealed unit with its own. */
export class BatteryInput {
	@Whole(1, 2 ** 31) bankId!: number;
	/** From 1 within its bank; the next free one when missing. */
	@Maybe() @Whole(1, 32) number?: number;
	@Maybe() @Text(80) name?: string | null;
	@OneOf(BATTERY_KINDS) kind: (typeof BATTERY_KINDS)[number] = 'built';
	/** The bank's own layout when missing. */
	@Maybe() @Whole(1, 128) series?: number;
	@Maybe() @Whole(1, 64) parallel?: number;
	/** How it joins the others of its bank. */
	@OneOf(BATTERY_JOINS) joins: (typeof BATTERY_JOINS)[number] = 'parallel';
	/** Since when it is in use, where that is another day than the bank's: what it has aged since. */
	@Maybe() @When() newOn?: string | null;
	@Maybe() @Num(1, 10_000) bmsA?: number | null;
	/** Cells in series its BMS is made for, fewest and most, by its sheet. */
	@Maybe() @Whole(1, 128) bmsLeastCells?: number | null;
	@Maybe() @Whole(1, 128) bmsMostCells?: number | null;
	@Maybe() @Num(0.0001, 0.2) bmsResolutionV?: number | null;
	@Maybe() @Num(1, 10_000) fuseA?: number | null;
	@Maybe() @Num(1, 10_000) cableA?: number | null;
	/** Drawn after the load’s cut-off by BMS, balancer, display and relays, A. */
	@Maybe() @Num(0, 100) standbyA?: number | null;
	/** How it lies, for its drawings: rows of groups, groups two cells deep, the corner at which battery − leaves. */
	@Maybe() @Whole(1, 128) rows?: number | null;
	@Maybe() @IsBoolean() squareBlocks?: boolean | null;
	@Maybe() @OneOf(OUTPUT_CORNERS) outputsAt?: OutputCorner | null;
	/** Why it is built although something spoke against it. */
	@Maybe() @Text(400) builtDespite?: string | null;
	/** From here on: what the maker of a ready-made battery says of it. */
	@Maybe() @Text(80) maker?: string | null;
	@Maybe() @Num(0.1, 10_000) ratedAh?: number | null;
	@Maybe() @Num(1, 1_000_000) ratedWh?: number | null;
	@Maybe() @Num(1, 1000) nominalV?: number | null;
	@Maybe() @Num(1, 1000) bmsHighV?: number | null;
	@Maybe() @Num(1, 1000) bmsLowV?: number | null;
	@Maybe() @Num(0.1, 10_000) bmsChargeA?: number | null;
	@Maybe() @Num(0.1, 10_000) bmsDischargeA?: number | null;
	@Maybe() @Whole(1, 64) mostInSeries?: number | null;
}

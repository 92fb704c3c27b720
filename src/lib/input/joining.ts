import { Type } from 'class-transformer';
import { ArrayMinSize, IsArray, ValidateNested } from 'class-validator';
import { CHEMISTRIES, type Chemistry } from '$lib/core/foundation/chemistry';
import type { Balance } from '$lib/core/match/forecast';
import { AtMost, BalanceKind, Identity, IdentityGroups, Maybe, Num, Numbers, OneOf, Whole } from './fields';

export class JoinItemInput {
	@Identity() id!: string | number;
	/** Signed. */
	@Num(-1000, 1000) restVoltageV!: number;
	@Maybe() @Num(0, 10) sdV?: number | null;
	@Num(0.1, 100_000) capacityAh!: number;
	/** What limits the current of the first instant (direct current), of the whole item. */
	@Maybe() @Num(0.000001, 100) resistanceOhm?: number | null;
	/** What a 1 kHz meter reads of the whole item: about 0.7 of that. Sent as `resistanceOhm` it would make the current too high. */
	@Maybe() @Num(0.001, 100_000) acResistanceMohm?: number | null;
	@Maybe() @Whole(1, 128) cellsInSeries?: number | null;
}

/** Cells, or whole batteries, that are to be joined in parallel. */
export class JoinRequest {
	@OneOf(CHEMISTRIES) chemistry!: Chemistry;
	@IsArray()
	@ArrayMinSize(2)
	@AtMost(64)
	@ValidateNested({ each: true })
	@Type(() => JoinItemInput)
	items!: JoinItemInput[];
	@Num(0, 10) linkOhm!: number;
	@Maybe() @Num(0.1, 100_000) linkRatingA?: number | null;
}

/** The same left joined without a charge, told after so many hours. */
export class LeftJoinedRequest extends JoinRequest {
	/** Rising, at most a week. */
	@IsArray() @ArrayMinSize(1) @AtMost(8) @Numbers(0.1, 168) hours!: number[];
}

export class ForecastCellInput {
	@Identity() id!: string | number;
	@Num(0.001, 100_000) capacityAh!: number;
	@Maybe() @Num(0, 1) soc?: number | null;
	/** One sd of the capacity beside what its tester reads too much. */
	@Maybe() @Num(0, 10_000) capacitySdAh?: number | null;
	/** One sd of the charge, fraction. */
	@Maybe() @Num(0, 1) socSd?: number | null;
}

/** Groups in series, and how they are kept together. */
export class ForecastRequest {
	@IsArray()
	@ArrayMinSize(1)
	@AtMost(4096)
	@ValidateNested({ each: true })
	@Type(() => ForecastCellInput)
	cells!: ForecastCellInput[];
	@IsArray() @ArrayMinSize(1) @AtMost(512) @IdentityGroups() groups!: (string | number)[][];
	@BalanceKind() balance!: Balance;
	/** Of the cells while they are discharged; 25 °C when missing. */
	@Maybe() @Num(-30, 60) temperatureC?: number | null;
}

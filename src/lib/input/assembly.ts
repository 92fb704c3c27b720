import { Type } from 'class-transformer';
import { ArrayMinSize, IsArray, IsObject, ValidateNested } from 'class-validator';
import { CHEMISTRIES, type Chemistry } from '$lib/core/foundation/chemistry';
import { AtMost, Maybe, Num, OneOf, Volts, VoltsOrNull, Whole } from './fields';

/** The voltages all cells of a battery lie between, V. */
export class CellRangeInput {
	@Num(0.001, 10) low!: number;
	@Num(0.001, 10) high!: number;
}

/** Balance leads read one by one against battery negative, and what the cells read by themselves: each one, or their range. */
export class BalanceLeadsRequest {
	@Whole(1, 128) series!: number;
	@Maybe() @IsObject() @ValidateNested() @Type(() => CellRangeInput) cellV?: CellRangeInput | null;
	@Maybe() @IsArray() @AtMost(128) @Volts() cellsV?: number[] | null;
	/** Leads 0 … S, or 1 … S; null where not read. */
	@IsArray() @ArrayMinSize(1) @AtMost(129) @VoltsOrNull() readingsV!: (number | null)[];
	/** Those also read against battery positive: leads 0 … S. */
	@Maybe() @IsArray() @AtMost(129) @VoltsOrNull() positiveV?: (number | null)[] | null;
	@Maybe() @Num(0.00001, 1) meterSdV?: number | null;
}

/** Group voltages at rest and under a steady current (into the battery positive). */
export class JointsRequest {
	@IsArray() @ArrayMinSize(1) @AtMost(128) @Volts() restV!: number[];
	@IsArray() @ArrayMinSize(1) @AtMost(128) @Volts() loadV!: number[];
	@Num(-10_000, 10_000) currentA!: number;
	@Maybe() @Whole(1, 64) parallel?: number | null;
	/** Sent, it is asked first whether joints show at this charge at all. */
	@Maybe() @OneOf(CHEMISTRIES) chemistry?: Chemistry | null;
	@Maybe() @Num(0.00001, 1) meterSdV?: number | null;
}

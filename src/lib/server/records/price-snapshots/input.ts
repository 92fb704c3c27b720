import { Type } from 'class-transformer';
import { ArrayMinSize, IsArray, ValidateNested } from 'class-validator';
import { AtMost, ClientKey, Maybe, Num, Text, When, Whole, YesNo } from '$lib/input/fields';

/** A line of the list as it was. */
export class SnapshotItemInput {
	@Text(120, 1) name!: string;
	@Num(0, 1_000_000) quantity!: number;
	@Num(0, 1_000_000_000) unitPrice!: number;
	@Num(0, 1_000_000_000) shipping: number = 0;
	@YesNo() used: boolean = false;
}

/** What the list cost at a moment, to be compared with later. */
export class PriceSnapshotInput {
	@Whole(1, 2 ** 31) bankId!: number;
	@When() takenAt!: string;
	@IsArray()
	@ArrayMinSize(1)
	@AtMost(500)
	@ValidateNested({ each: true })
	@Type(() => SnapshotItemInput)
	items!: SnapshotItemInput[];
	@Maybe() @ClientKey() clientKey?: string;
}

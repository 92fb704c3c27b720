import { Type } from 'class-transformer';
import { IsArray, ValidateNested } from 'class-validator';
import { AtMost, ClientKey, Maybe, Num, Text, When, Whole, YesNo } from '$lib/input/fields';

/** From so many on one costs so much. */
export class PriceBreakInput {
	@Num(0.001, 1_000_000) from!: number;
	@Num(0, 1_000_000_000) unitPrice!: number;
}

/** A line of what is to be bought. Prices in the currency of the settings. */
export class PlanItemInput {
	@Whole(1, 2 ** 31) bankId!: number;
	@Text(120, 1) name!: string;
	@Num(0, 1_000_000) quantity: number = 1;
	@Num(0, 1_000_000_000) unitPrice!: number;
	@Num(0, 1_000_000_000) shipping: number = 0;
	/** Cheaper by the quantity. */
	@Maybe() @IsArray() @AtMost(20) @ValidateNested({ each: true }) @Type(() => PriceBreakInput) priceBreaks?:
		PriceBreakInput[] | null;
	/** When it was that price, and who said so. */
	@Maybe() @When() pricedOn?: string | null;
	@Maybe() @Text(200) source?: string | null;
	@YesNo() used: boolean = false;
	@Maybe() @ClientKey() clientKey?: string;
}

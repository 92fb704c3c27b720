import { ArrayMinSize, IsArray } from 'class-validator';
import { AtMost, ClientKey, Maybe, Text, VoltsOrNull, When, Whole } from '$lib/input/fields';

/** What the BMS and a voltmeter read of each group at rest, within a minute. */
export class BmsComparisonInput {
	@Whole(1, 2 ** 31) batteryId!: number;
	@When() readAt!: string;
	/** Group 1 first, V; null where not read. */
	@IsArray() @ArrayMinSize(1) @AtMost(128) @VoltsOrNull() bmsV!: (number | null)[];
	@IsArray() @ArrayMinSize(1) @AtMost(128) @VoltsOrNull() meterV!: (number | null)[];
	@Maybe() @Text(80) meter?: string | null;
	@Maybe() @Text(4000) notes?: string | null;
	@Maybe() @ClientKey() clientKey?: string;
}

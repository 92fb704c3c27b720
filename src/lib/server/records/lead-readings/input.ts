import { ArrayMinSize, IsArray } from 'class-validator';
import { AtMost, ClientKey, Maybe, Text, VoltsOrNull, When, Whole } from '$lib/input/fields';

/** Balance leads read with the plug out, each against battery negative. */
export class LeadReadingInput {
	@Whole(1, 2 ** 31) batteryId!: number;
	@When() readAt!: string;
	/** Lead 0 to lead S, V; null where not read. */
	@IsArray() @ArrayMinSize(2) @AtMost(129) @VoltsOrNull() readingsV!: (number | null)[];
	/** Those also read against battery positive. */
	@Maybe() @IsArray() @AtMost(129) @VoltsOrNull() positiveV?: (number | null)[] | null;
	@Maybe() @Text(80) meter?: string | null;
	@Maybe() @Text(4000) notes?: string | null;
	@Maybe() @ClientKey() clientKey?: string;
}

import { ArrayMinSize, IsArray } from 'class-validator';
import { AtMost, ClientKey, Maybe, Num, Text, Volts, When, Whole } from '$lib/input/fields';

/** Group voltages at rest and under a steady load, within a minute. */
export class LoadReadingInput {
	@Whole(1, 2 ** 31) batteryId!: number;
	@When() readAt!: string;
	/** Group 1 first, V. */
	@IsArray() @ArrayMinSize(1) @AtMost(128) @Volts() restV!: number[];
	@IsArray() @ArrayMinSize(1) @AtMost(128) @Volts() loadV!: number[];
	/** Into the battery, A. */
	@Num(-10_000, 10_000) currentA!: number;
	@Maybe() @Text(80) meter?: string | null;
	@Maybe() @Text(4000) notes?: string | null;
	@Maybe() @ClientKey() clientKey?: string;
}

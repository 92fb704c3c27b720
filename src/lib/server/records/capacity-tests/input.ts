import { ClientKey, Maybe, Num, Text, When, Whole } from '$lib/input/fields';

export class CapacityTestInput {
	@Whole(1, 2 ** 31) bankId!: number;
	@Whole(1, 32) battery: number = 1;
	@When() testedAt!: string;
	/** How far off the time may be, s; missing: exact. */
	@Maybe() @Num(0, 1e8) testedDoubtS?: number | null;
	@Num(0.001, 100_000) capacityAh!: number;
	@Num(0.0001, 10_000) sdAh!: number;
	/** Equivalent full cycles so far; null: nobody counted. */
	@Maybe() @Num(0, 1e6) efc?: number | null;
	@Maybe() @Num(-60, 100) temperatureC?: number | null;
	@Maybe() @Text(4000) notes?: string | null;
	@Maybe() @ClientKey() clientKey?: string;
}

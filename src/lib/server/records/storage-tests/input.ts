import { ClientKey, Maybe, Num, Text, When, Whole } from '$lib/input/fields';

/** A cell charged full to its tail and left alone, to be charged the same way again: what that takes is what it lost. */
export class StorageTestInput {
	@Whole(1, 2 ** 31) cellId!: number;
	/** When its charge ended. */
	@When() chargedAt!: string;
	/** When it is charged again. */
	@When() dueOn!: string;
	/** What it then took, Ah, and one standard deviation of its counter. */
	@Maybe() @Num(-1000, 10_000) refillAh?: number | null;
	@Maybe() @Num(0, 1000) refillSdAh?: number | null;
	@Maybe() @When() refilledAt?: string | null;
	@Maybe() @Text(4000) notes?: string | null;
	@Maybe() @ClientKey() clientKey?: string;
}

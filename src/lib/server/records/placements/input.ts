import { Maybe, When, Whole } from '$lib/input/fields';

/** A cell in a group from one day to another. The group is named by its id, or by bank, battery and position. */
export class PlacementInput {
	@Whole(1, 2 ** 31) cellId!: number;
	@Maybe() @Whole(1, 2 ** 31) groupId?: number;
	@Maybe() @Whole(1, 2 ** 31) bankId?: number;
	@Maybe() @Whole(1, 32) battery?: number;
	@Maybe() @Whole(1, 128) position?: number;
	@Maybe() @When() placedAt?: string;
	@Maybe() @When() removedAt?: string | null;
}

import { ClientKey, Maybe, Text, When, Whole } from '$lib/input/fields';

/** Something put in for the while that must come out again: a link, a fuse, a jumper. */
export class TemporaryPartInput {
	@Whole(1, 2 ** 31) batteryId!: number;
	@Text(120, 1) name!: string;
	@When() putInAt!: string;
	@Maybe() @When() takenOutAt?: string | null;
	@Maybe() @ClientKey() clientKey?: string;
}

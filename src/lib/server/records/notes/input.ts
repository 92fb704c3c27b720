import { ClientKey, Maybe, Text, When, Whole } from '$lib/input/fields';

export class NoteInput {
	@Whole(1, 2 ** 31) cellId!: number;
	@Text(4000, 1) text!: string;
	@Maybe() @When() writtenAt?: string;
	@Maybe() @ClientKey() clientKey?: string;
}

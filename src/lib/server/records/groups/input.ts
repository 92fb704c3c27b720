import { Whole } from '$lib/input/fields';

/** A group as a bank's file holds it. */
export class StoredGroupInput {
	@Whole(1, 2 ** 31) batteryId!: number;
	@Whole(1, 128) position!: number;
}

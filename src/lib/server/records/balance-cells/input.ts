import { Whole } from '$lib/input/fields';

/** A cell that stands in the row of a balance. */
export class BalanceCellInput {
	@Whole(1, 2 ** 31) balanceRunId!: number;
	@Whole(1, 2 ** 31) cellId!: number;
}

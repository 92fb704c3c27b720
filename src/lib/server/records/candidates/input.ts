import { Whole } from '$lib/input/fields';

/** A cell considered for a bank. */
export class CandidateInput {
	@Whole(1, 2 ** 31) bankId!: number;
	@Whole(1, 2 ** 31) cellId!: number;
}

import { STRATEGIES, type Strategy } from '$lib/core/picture';
import { Maybe, Num, OneOf, Whole } from '$lib/input/fields';

export class LimitPlanInput {
	@Whole(1, 2 ** 31) bankId!: number;
	@OneOf(STRATEGIES) strategy!: Strategy;
	/** These belong to the battery; sent here they go to every battery of the bank. */
	@Maybe() @Num(1, 10_000) bmsA?: number | null;
	@Maybe() @Num(0.0001, 0.2) bmsResolutionV?: number | null;
	@Maybe() @Num(1, 10_000) fuseA?: number | null;
	@Maybe() @Num(1, 10_000) cableA?: number | null;
}

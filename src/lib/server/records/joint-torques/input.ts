import { ClientKey, Maybe, Num, Text, When, Whole } from '$lib/input/fields';

/** A joint tightened to a torque. */
export class JointTorqueInput {
	@Whole(1, 2 ** 31) batteryId!: number;
	/** 0: battery negative; k: between group k and the next; S: battery positive. */
	@Whole(0, 128) position!: number;
	@Num(0.1, 100) torqueNm!: number;
	@When() tightenedAt!: string;
	@Maybe() @Text(4000) notes?: string | null;
	@Maybe() @ClientKey() clientKey?: string;
}

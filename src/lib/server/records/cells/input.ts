import { Matches } from 'class-validator';
import { Maybe, Text, Whole, YesNo } from '$lib/input/fields';

export class CellInput {
	@Whole(1, 2 ** 31) deliveryId!: number;
	@Text(24, 1) label!: string;
	@Whole(1, 5000) position!: number;
	@Maybe() @Text(60) batch?: string | null;
	@Maybe() @Text(60) code?: string | null;
	/** Year and month printed on it. */
	@Maybe()
	@Matches(/^(19|20)\d\d-(0[1-9]|1[0-2])$/, { message: 'printedMonth requires a year and a month like 2024-05' })
	printedMonth?: string | null;
	/** Its plus is on the other side than printed, by a meter. */
	@YesNo() plusTurned: boolean = false;
}

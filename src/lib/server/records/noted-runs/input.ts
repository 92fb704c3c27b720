import { Type } from 'class-transformer';
import { IsArray, ValidateNested } from 'class-validator';
import { AtMost, ClientKey, YesNo, Maybe, Num, When, Whole } from '$lib/input/fields';
import { SpotNoteInput } from '$lib/input/measuring';

/** A discharge that is followed by notes alone: what was read off a display at odd hours. */
export class NotedRunInput {
	@Whole(1, 2 ** 31) cellId!: number;
	@Maybe() @When() startedAt?: string;
	/** What it is discharged with, out of the cell: A or W, one of the two. */
	@Maybe() @Num(0.001, 10_000) currentA?: number | null;
	@Maybe() @Num(0.001, 1_000_000) powerW?: number | null;
	@Num(0.5, 5) cutoffV!: number;
	@IsArray() @AtMost(200) @ValidateNested({ each: true }) @Type(() => SpotNoteInput) notes: SpotNoteInput[] = [];
	/** When somebody should read it again: the page reckons it from the lines. */
	@Maybe() @When() lookAgainAt?: string | null;
	@Maybe() @YesNo() startedFull?: boolean | null;
	/** Between that charge and its start, s. */
	@Maybe() @Num(0, 1e8) restS?: number | null;
	/** The run it became. */
	@Maybe() @Whole(1, 2 ** 31) runId?: number | null;
	@Maybe() @ClientKey() clientKey?: string;
}

import { IsArray, IsObject } from 'class-validator';
import { AtMost, Maybe, Text, When, Whole } from '$lib/input/fields';

/** A rehearsal as a bank's file holds it. */
export class StoredRehearsalInput {
	@Whole(1, 2 ** 31) bankId!: number;
	@IsObject() scenario!: object;
	/** The bench as it was left. */
	@Maybe() @Text(4_000_000) saved?: string | null;
	@Maybe() @IsArray() @AtMost(100) conclusions?: object[] | null;
	@Maybe() @IsObject() judgement?: object | null;
	@Maybe() @When() revealedAt?: string | null;
}

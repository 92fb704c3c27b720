import { ArrayMinSize, IsArray } from 'class-validator';
import { CHECK_CONTEXTS, type CheckContext } from '$lib/core/serve/years';
import type { Passings } from '$lib/core/foundation/snapshot';
import { AtMost, ClientKey, GroupPassings, Maybe, Num, OneOf, Text, VoltsOrNull, When, Whole } from '$lib/input/fields';

export class ServiceCheckInput {
	@Whole(1, 2 ** 31) bankId!: number;
	@Whole(1, 32) battery: number = 1;
	@When() checkedAt!: string;
	/** How far off the time may be, s; missing: exact. */
	@Maybe() @Num(0, 1e8) checkedDoubtS?: number | null;
	@OneOf(CHECK_CONTEXTS) context!: CheckContext;
	@Num(-10_000, 10_000) currentA!: number;
	@Maybe() @Num(-60, 100) temperatureC?: number | null;
	/** One a group, position 1 first; null where not read. */
	@IsArray() @ArrayMinSize(1) @AtMost(128) @VoltsOrNull() groupVoltagesV!: (number | null)[];
	/** Ah counted when each group passed one voltage in the charge that ended so; missing: no log. */
	@Maybe() @GroupPassings() passings?: Passings | null;
	@Maybe() @Text(4000) notes?: string | null;
	@Maybe() @ClientKey() clientKey?: string;
}

import { IsArray, IsInt, Max, Min } from 'class-validator';
import { BATTERY_WORKS, type BatteryWorkKind } from '$lib/core/picture';
import { AtMost, ClientKey, Maybe, OneOf, Text, When, Whole } from '$lib/input/fields';

/** Something in a built battery that was moved, opened or changed: what was proved with it before is open again. */
export class BatteryWorkInput {
	@Whole(1, 2 ** 31) batteryId!: number;
	@When() doneAt!: string;
	@OneOf(BATTERY_WORKS) what!: BatteryWorkKind;
	/** Leads (0 to S) or joints (0 to S); missing or empty: all of them. */
	@Maybe() @IsArray() @AtMost(129) @IsInt({ each: true }) @Min(0, { each: true }) @Max(128, { each: true }) positions?:
		number[] | null;
	@Maybe() @Text(4000) notes?: string | null;
	@Maybe() @ClientKey() clientKey?: string;
}

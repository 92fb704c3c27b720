import type { StopReason } from '$lib/core/picture';
import { ArrayMaxSize, IsArray } from 'class-validator';
import { ClientKey, EachOneOf, Maybe, Num, Text, VoltsOrNull, When, Whole } from '$lib/input/fields';

const SEEN: readonly StopReason[] = ['leak', 'smell', 'heat', 'swelling', 'vent'];

/** A module of a delivery that came in one piece: what was read and seen of it, and when it was taken apart. */
export class ModuleInput {
	@Whole(1, 2 ** 31) deliveryId!: number;
	/** Which of the delivery, from 1. */
	@Whole(1, 2000) number!: number;
	/** Over its terminals, V; negative where it stands the other way round. */
	@Maybe() @Num(-1000, 1000) voltageV?: number | null;
	/** Over each group, from its minus, V. */
	@Maybe() @ArrayMaxSize(400) @VoltsOrNull() groupsV?: (number | null)[] | null;
	@Maybe() @When() readAt?: string | null;
	/** What was seen from outside that stops it. */
	@Maybe() @IsArray() @ArrayMaxSize(5) @EachOneOf(SEEN) seen?: StopReason[] | null;
	/** When it was taken apart; null: it is in one piece. */
	@Maybe() @When() openedOn?: string | null;
	@Maybe() @Text(4000) notes?: string | null;
	@Maybe() @ClientKey() clientKey?: string;
}

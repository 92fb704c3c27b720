import { ANSWERS, SLEEVE_KINDS, TERMINAL_KINDS, VENT_KINDS, type Answer } from '$lib/core/picture';
import { ClientKey, Maybe, MaybeMillimetres, OneOf, Text, When, Whole } from '$lib/input/fields';

/** A cell looked at; what was not looked at is missing. */
export class InspectionInput {
	@Whole(1, 2 ** 31) cellId!: number;
	@Maybe() @When() inspectedAt?: string;
	@Maybe() @OneOf(ANSWERS) dent?: Answer | null;
	@Maybe() @OneOf(ANSWERS) bulge?: Answer | null;
	@Maybe() @OneOf(ANSWERS) terminals?: Answer | null;
	@Maybe() @OneOf(ANSWERS) thread?: Answer | null;
	@Maybe() @OneOf(ANSWERS) sleeve?: Answer | null;
	@Maybe() @OneOf(ANSWERS) vent?: Answer | null;
	@Maybe() @OneOf(ANSWERS) leak?: Answer | null;
	@Maybe() @OneOf(ANSWERS) smell?: Answer | null;
	@Maybe() @OneOf(ANSWERS) heat?: Answer | null;
	/** At the foot, in the middle, at the top. */
	@Maybe() @MaybeMillimetres() thicknessMm?: (number | null)[] | null;
	@Maybe() @OneOf(TERMINAL_KINDS) terminalKind?: (typeof TERMINAL_KINDS)[number] | null;
	@Maybe() @OneOf(SLEEVE_KINDS) sleeveKind?: (typeof SLEEVE_KINDS)[number] | null;
	@Maybe() @OneOf(VENT_KINDS) ventKind?: (typeof VENT_KINDS)[number] | null;
	/** Why a stop is no longer one. */
	@Maybe() @Text(400) resolved?: string | null;
	@Maybe() @Text(4000) notes?: string | null;
	@Maybe() @ClientKey() clientKey?: string;
}

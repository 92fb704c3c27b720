import { STAGES, SUBJECT_KINDS, type Stage, type SubjectKind } from '$lib/core/foundation/verdicts';
import { IsObject } from 'class-validator';
import { ClientKey, Identity, Maybe, OneOf, Text, When, Whole } from '$lib/input/fields';

/** "Seen, set apart": a verdict a person has looked at, and why it may stay as it is. */
export class AcknowledgementInput {
	@Whole(1, 2 ** 31) bankId!: number;
	@OneOf(STAGES) stage!: Stage;
	@Text(40, 1) code!: string;
	@OneOf(SUBJECT_KINDS) subjectKind!: SubjectKind;
	@Identity() subjectId!: string | number;
	@Text(400, 1) reason!: string;
	@Maybe() @ClientKey() clientKey?: string;
}

export class StoredAcknowledgementInput extends AcknowledgementInput {
	@IsObject() facts!: object;
	@When() acknowledgedAt!: string;
}

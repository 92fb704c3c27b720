import { SUBJECT_KINDS, type SubjectKind } from '$lib/core/foundation/verdicts';
import { Identity, Maybe, OneOf, Text, When } from './fields';

/** What is said of a file that is attached. */
export class AttachmentInput {
	@OneOf(SUBJECT_KINDS) subjectKind!: SubjectKind;
	@Identity() subjectId!: string | number;
	@Text(160, 1) name!: string;
	@Maybe() @Text(200) about?: string | null;
	@Maybe() @When() takenAt?: string;
}

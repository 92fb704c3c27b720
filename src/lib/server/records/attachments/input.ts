import { Matches } from 'class-validator';
import { AttachmentInput } from '$lib/input/attachment';
import { Maybe, Text } from '$lib/input/fields';

/** What of it can be changed. */
export class AttachmentChange {
	@Text(160, 1) name!: string;
	@Maybe() @Text(200) about?: string | null;
}

export class StoredAttachmentInput extends AttachmentInput {
	@Matches(/^[0-9a-f]{64}$/, { message: '$property requires a SHA-256 in 64 digits' }) hash!: string;
}

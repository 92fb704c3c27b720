import { createRepository } from '../../db/repository';
import type { Stored } from '../kind';
import type { StoredAttachmentInput } from './input';

/** A photo or file of something; its bytes are kept by their hash. */
export type Attachment = Stored<Omit<StoredAttachmentInput, 'takenAt'>> & { takenAt: string };
export const attachments = createRepository<Attachment>('attachments', 'photo or file', 'takenAt');

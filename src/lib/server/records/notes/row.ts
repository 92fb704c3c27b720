import { createRepository } from '../../db/repository';
import type { Stored } from '../kind';
import type { NoteInput } from './input';

export type Note = Stored<Omit<NoteInput, 'writtenAt' | 'clientKey'>> & { writtenAt: string };
export const notes = createRepository<Note>('notes', 'note', 'writtenAt');

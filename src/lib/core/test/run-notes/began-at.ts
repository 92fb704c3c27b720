import { CoreError } from '../../foundation/errors';
import type { SpotNote } from './fit-notes';

/**
 * A run by notes that began at another moment than was written first: each note keeps the moment at which it was made.
 * @param startedAt as it was kept, ISO 8601 @param beganAt as it was, ISO 8601
 * @throws CoreError `order` for a start after the first note, `not-a-number` for what is no moment
 */
export function beganAt<Note extends Pick<SpotNote, 'timeS'>>(
	startedAt: string,
	notes: readonly Note[],
	began: string
): { startedAt: string; notes: Note[] } {
	const shiftS = (Date.parse(startedAt) - Date.parse(began)) / 1000;
	if (!Number.isFinite(shiftS))
		throw new CoreError('not-a-number', 'startedAt', 'startedAt requires a date and a time');
	const moved = notes.map((n) => (n.timeS == null ? n : { ...n, timeS: n.timeS + shiftS }));
	if (moved.some((n) => n.timeS != null && n.timeS < 0))
		throw new CoreError('order', 'startedAt', 'The run cannot have begun after its first line was read.');
	return { startedAt: began, notes: moved };
}

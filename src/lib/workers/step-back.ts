import { setPriority } from 'node:os';

/** Steps a thread gives way to the server's own. */
const MODEST = 10;

/** Lets the server's own thread go first; on Linux this is the calling thread's priority alone. */
export function stepBack(): void {
	if (process.platform === 'linux') setPriority(MODEST);
}

import { setPriority } from 'node:os';

/** Steps a thread gives way to the server's own: work somebody looks at a page for goes before work that takes its time anyhow. */
const STEPS = { brief: 4, long: 12 } as const;

/** How long a piece of work takes: a moment, or as long as it is let. */
export type Pace = keyof typeof STEPS;

/** Lets the server's own thread go first; on Linux this is the calling thread's priority alone. */
export function stepBack(pace: Pace = 'long'): void {
	if (process.platform === 'linux') setPriority(STEPS[pace]);
}

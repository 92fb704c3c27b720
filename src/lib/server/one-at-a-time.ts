import PQueue from 'p-queue';

/** Gives a way in for works that must not overlap: each begins when the one before it has ended, well or badly. */
export function oneAtATime(): <T>(work: () => Promise<T>) => Promise<T> {
	const queue = new PQueue({ concurrency: 1 });
	return (work) => queue.add(work, { throwOnTimeout: true });
}

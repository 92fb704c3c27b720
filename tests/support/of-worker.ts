/** One of a list by worker: each has an application, a database and a bench of its own. */
export function ofWorker(list: string): string {
	const all = list.split(',');
	return all[Number(process.env.TEST_PARALLEL_INDEX ?? 0) % all.length]!;
}

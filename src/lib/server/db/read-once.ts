import { AsyncLocalStorage } from 'node:async_hooks';

interface Scope {
	open: boolean;
	reads: Map<string, Promise<unknown>>;
}
const scopes = new AsyncLocalStorage<Scope>();

/**
 * Within `work` the same rows are read from the database once, however many parts of it ask for them. For work that only
 * reads: what it stores itself it would not see. Nested, the outer scope holds.
 */
export async function readingOnce<T>(work: () => Promise<T>): Promise<T> {
	if (scopes.getStore()?.open) return work();
	const scope: Scope = { open: true, reads: new Map() };
	try {
		return await scopes.run(scope, work);
	} finally {
		// What goes on from here after the work is done reads for itself again.
		scope.open = false;
	}
}

/** A read that {@link readingOnce} shares; outside of it a read as any other. @param key names table and rows */
export function shared<T>(key: string, read: () => Promise<T>): Promise<T> {
	const scope = scopes.getStore();
	if (!scope?.open) return read();
	const known = scope.reads.get(key) as Promise<T> | undefined;
	if (known) return known;
	const begun = read();
	scope.reads.set(key, begun);
	return begun;
}

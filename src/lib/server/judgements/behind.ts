import { log } from '../log';
import { isJudged, refreshJudgement, staleBanks, waited } from './store';

/**
 * Judges what is out of date, one bank after the other, as long as the patience of whoever waits lasts.
 * @param bankIds those that are asked for; none given: all @returns those that are still out of date
 */
export async function refreshWithin(patienceMs: number, bankIds?: readonly number[]): Promise<number[]> {
	const until = Date.now() + patienceMs;
	const over = new AbortController();
	const late = patienceMs === Infinity ? new Promise<never>(() => undefined) : waited(patienceMs, over.signal);
	const asked = bankIds && new Set(bankIds);
	const stale = (await staleBanks()).filter((id) => !asked || asked.has(id));
	try {
		for (const [done, id] of stale.entries()) {
			if (Date.now() > until) return stale.slice(done);
			// Somebody else may have asked for it meanwhile.
			if (await isJudged(id)) continue;
			const judged = refreshJudgement(id).catch((error: unknown) =>
				log.error({ err: error, bankId: id }, 'bank not judged')
			);
			if ((await Promise.race([judged, late])) === 'late') return stale.slice(done);
		}
		return [];
	} finally {
		over.abort();
	}
}

let behind: Promise<unknown> | null = null;

/** Goes on judging what is out of date without anybody waiting; one at a time. */
export function refreshBehind(): void {
	behind ??= refreshWithin(Infinity)
		.catch((error: unknown) => log.error({ err: error }, 'banks not judged'))
		.finally(() => (behind = null));
}

/** As {@link refreshWithin}; what is left over is judged behind whoever asked. @returns those that were not judged in time */
export async function refreshSoon(patienceMs: number, bankIds?: readonly number[]): Promise<number[]> {
	const left = await refreshWithin(patienceMs, bankIds);
	if (left.length) refreshBehind();
	return left;
}

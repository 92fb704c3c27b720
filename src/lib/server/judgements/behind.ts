import { log } from '../log';
import { isJudged, refreshJudgement, staleBanks } from './store';

/**
 * Judges what is out of date, one bank after the other, as long as the patience of whoever waits lasts.
 * @param bankIds those that are asked for; none given: all @returns those that are still out of date
 */
export async function refreshWithin(patienceMs: number, bankIds?: readonly number[]): Promise<number[]> {
	const until = Date.now() + patienceMs;
	const asked = bankIds && new Set(bankIds);
	const stale = (await staleBanks()).filter((id) => !asked || asked.has(id));
	for (const [done, id] of stale.entries()) {
		if (Date.now() > until) return stale.slice(done);
		// Somebody else may have asked for it meanwhile.
		if (await isJudged(id)) continue;
		await refreshJudgement(id).catch((error: unknown) => log.error({ err: error, bankId: id }, 'bank not judged'));
	}
	return [];
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

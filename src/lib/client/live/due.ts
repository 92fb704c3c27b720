/** A moment at which something that nobody follows by wire wants a person. */
export interface Due {
	key: string;
	at: string;
	what: string;
	message: string;
	href: string;
}

/** Moments that came longer ago are shown by their pages and ring no more, ms. */
const STALE_MS = 12 * 3_600_000;

/**
 * Which of them ring now, and when to look again.
 * @param rung keys of those that have rung already
 * @returns `nextMs` of the first that is still to come, null when none is
 */
export function dueNow(
	due: readonly Due[],
	rung: ReadonlySet<string>,
	nowMs: number
): { ring: Due[]; nextMs: number | null } {
	const at = (d: Due) => Date.parse(d.at);
	const ring = due.filter((d) => at(d) <= nowMs && at(d) > nowMs - STALE_MS && !rung.has(d.key));
	const later = due.map(at).filter((ms) => ms > nowMs);
	return { ring, nextMs: later.length ? Math.min(...later) : null };
}

const KEY = 'kind-ember-rung';
/** Keys of what has rung, kept for all tabs of this browser; the last two hundred. */
export const rungKeys = {
	read(): Set<string> {
		try {
			return new Set(JSON.parse(localStorage.getItem(KEY) ?? '[]') as string[]);
		} catch {
			return new Set();
		}
	},
	add(keys: readonly string[]): void {
		try {
			localStorage.setItem(KEY, JSON.stringify([...rungKeys.read(), ...keys].slice(-200)));
		} catch {
			// A browser that keeps nothing rings once a page.
		}
	}
};

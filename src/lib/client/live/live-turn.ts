const LOCK = 'kind-ember-live-line';

/** What the turn needs of the browser. */
export interface Surroundings {
	/** The document: in view, or in the background. */
	page: Pick<Document, 'visibilityState' | 'addEventListener'>;
	/** Shared by all tabs; absent where the address is not a safe one. */
	locks: Pick<LockManager, 'request'> | undefined;
}

/**
 * Whether this tab may hold a line to the server. Browsers keep six connections to one host: each tab in view has a line, and of
 * all those in the background one, so that an alarm is still heard.
 * @param changed called when the answer is another @returns the answer now
 */
export function watchTurn({ page, locks }: Surroundings, changed: () => void): () => boolean {
	if (!locks) return () => true;
	let mine = true;
	let leave: (() => void) | null = null;
	const decide = (next: boolean) => {
		if (next === mine) return;
		mine = next;
		changed();
	};
	const hold = () => {
		decide(true);
		return new Promise<void>((done) => (leave = done));
	};
	/** Takes the one line of the background: at once if it is free, else when its holder goes. */
	async function queue(): Promise<void> {
		const waiting = new AbortController();
		leave = () => waiting.abort();
		const held = await locks!.request(LOCK, { ifAvailable: true }, (lock) => {
			if (!lock || waiting.signal.aborted) return false;
			return hold().then(() => true);
		});
		if (held || waiting.signal.aborted) return;
		decide(false);
		await locks!.request(LOCK, { signal: waiting.signal }, hold).catch(() => undefined);
	}
	function settle(): void {
		leave?.();
		leave = null;
		if (page.visibilityState === 'hidden') void queue();
		else decide(true);
	}
	page.addEventListener('visibilitychange', settle);
	if (page.visibilityState === 'hidden') settle();
	return () => mine;
}

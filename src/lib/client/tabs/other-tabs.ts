const CHANNEL = 'kind-ember-written';
/** Writes that follow each other closely are told once, ms. */
const TOGETHER_MS = 400;
/** A tab that was out of sight so long looks again when it is seen, ms. */
const AWAY_MS = 5000;

let channel: BroadcastChannel | null = null;
const open = (): BroadcastChannel | null =>
	typeof BroadcastChannel === 'undefined' ? null : (channel ??= new BroadcastChannel(CHANNEL));

/** Tells the other tabs of this browser that something was written. */
export const tellOtherTabs = (): void => open()?.postMessage('written');

/**
 * Looks again when another tab has written, or when this one comes back into sight after a while: what is typed here stays.
 * @returns how to stop
 */
export function followOtherTabs(lookAgain: () => void): () => void {
	let soon: ReturnType<typeof setTimeout> | undefined;
	let hiddenSince: number | null = null;
	const told = () => {
		clearTimeout(soon);
		soon = setTimeout(lookAgain, TOGETHER_MS);
	};
	const seen = () => {
		if (document.hidden) hiddenSince = Date.now();
		else if (hiddenSince !== null && Date.now() - hiddenSince > AWAY_MS) lookAgain();
	};
	open()?.addEventListener('message', told);
	document.addEventListener('visibilitychange', seen);
	return () => {
		clearTimeout(soon);
		channel?.removeEventListener('message', told);
		document.removeEventListener('visibilitychange', seen);
	};
}

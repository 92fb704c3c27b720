<script lang="ts">
	import { goto, invalidate } from '$app/navigation';
	import { alarm } from '$lib/client/live/alarm';
	import { hearLive } from '$lib/client/live/live-line';
	import type { ShownLive } from '$lib/components/instruments/live-words';
	import { LIVE_NAMES } from '$lib/core/foundation/live-run';

	/** Rings on whatever page is open, for every live run. */
	interface Props {
		/** The bank whose page is open, null on a page of none; what it shows to be running is kept fresh. */
		bankId: number | null;
	}
	let { bankId }: Props = $props();
	/** Between refreshes of what is shown to be running, ms: a bank's top bar, and home, which sums up every bank. */
	const REFRESH_MS = { bank: 2000, home: 15_000 };

	/** What has been told of each run; what was there before the page opened is shown by the page itself. */
	const told = new Map<number, Set<number>>();
	const states = new Map<number, ShownLive['state']>();
	let refreshedMs = 0;

	function ring(view: ShownLive) {
		const asked = view.events.filter((e) => e.needsPerson && !e.seenAt);
		const known = told.get(view.id);
		told.set(view.id, new Set([...(known ?? []), ...asked.map((e) => e.id)]));
		if (!known) return;
		const href = `/banks/${view.bankId}/live/${view.id}`;
		for (const event of asked.filter((e) => !known.has(e.id)))
			alarm(`${LIVE_NAMES[view.kind]} of ${view.bankName}`, event.message, () => void goto(href));
	}
	function refresh(view: ShownLive) {
		const before = states.get(view.id);
		states.set(view.id, view.state);
		if (before && before !== view.state) void invalidate('live:open');
		if (bankId !== null && view.bankId !== bankId) return;
		const changed = before !== undefined && before !== view.state;
		if (!changed && Date.now() - refreshedMs < REFRESH_MS[bankId === null ? 'home' : 'bank']) return;
		refreshedMs = Date.now();
		void invalidate('bank:overview');
	}
	/** In the background the line may have been another tab's: what happened meanwhile is asked for. */
	function comeBack() {
		if (document.visibilityState === 'visible')
			void Promise.all(['live:open', 'bank:overview'].map((what) => invalidate(what)));
	}
	$effect(() =>
		hearLive<ShownLive>((view) => {
			ring(view);
			refresh(view);
		})
	);
</script>

<svelte:document onvisibilitychange={comeBack} />

<script lang="ts">
	import { invalidate } from '$app/navigation';
	import { alarm } from '$lib/client/alarm';
	import { followLive } from '$lib/client/live-follow';
	import { LIVE_NAMES, type ShownLive } from '$lib/components/live/live-words';

	/** Rings on whatever page of the bank is open. */
	let { runId, bankName }: { runId: number; bankName: string } = $props();
	/** Between refreshes of what the top bar shows, ms. */
	const REFRESH_MS = 2000;

	$effect(() => {
		const told = new Set<number>();
		let first = true;
		let refreshedMs = 0;
		let state: ShownLive['state'] | null = null;
		return followLive<ShownLive>(runId, Number.MAX_SAFE_INTEGER, {
			onSamples: () => undefined,
			onLine: () => undefined,
			onView(view) {
				for (const event of view.events.filter((e) => e.needsPerson && !e.seenAt && !told.has(e.id))) {
					told.add(event.id);
					if (!first) alarm(`${LIVE_NAMES[view.kind]} of ${bankName}`, event.message);
				}
				first = false;
				const changed = state !== null && state !== view.state;
				state = view.state;
				if (!changed && Date.now() - refreshedMs < REFRESH_MS) return;
				refreshedMs = Date.now();
				void invalidate('bank:overview');
			}
		});
	});
</script>

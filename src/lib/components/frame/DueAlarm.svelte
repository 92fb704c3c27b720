<script lang="ts">
	import { goto } from '$app/navigation';
	import { alarm } from '$lib/client/live/alarm';
	import { api } from '$lib/client/api/api';
	import { dueNow, rungKeys, type Due } from '$lib/client/live/due';

	/** Rings on whatever page is open for what nobody follows by wire: a run by notes, a rest that is over, a deadline. */
	const LOOK_MS = 60_000;

	let timer: ReturnType<typeof setTimeout> | undefined;
	async function look() {
		clearTimeout(timer);
		let waitMs = LOOK_MS;
		try {
			const { due } = (await api.get('due')) as unknown as { due: Due[] };
			const { ring, nextMs } = dueNow(due, rungKeys.read(), Date.now());
			rungKeys.add(ring.map((d) => d.key));
			for (const d of ring) alarm(d.what, d.message, () => void goto(d.href));
			if (nextMs !== null) waitMs = Math.min(waitMs, Math.max(250, nextMs - Date.now()));
		} catch {
			// No line: asked again in a minute.
		}
		clearTimeout(timer);
		timer = setTimeout(() => void look(), waitMs);
	}
	$effect(() => {
		void look();
		return () => clearTimeout(timer);
	});
</script>

<svelte:document onvisibilitychange={() => document.visibilityState === 'visible' && void look()} />

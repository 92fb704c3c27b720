<script lang="ts">
	import type { Snippet } from 'svelte';

	let { children }: { children?: Snippet } = $props();
	let heightPx = $state(56);
	/** What stays in view beside the work begins under the bar, however many lines it has. */
	$effect(() => document.documentElement.style.setProperty('--bar', `${heightPx}px`));
</script>

<header
	bind:offsetHeight={heightPx}
	class="no-print top-0 z-30 flex min-h-14 lg:sticky flex-wrap items-center gap-x-6 gap-y-1 border-b max-sm:gap-x-3 border-[var(--line)] bg-base-100 px-4 py-1 max-sm:px-3"
>
	<a href="/" class="tap flex items-center gap-2 font-bold">
		<svg viewBox="0 0 32 32" class="h-6 w-6" aria-hidden="true"
			><rect x="3" y="6" width="7" height="20" rx="2" fill="#8b857c" /><rect
				x="12.5"
				y="6"
				width="7"
				height="20"
				rx="2"
				fill="#e0662a"
			/><rect x="22" y="6" width="7" height="20" rx="2" fill="#8b857c" /></svg
		>
		<span class="max-sm:sr-only">Kind Ember</span>
	</a>
	{@render children?.()}
	<a href="/instruments" class="tap ml-auto flex items-center underline-offset-4 hover:underline">Instruments</a>
	<a href="/settings" class="tap flex items-center underline-offset-4 hover:underline">Settings</a>
</header>

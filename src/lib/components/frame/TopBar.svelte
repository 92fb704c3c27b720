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
	<a href="/instruments" class="tap ml-auto flex items-center underline-offset-4 hover:underline max-sm:hidden"
		>Instruments</a
	>
	<a href="/settings" class="tap flex items-center underline-offset-4 hover:underline max-sm:hidden">Settings</a>
	<!-- On a phone the head is one line. -->
	<details class="menu relative ml-auto sm:hidden">
		<summary class="tap flex cursor-pointer items-center px-2 font-semibold">Menu</summary>
		<nav class="sheet absolute right-0 z-40 grid w-52 p-2" aria-label="Everywhere">
			<a href="/" class="tap flex items-center px-3">Your banks</a>
			<a href="/stock" class="tap flex items-center px-3">Your stock</a>
			<a href="/instruments" class="tap flex items-center px-3">Instruments</a>
			<a href="/settings" class="tap flex items-center px-3">Settings</a>
			<a href="/taken-out" class="tap flex items-center px-3">Taken out</a>
		</nav>
	</details>
</header>

<style>
	.menu summary {
		list-style: none;
	}
	.menu summary::-webkit-details-marker {
		display: none;
	}
</style>

<script lang="ts">
	import type { Snippet } from 'svelte';

	interface Props {
		title: string;
		/** Its answer, shown while it is folded too. */
		answer: string | null;
		/** It wants a look: marked. */
		warm?: boolean;
		/** How it stands at first. */
		start?: 'open' | 'folded';
		children: Snippet;
	}
	let { title, answer, warm = false, start = 'folded', children }: Props = $props();
	// svelte-ignore state_referenced_locally
	let open = $state(start === 'open');
</script>

<details class="sheet fold" class:warm bind:open>
	<summary class="tap">
		<span class="font-bold">{title}</span>
		<span class={warm ? 'ember-text font-semibold' : 'muted'}>{answer ?? 'nothing said yet'}</span>
	</summary>
	<div class="grid gap-4 p-4 pt-1">{@render children()}</div>
</details>

<style>
	summary {
		display: flex;
		flex-wrap: wrap;
		align-items: center;
		justify-content: space-between;
		gap: 0 1rem;
		padding: 0.4rem 1rem;
		cursor: pointer;
	}
	.warm {
		border-color: var(--ember);
	}
</style>

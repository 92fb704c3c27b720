<script lang="ts">
	import type { Snippet } from 'svelte';

	/** A part of a view: in full where there is room, folded on a phone until it is asked for. */
	interface Props {
		title: string;
		/** Its answer in a few words, shown while it is folded. */
		answer?: string | null;
		/** How it stands on a phone at first. */
		start?: 'open' | 'folded';
		/** Without a sheet of its own: its children bring theirs. */
		bare?: boolean;
		class?: string;
		children: Snippet;
		[data: `aria-${string}`]: string | boolean | null | undefined;
	}
	let { title, answer = null, start = 'folded', bare = false, class: extra = '', children, ...rest }: Props = $props();
	// svelte-ignore state_referenced_locally
	let open = $state(start === 'open');
</script>

<section class="{extra} {bare ? '' : 'sheet p-4'}" class:open aria-label={title} {...rest}>
	<h2 class="title" class:bare>{title}</h2>
	<button class="fold tap" class:sheet={bare} class:alone={bare} aria-expanded={open} onclick={() => (open = !open)}>
		<span class="font-bold"><span class="sign" aria-hidden="true">›</span> {title}</span>
		{#if answer}<span class="muted">{answer}</span>{/if}
	</button>
	<div class="body">{@render children()}</div>
</section>

<style>
	.fold {
		display: none;
	}
	.bare.title {
		display: none;
	}
	.body {
		display: grid;
		grid-template-columns: minmax(0, 1fr);
		gap: 0.75rem;
	}
	.title + .fold + .body {
		margin-top: 0.5rem;
	}
	@media (max-width: 640px) {
		.title {
			display: none;
		}
		.fold {
			display: flex;
			flex-wrap: wrap;
			align-items: center;
			justify-content: space-between;
			gap: 0 1rem;
			width: 100%;
			text-align: start;
		}
		.fold.alone {
			padding-inline: 1rem;
		}
		.sign {
			display: inline-block;
			width: 1rem;
		}
		.open .sign {
			transform: rotate(90deg);
		}
		section:not(.open) > .body {
			display: none;
		}
		section.sheet:not(.open) {
			padding-block: 0.25rem;
		}
	}
	@media print {
		section > .body {
			display: grid !important;
		}
	}
</style>

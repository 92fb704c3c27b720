<script lang="ts">
	import type { Snippet } from 'svelte';
	import { warmestFirst, warmestOf } from '$lib/core/foundation/verdicts';
	import type { ShownVerdict } from '$lib/core/foundation/verdicts';
	import VerdictList from '$lib/components/verdicts/VerdictList.svelte';

	interface Props {
		title: string;
		subtitle?: string;
		verdicts: ShownVerdict[];
		onpick?: (cellId: number) => void;
		/** Sets a verdict apart, or lets it glow again. */
		onsetapart?: (verdict: ShownVerdict, reason: string | null) => void;
		/** Controls beside the title. */
		tools?: Snippet;
		children: Snippet;
	}
	let { title, subtitle, verdicts, onpick, onsetapart, tools, children }: Props = $props();
	const needing = $derived(verdicts.filter((v) => v.warmth !== 'calm').length);
	const warmth = $derived(warmestOf(verdicts));
	/** What must be seen before anything is scrolled. */
	const stop = $derived(verdicts.find((v) => v.warmth === 'stop'));
	/** The warmest so many go on paper. */
	const PRINTED = 12;
</script>

<div class="stage-page">
	<main class="work">
		<header class="mb-3 flex flex-wrap items-center justify-between gap-3">
			<div>
				<h1>{title}</h1>
				{#if subtitle}<p class="text-[0.95rem] muted">{subtitle}</p>{/if}
			</div>
			{@render tools?.()}
		</header>
		{@render children()}
		{#if verdicts.length}<section class="printed" aria-hidden="true">
				<h2>What is found</h2>
				<ul>
					{#each warmestFirst(verdicts).slice(0, PRINTED) as v, i (i)}<li>
							<strong>{v.title}.</strong>
							{v.finding}
							{v.doubt}
						</li>{/each}
				</ul>
			</section>{/if}
	</main>
	<aside class="judged" aria-label="Verdicts">
		<details class="phone-sheet">
			<summary class="tap flex cursor-pointer items-center justify-between gap-3 px-4 font-bold" data-warmth={warmth}>
				{#if stop}<span class="py-1 ember-text">Stop: {stop.title.replace(/^Stop: /, '')}</span>{:else}<span
						>Verdicts</span
					>{/if}<span class="figure whitespace-nowrap"
					>{needing ? `${needing} need you` : verdicts.length ? 'nothing needs you' : 'nothing checked yet'}</span
				>
			</summary>
			<div class="max-h-[60vh] overflow-y-auto p-3"><VerdictList {verdicts} {onpick} {onsetapart} /></div>
		</details>
		<div class="wide-list"><VerdictList {verdicts} {onpick} {onsetapart} /></div>
	</aside>
</div>

<style>
	.stage-page {
		display: grid;
		grid-template-columns: minmax(0, 1fr) 20.5rem;
		min-height: calc(100vh - 3.5rem);
	}
	.work {
		padding: 1rem 1.25rem 2rem;
		min-width: 0;
	}
	.judged {
		background: var(--color-base-300);
		border-left: 1px solid var(--line);
		padding: 1rem;
	}
	.phone-sheet,
	.printed {
		display: none;
	}
	.wide-list {
		position: sticky;
		top: calc(var(--bar, 3.5rem) + 0.2rem);
		max-height: calc(100vh - var(--bar, 3.5rem) - 0.4rem);
		overflow-y: auto;
		/* Room for the glow of a warm verdict. */
		margin: -0.8rem;
		padding: 0.8rem;
	}
	@media (max-width: 1023px) {
		.stage-page {
			display: block;
			padding-bottom: 4rem;
		}
		.work {
			padding: 0.75rem;
		}
		.wide-list {
			display: none;
		}
		.judged {
			position: fixed;
			inset: auto 0 0 0;
			padding: 0;
			border-top: 2px solid var(--line);
			z-index: 20;
		}
		.phone-sheet {
			display: block;
		}
		summary[data-warmth='look'] {
			border-top: 4px solid var(--ember);
		}
		summary[data-warmth='stop'] {
			border-top: 6px solid var(--stop);
		}
	}
	@media print {
		.judged {
			display: none;
		}
		.stage-page {
			display: block;
		}
		.work {
			padding: 0;
		}
		.printed {
			display: block;
			margin-top: 1rem;
			break-inside: avoid;
		}
		.printed li {
			margin-top: 0.3rem;
		}
	}
</style>

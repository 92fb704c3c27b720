<script lang="ts">
	import { warmestFirst, type Verdict } from '$lib/core/shared';

	interface Props {
		verdicts: Verdict[];
		/** Shown when there is nothing to say. */
		empty?: string;
		onpick?: (cellId: number) => void;
	}
	let { verdicts, empty = 'Nothing to judge yet.', onpick }: Props = $props();

	const WORDS = { stop: 'Stop', look: 'Look at this', open: 'Still open', calm: '' } as const;
	const ordered = $derived(warmestFirst(verdicts));
</script>

<ol class="grid gap-3" aria-label="Verdicts, warmest first">
	{#each ordered as verdict, i (verdict.code + verdict.title + i)}
		<li class="verdict sheet" data-warmth={verdict.warmth} data-code={verdict.code}>
			{#if WORDS[verdict.warmth]}<p class="text-sm font-bold {verdict.warmth === 'open' ? 'muted' : 'ember-text'}">
					{WORDS[verdict.warmth]}
				</p>{/if}
			<h3 class="font-bold leading-snug">{verdict.title}</h3>
			<p class="mt-1 text-[0.95rem] leading-snug">{verdict.finding}</p>
			{#if verdict.doubt && verdict.warmth !== 'calm'}<p class="mt-1 text-sm leading-snug muted">
					{verdict.doubt}
				</p>{/if}
			{#if verdict.next}<p class="mt-2 font-semibold leading-snug">{verdict.next}</p>{/if}
			<details class="mt-1 text-sm muted">
				<summary class="tap flex cursor-pointer items-center underline decoration-dotted underline-offset-4"
					>{verdict.warmth === 'calm' && verdict.doubt ? 'Doubt and rule' : 'Rule'}</summary
				>
				{#if verdict.doubt && verdict.warmth === 'calm'}<p class="mb-1">
						<span class="font-semibold">Doubt:</span>
						{verdict.doubt}
					</p>{/if}
				<p><span class="font-semibold">Rule:</span> {verdict.rule}</p>
			</details>
			{#if onpick && verdict.cellIds.length === 1 && verdict.warmth !== 'calm'}
				<button class="btn btn-primary tap mt-1" onclick={() => onpick(verdict.cellIds[0])}>Go to this cell</button>
			{/if}
		</li>
	{:else}
		<li class="muted">{empty}</li>
	{/each}
</ol>

<style>
	.verdict {
		padding: 0.8rem 1rem;
		position: relative;
	}
	.verdict[data-warmth='open'] {
		border-color: var(--ember-soft);
	}
	.verdict[data-warmth='look'] {
		border-color: var(--ember);
		box-shadow: 0 0 14px -2px color-mix(in oklch, var(--ember) 45%, transparent);
	}
	.verdict[data-warmth='stop'] {
		border: 2px solid var(--stop);
		box-shadow: 0 0 22px 0 color-mix(in oklch, var(--stop) 60%, transparent);
	}
</style>

<script lang="ts">
	import type { Asked, Tick } from '$lib/core/test/clauses';

	let { strip }: { strip: readonly Tick[] } = $props();
	const NAMES: Record<Asked, string> = {
		full: 'Full',
		rested: 'Rested',
		rate: 'Rate',
		temperature: 'Warmth',
		cutoff: 'Cut-off',
		tester: 'Tester'
	};
	const MARKS: Record<Tick['state'], string> = { kept: '✓', corrected: '≈', unknown: '?', void: '✗' };
	const SAID: Record<Tick['state'], string> = {
		kept: 'as asked',
		corrected: 'reckoned back',
		unknown: 'not written down',
		void: 'not this promise'
	};
</script>

{#if strip.length}
	<ul class="strip" aria-label="What the run kept of its protocol">
		{#each strip as { asked, state, wanted, was } (asked)}
			<li data-state={state}>
				<span class="mark" aria-hidden="true">{MARKS[state]}</span>
				<span class="name">{NAMES[asked]}</span>
				<span class="was figure">{was ?? '–'}</span>
				<span class="muted">{state === 'kept' ? SAID.kept : `${SAID[state]}; asked: ${wanted}`}</span>
			</li>
		{/each}
	</ul>
{/if}

<style>
	.strip {
		display: grid;
		grid-template-columns: repeat(auto-fit, minmax(8.5rem, 1fr));
		gap: 0.5rem;
		margin-top: 0.75rem;
	}
	li {
		display: grid;
		grid-template-columns: auto 1fr;
		gap: 0 0.4rem;
		border-top: 3px solid var(--line);
		padding-top: 0.35rem;
		font-size: 0.9rem;
	}
	li[data-state='void'] {
		border-top-color: var(--ember);
	}
	.mark {
		font-weight: 700;
	}
	.name {
		font-weight: 700;
	}
	.was,
	.muted {
		grid-column: 1 / -1;
	}
</style>

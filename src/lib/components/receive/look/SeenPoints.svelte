<script lang="ts">
	import { ALSO_FELT, INSPECTED, type Answer, type Inspection, type Seen } from '$lib/core/picture';
	import { SEEN, answerWords } from './seen-words';

	/** The points of an inspection, each answered by what is seen. */
	let { inspection, onanswer }: { inspection: Inspection; onanswer: (key: Seen, value: Answer) => void } = $props();
</script>

<ul class="questions">
	{#each [...INSPECTED, ...ALSO_FELT] as key (key)}
		<li>
			<span id="ask-{key}">{SEEN[key].what}</span>
			<div class="answers" role="group" aria-labelledby="ask-{key}">
				{#each ['good', 'unsure', 'bad'] as const as value (value)}
					<button
						class="btn tap"
						class:chosen={inspection[key] === value}
						data-answer={value}
						aria-pressed={inspection[key] === value}
						onclick={() => onanswer(key, value)}>{answerWords(key, value)}</button
					>
				{/each}
			</div>
		</li>
	{/each}
</ul>

<style>
	.questions {
		display: grid;
		grid-template-columns: repeat(auto-fill, minmax(22rem, 1fr));
		gap: 0.4rem 1.5rem;
	}
	.questions li {
		display: flex;
		align-items: center;
		justify-content: space-between;
		gap: 0.75rem;
		border-top: 1px solid var(--line);
		padding-top: 0.4rem;
	}
	.answers {
		display: flex;
		gap: 0.25rem;
		flex: none;
	}
	.answers .btn {
		padding-inline: 0.8rem;
	}
	.chosen {
		background: var(--color-base-content);
		color: var(--color-base-100);
	}
	.chosen[data-answer='bad'] {
		background: var(--color-error, oklch(55% 0.2 33));
		color: white;
	}
	@media (max-width: 640px) {
		.questions {
			grid-template-columns: minmax(0, 1fr);
			row-gap: 0.2rem;
		}
		.questions li {
			display: grid;
			align-items: stretch;
			justify-content: stretch;
			gap: 0.1rem;
			padding-top: 0.2rem;
			line-height: 1.15;
		}
		.answers {
			display: grid;
			grid-template-columns: repeat(3, minmax(0, 1fr));
		}
		.answers .btn {
			height: auto;
			padding-inline: 0.25rem;
			line-height: 1.15;
		}
	}
</style>

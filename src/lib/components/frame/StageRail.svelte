<script lang="ts">
	import { STAGE_NAMES, type StageStatus } from '$lib/core/foundation/verdicts';

	interface Props {
		bankId: number;
		stages: StageStatus[];
		active: string;
	}
	let { bankId, stages, active }: Props = $props();
</script>

<nav aria-label="Stages" class="rail no-print">
	<ol>
		{#each stages as { stage, open, warmth } (stage)}
			<li>
				<a href="/banks/{bankId}/{stage}" class="tap stage" aria-current={active === stage ? 'page' : undefined}>
					<span>{STAGE_NAMES[stage]}</span>
					{#if open}<span
							class="figure badge-open"
							data-warmth={warmth}
							title={warmth === 'calm' ? `${open} to do` : `${open} need you`}>{open}</span
						>{/if}
				</a>
			</li>
		{/each}
	</ol>
</nav>

<style>
	.rail ol {
		position: sticky;
		top: var(--bar, 3.5rem);
		display: flex;
		flex-direction: column;
		padding: 1rem 0;
	}
	.stage {
		display: flex;
		align-items: center;
		justify-content: space-between;
		padding: 0 0.9rem 0 1.25rem;
		border-left: 4px solid transparent;
	}
	.stage[aria-current] {
		font-weight: 700;
		border-color: var(--color-base-content);
		background: var(--color-base-300);
	}
	a.stage:hover {
		background: var(--color-base-300);
	}
	.badge-open {
		min-width: 1.6rem;
		padding: 0 0.35rem;
		border-radius: 1rem;
		text-align: center;
		font-size: 0.9rem;
	}
	.badge-open[data-warmth='open'] {
		box-shadow: inset 0 0 0 1.5px var(--ember-soft);
	}
	.badge-open[data-warmth='look'] {
		background: oklch(86% 0.09 75);
		color: oklch(27% 0.016 60);
		font-weight: 700;
	}
	.badge-open[data-warmth='stop'] {
		background: oklch(50% 0.19 33);
		color: white;
		font-weight: 700;
	}
	@media (max-width: 1023px) {
		.rail ol {
			position: relative;
			top: 0;
			flex-direction: row;
			overflow-x: auto;
			padding: 0;
		}
		.stage {
			padding: 0 0.8rem;
			gap: 0.4rem;
			border-left: 0;
			border-bottom: 4px solid transparent;
			white-space: nowrap;
		}
	}
</style>

<script lang="ts">
	import type { Protocol } from '$lib/core/test/clauses';

	/** Ways to run a cell, one button each. */
	interface Props {
		ways: readonly Protocol[];
		onfollow: (way: Protocol) => void;
	}
	let { ways, onfollow }: Props = $props();
</script>

<div class="flex flex-wrap items-center gap-2" role="group" aria-label="Protocol">
	{#each ways as way (way.name)}<button type="button" class="btn tap" onclick={() => onfollow(way)}>{way.name}</button
		>{/each}
</div>

<script lang="ts">
	interface Props {
		series: number;
		parallel: number;
		batteries: number;
	}
	let { series, parallel, batteries }: Props = $props();
	const groups = $derived(Array.from({ length: series * batteries }, (_, i) => i));
	const height = $derived(10 * parallel);
</script>

<svg
	viewBox="0 0 {groups.length * 7 + 4} {height + 4}"
	class="mini"
	role="img"
	aria-label="{series} in series, {parallel} in parallel{batteries > 1 ? `, ${batteries} batteries` : ''}"
>
	{#each groups as g (g)}
		{#each Array.from({ length: parallel }, (_, i) => i) as p (p)}
			<rect x={2 + g * 7} y={2 + p * 10} width="5" height="8.5" rx="0.8" />
		{/each}
	{/each}
</svg>

<style>
	.mini {
		width: 100%;
		max-width: 15rem;
		max-height: 4rem;
	}
	rect {
		fill: var(--measure-1);
		stroke: var(--measure-line);
		stroke-width: 0.5;
	}
</style>

<script lang="ts">
	interface Props {
		series: number;
		parallel: number;
		batteries: number;
	}
	let { series, parallel, batteries }: Props = $props();
	const groups = $derived(series * batteries);
	const height = $derived(10 * parallel);
	/** Every cell as one piece of a single path: a page of banks draws thousands. */
	const path = $derived(
		Array.from({ length: groups }, (_, g) =>
			Array.from({ length: parallel }, (_, p) => `M${2 + g * 7} ${2 + p * 10}h5v8.5h-5z`).join('')
		).join('')
	);
</script>

<svg
	viewBox="0 0 {groups * 7 + 4} {height + 4}"
	class="mini"
	role="img"
	aria-label="{series} in series, {parallel} in parallel{batteries > 1 ? `, ${batteries} batteries` : ''}"
>
	<path d={path} />
</svg>

<style>
	.mini {
		width: 100%;
		max-width: 15rem;
		max-height: 4rem;
	}
	path {
		fill: var(--measure-1);
		stroke: var(--measure-line);
		stroke-width: 0.5;
		stroke-linejoin: round;
	}
</style>

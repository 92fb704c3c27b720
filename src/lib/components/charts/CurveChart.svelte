<script lang="ts">
	import { extent } from 'd3-array';
	import { scaleLinear } from 'd3-scale';
	import { line } from 'd3-shape';

	interface Series {
		name: string;
		x: number[];
		/** The line breaks where it is null. */
		y: (number | null)[];
		/** Drawn strong; the others are quiet context. */
		strong: boolean;
	}
	interface Props {
		series: Series[];
		xLabel: string;
		yLabel: string;
		height?: number;
		/** A line across at this y, with its name. */
		limit?: { y: number; text: string } | null;
		/** The axis spans at least this, unit of y, so that noise is not drawn as drama. */
		leastSpan?: number;
	}
	let { series, xLabel, yLabel, height = 260, limit = null, leastSpan = 0 }: Props = $props();
	/** Width of a figure at the axis, px. */
	const FIGURE_WIDTH = 8.6;
	let width = $state(640);
	const yDomain = $derived.by((): [number, number] => {
		const [low = 0, high = 1] = extent([...series.flatMap((s) => s.y), limit?.y ?? null], (v) => v);
		const missing = Math.max(0, leastSpan - (high - low)) / 2;
		return [low - missing, high + missing];
	});
	const yTicks = $derived(scaleLinear(yDomain, [0, 1]).nice().ticks(5));
	const yFormat = $derived(scaleLinear(yDomain, [0, 1]).nice().tickFormat(5));
	/** Room for the longest figure at the axis. */
	const margin = $derived({
		top: 22,
		right: 16,
		bottom: 38,
		left: 18 + FIGURE_WIDTH * Math.max(3, ...yTicks.map((t) => yFormat(t).length))
	});

	const x = $derived(
		scaleLinear(extent(series.flatMap((s) => s.x)) as [number, number], [margin.left, width - margin.right]).nice()
	);
	const y = $derived(scaleLinear(yDomain, [height - margin.bottom, margin.top]).nice());
	const path = $derived(
		(s: Series) =>
			line<number>()
				.defined((i) => s.y[i] !== null)
				.x((i) => x(s.x[i]!))
				.y((i) => y(s.y[i]!))(s.x.map((_, i) => i)) ?? ''
	);
</script>

<div bind:clientWidth={width}>
	<svg
		viewBox="0 0 {width} {height}"
		{height}
		class="chart w-full"
		role="img"
		aria-label="{yLabel} over {xLabel}: {series.map((s) => s.name).join(', ')}"
	>
		{#each yTicks as tick (tick)}
			<line x1={margin.left} x2={width - margin.right} y1={y(tick)} y2={y(tick)} class="grid-line" />
			<text x={margin.left - 8} y={y(tick)} dy="0.32em" text-anchor="end" class="figure">{yFormat(tick)}</text>
		{/each}
		{#each x.ticks(Math.max(3, width / 110)) as tick (tick)}
			<text x={x(tick)} y={height - margin.bottom + 18} text-anchor="middle" class="figure"
				>{x.tickFormat(6)(tick)}</text
			>
		{/each}
		{#if limit}
			<line x1={margin.left} x2={width - margin.right} y1={y(limit.y)} y2={y(limit.y)} class="limit" />
			<text x={margin.left + 6} y={y(limit.y) - 5}>{limit.text}</text>
		{/if}
		{#each series as s (s.name)}<path d={path(s)} class:strong={s.strong} class="curve" />{/each}
		<text x={(margin.left + width) / 2} y={height - 3} text-anchor="middle">{xLabel}</text>
		<text x={margin.left - 8} y={10} text-anchor="end">{yLabel}</text>
	</svg>
</div>

<style>
	.limit {
		stroke: var(--color-base-content);
		stroke-dasharray: 5 4;
	}
	.curve {
		fill: none;
		stroke: color-mix(in oklch, var(--measure-line) 40%, transparent);
		stroke-width: 1.2;
	}
	.curve.strong {
		stroke: var(--measure-line);
		stroke-width: 2.6;
	}
</style>

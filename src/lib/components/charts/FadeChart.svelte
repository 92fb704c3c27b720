<script lang="ts">
	import { scaleLinear } from 'd3-scale';
	import { area, line } from 'd3-shape';
	import type { FadeProjection } from '$lib/core/foundation/fade';
	import { formatYears } from '$lib/core/foundation/units';

	interface Props {
		projection: FadeProjection;
		/** Measured capacities as fractions of rated, with one sd. */
		tests: { ageYears: number; fraction: number; sd: number }[];
		endFraction: number;
		ageYears: number;
		height?: number;
	}
	let { projection, tests, endFraction, ageYears, height = 300 }: Props = $props();
	let width = $state(640);
	const margin = { top: 14, right: 18, bottom: 40, left: 52 };
	type Point = FadeProjection['curve'][number];

	const lastAge = $derived(projection.curve.at(-1)!.ageYears);
	const x = $derived(scaleLinear([0, lastAge], [margin.left, width - margin.right]));
	const lowest = $derived(Math.min(endFraction - 0.05, ...projection.curve.map((p) => p.low95)));
	const highest = $derived(
		Math.max(1.02, ...projection.curve.map((p) => p.high95), ...tests.map((t) => t.fraction + 2 * t.sd))
	);
	const y = $derived(scaleLinear([Math.max(0, lowest), highest], [height - margin.bottom, margin.top]).nice());
	const band = $derived(
		area<Point>()
			.x((p) => x(p.ageYears))
			.y0((p) => y(p.low95))
			.y1((p) => y(p.high95))(projection.curve) ?? ''
	);
	const mean = $derived(
		line<Point>()
			.x((p) => x(p.ageYears))
			.y((p) => y(p.mean))(projection.curve) ?? ''
	);
	const end = $derived(projection.endAgeYears);
	/** As people say it: whole years, and beyond the chart an arrow. */
	const endText = $derived(
		`${Math.round(endFraction * 100)} % is passed at ${formatYears(end.low95)} to ${formatYears(end.high95)} years, 95 %` +
			(end.high95 > lastAge ? ' →' : '')
	);
	const endInSight = $derived(end.low95 < lastAge);
	const clamped = (age: number) => x(Math.min(age, lastAge));
</script>

<div bind:clientWidth={width}>
	<svg
		viewBox="0 0 {width} {height}"
		{height}
		class="chart w-full"
		role="img"
		aria-label="Capacity as a fraction of rated over years, with its 95 % band; end of life between {formatYears(
			end.low95
		)} and {formatYears(end.high95)} years"
	>
		{#each y.ticks(6) as tick (tick)}
			<line x1={margin.left} x2={width - margin.right} y1={y(tick)} y2={y(tick)} class="grid-line" />
			<text x={margin.left - 8} y={y(tick)} dy="0.32em" text-anchor="end" class="figure"
				>{Math.round(tick * 100)} %</text
			>
		{/each}
		{#each x.ticks(8) as tick (tick)}<text
				x={x(tick)}
				y={height - margin.bottom + 18}
				text-anchor="middle"
				class="figure">{tick}</text
			>{/each}
		<path d={band} class="band" />
		<path d={mean} class="mean" />
		<line x1={x(ageYears)} x2={x(ageYears)} y1={margin.top} y2={height - margin.bottom} class="now" />
		<text x={x(ageYears) + 5} y={height - margin.bottom - 6}>today</text>
		<line x1={margin.left} x2={width - margin.right} y1={y(endFraction)} y2={y(endFraction)} class="end" />
		{#if endInSight}<line
				x1={clamped(end.low95)}
				x2={clamped(end.high95)}
				y1={y(endFraction)}
				y2={y(endFraction)}
				class="end-range"
			/>{/if}
		<text x={margin.left + 6} y={y(endFraction) - 8}>{endText}</text>
		{#each tests as t, i (i)}
			<line
				x1={x(t.ageYears)}
				x2={x(t.ageYears)}
				y1={y(t.fraction - 2 * t.sd)}
				y2={y(t.fraction + 2 * t.sd)}
				class="doubt"
			/>
			<circle cx={x(t.ageYears)} cy={y(t.fraction)} r="4.5" class="test" />
		{/each}
		<text x={(margin.left + width) / 2} y={height - 4} text-anchor="middle">years in service</text>
	</svg>
</div>

<style>
	.band {
		fill: color-mix(in oklch, var(--measure-3) 45%, transparent);
	}
	.mean {
		fill: none;
		stroke: var(--measure-line);
		stroke-width: 2.5;
	}
	.end {
		stroke: var(--color-base-content);
		stroke-dasharray: 5 4;
	}
	.end-range {
		stroke: var(--color-base-content);
		stroke-width: 6;
	}
	.now {
		stroke: var(--muted);
		stroke-dasharray: 2 3;
	}
	.doubt {
		stroke: var(--color-base-content);
		stroke-width: 1.5;
	}
	.test {
		fill: var(--color-base-content);
	}
</style>

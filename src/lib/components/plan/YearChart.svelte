<script lang="ts">
	import { scaleLinear } from 'd3-scale';
	import { area, line } from 'd3-shape';
	import type { YearOfUse } from '$lib/core/plan/use-year';

	interface Props {
		year: YearOfUse;
		height?: number;
	}
	let { year, height = 260 }: Props = $props();
	let width = $state(640);
	const margin = { top: 14, right: 14, bottom: 62, left: 52 };
	const STARTS = [0, 31, 59, 90, 120, 151, 181, 212, 243, 273, 304, 334, 365];
	const MONTHS = ['Jan', 'Feb', 'Mar', 'Apr', 'May', 'Jun', 'Jul', 'Aug', 'Sep', 'Oct', 'Nov', 'Dec'];
	const x = $derived(scaleLinear([0, 365], [margin.left, width - margin.right]));
	const y = $derived(scaleLinear([0, 1], [height - margin.bottom, margin.top]));
	type Day = YearOfUse['bandByDay'][number];
	const band = $derived(
		area<Day>()
			.x((_, i) => x(i + 0.5))
			.y0((d) => y(d.low))
			.y1((d) => y(d.high))(year.bandByDay) ?? ''
	);
	const middle = $derived(
		line<Day>()
			.x((_, i) => x(i + 0.5))
			.y((d) => y(d.middle))(year.bandByDay) ?? ''
	);
	const darkest = $derived(year.emptyByMonth.indexOf(Math.max(...year.emptyByMonth)));
	const isNarrow = $derived(width < 520);
	const percent = (share: number) => (share < 0.005 ? '0' : (share * 100).toFixed(share < 0.1 ? 1 : 0));
</script>

<div bind:clientWidth={width}>
	<svg
		viewBox="0 0 {width} {height}"
		{height}
		class="chart w-full"
		role="img"
		aria-label="Charge at the end of each day of the year, 5 to 95 % of years; most days end empty in {MONTHS[darkest]}"
	>
		{#each [0, 0.25, 0.5, 0.75, 1] as tick (tick)}
			<line x1={margin.left} x2={width - margin.right} y1={y(tick)} y2={y(tick)} class="grid-line" />
			<text x={margin.left - 8} y={y(tick)} dy="0.32em" text-anchor="end" class="figure">{tick * 100} %</text>
		{/each}
		<path d={band} class="band" />
		<path d={middle} class="middle" />
		{#each MONTHS as name, m (name)}
			{@const centre = (x(STARTS[m]!) + x(STARTS[m + 1]!)) / 2}
			<line
				x1={x(STARTS[m]!)}
				x2={x(STARTS[m]!)}
				y1={height - margin.bottom}
				y2={height - margin.bottom + 5}
				class="grid-line"
			/>
			<text x={centre} y={height - margin.bottom + 18} text-anchor="middle">{isNarrow ? name[0] : name}</text>
			<text
				x={centre}
				y={height - margin.bottom + 38}
				text-anchor="middle"
				class="figure"
				class:dark={year.emptyByMonth[m]! > 0.05}>{percent(year.emptyByMonth[m]!)}</text
			>
		{/each}
		<text x={margin.left} y={height - 6}>% of days that end empty, by month</text>
	</svg>
</div>

<style>
	.band {
		fill: color-mix(in oklch, var(--measure-3) 55%, transparent);
	}
	.middle {
		fill: none;
		stroke: var(--measure-line);
		stroke-width: 2.2;
	}
	.dark {
		fill: var(--ember-text);
		font-weight: 700;
	}
</style>

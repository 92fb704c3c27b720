<script lang="ts">
	import { extent } from 'd3-array';
	import { scaleLinear } from 'd3-scale';
	import { line } from 'd3-shape';
	import type { Layout } from '$lib/core/plan/layouts';
	import { layoutKey, layoutName, money } from './layout-words';

	interface Props {
		/** With a price each. */
		layouts: readonly Layout[];
		currency: string;
		pinned: readonly string[];
		onpin: (key: string) => void;
		height?: number;
	}
	let { layouts, currency, pinned, onpin, height = 280 }: Props = $props();
	let width = $state(640);
	let seen = $state<Layout | null>(null);
	const margin = { top: 16, right: 18, bottom: 40, left: 70 };
	const possible = $derived(layouts.filter((l) => l.refusals.length === 0));
	const front = $derived(possible.filter((l) => l.isFront).sort((a, b) => a.usableWh - b.usableWh));
	const x = $derived(
		scaleLinear(extent(layouts, (l) => l.usableWh / 1000) as [number, number], [
			margin.left,
			width - margin.right
		]).nice()
	);
	const y = $derived(
		scaleLinear([0, Math.max(1, ...layouts.map((l) => l.price!))], [height - margin.bottom, margin.top]).nice()
	);
	const path = $derived(
		line<Layout>()
			.x((l) => x(l.usableWh / 1000))
			.y((l) => y(l.price!))(front) ?? ''
	);
	const words = (l: Layout) =>
		`${layoutName(l)} of ${l.cell.name}: ${(l.usableWh / 1000).toFixed(1)} kWh usable, ${money(l.price!, currency)}`;
</script>

<div bind:clientWidth={width}>
	<svg
		viewBox="0 0 {width} {height}"
		{height}
		class="chart w-full"
		role="group"
		aria-label="Price against usable energy"
	>
		{#each y.ticks(5) as tick (tick)}
			<line x1={margin.left} x2={width - margin.right} y1={y(tick)} y2={y(tick)} class="grid-line" />
			<text x={margin.left - 8} y={y(tick)} dy="0.32em" text-anchor="end" class="figure">{tick}</text>
		{/each}
		{#each x.ticks(Math.max(3, width / 110)) as tick (tick)}
			<text x={x(tick)} y={height - margin.bottom + 18} text-anchor="middle" class="figure">{tick}</text>
		{/each}
		<path d={path} class="front" />
		{#each layouts as layout (layoutKey(layout))}
			{@const refused = layout.refusals.length > 0}
			<!-- The name is read out; Enter pins it. -->
			<circle
				cx={x(layout.usableWh / 1000)}
				cy={y(layout.price!)}
				r={pinned.includes(layoutKey(layout)) ? 10 : 7}
				class="dot"
				class:refused
				class:on-front={layout.isFront}
				class:pinned={pinned.includes(layoutKey(layout))}
				role="button"
				tabindex="0"
				aria-pressed={pinned.includes(layoutKey(layout))}
				aria-label="{words(layout)}{refused ? ', cannot be' : ''}"
				onpointerenter={() => (seen = layout)}
				onfocus={() => (seen = layout)}
				onclick={() => onpin(layoutKey(layout))}
				onkeydown={(e) => {
					if (e.key === 'Enter' || e.key === ' ') {
						e.preventDefault();
						onpin(layoutKey(layout));
					}
				}}
			/>
		{/each}
		<text x={(margin.left + width) / 2} y={height - 4} text-anchor="middle">kWh usable</text>
		<text x={margin.left - 8} y={10} text-anchor="end">{currency}</text>
	</svg>
</div>
<p class="min-h-6 muted" aria-live="polite">
	{seen
		? `${words(seen)}. ${seen.refusals.length ? 'It cannot be.' : 'Press to compare it.'}`
		: 'The line joins what nothing beats in price and energy at once.'}
</p>

<style>
	.front {
		fill: none;
		stroke: var(--measure-line);
		stroke-width: 2;
	}
	.dot {
		fill: var(--measure-2);
		stroke: var(--measure-line);
		stroke-width: 1.5;
		cursor: pointer;
	}
	.dot.on-front {
		fill: var(--measure-4);
	}
	.dot.refused {
		fill: var(--color-base-100);
		stroke: var(--muted);
		stroke-dasharray: 3 2;
	}
	.dot.pinned {
		stroke: var(--color-base-content);
		stroke-width: 3;
	}
</style>

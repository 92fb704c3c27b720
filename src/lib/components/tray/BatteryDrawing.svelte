<script lang="ts">
	import type { Snippet } from 'svelte';
	import type { Warmth } from '$lib/core/foundation/verdicts';
	import type { BatteryShape } from '$lib/core/build/box';
	import { CELL, batteryLayout } from './battery-layout';

	interface Props {
		/** How it lies; missing: as usual. */
		shape?: BatteryShape;
		series: number;
		parallel: number;
		/** Names of the cells, group by group; a place without a cell has none. */
		cells: readonly (readonly string[])[];
		/** Of the bars, by node: how warm, and a figure beside it. */
		joints?: readonly { warmth: Warmth; figure: string | null }[];
		/** Of the groups, by position: a figure in each. */
		groups?: readonly (string | null)[];
		/** How warm each group is, by position. */
		groupWarmth?: readonly Warmth[];
		/** What each lead touches; null: no node. Drawn down to as many columns. */
		leads?: readonly { node: number | null; warm: boolean }[];
		label: string;
		/** Under the drawing, in the columns the leads run to. */
		children?: Snippet;
	}
	let {
		shape = {},
		series,
		parallel,
		cells,
		joints = [],
		groups = [],
		groupWarmth = [],
		leads = [],
		label,
		children
	}: Props = $props();
	let widthPx = $state(1280);
	const layout = $derived(batteryLayout(series, parallel, shape));
	/** Leads are drawn where they have room: one row, and a column each. */
	const drawsLeads = $derived(leads.length > 0 && leads.length <= 9 && widthPx >= 640);
	const LEAD_ROOM = 56;
	/** Pixels for a unit of the drawing at which names can still be read. */
	const MIN_SCALE = 0.82;
	const height = $derived(layout.height + (drawsLeads ? LEAD_ROOM : 0));
	const columnX = (k: number) => ((k + 0.5) / leads.length) * layout.width;
	function path(lead: number, node: number): string {
		const { x, y } = layout.nodes[node]!;
		const [x2, y2] = [columnX(lead), height];
		const bend = layout.height + LEAD_ROOM / 2;
		return `M${x},${y} C${x},${bend} ${x2},${layout.height} ${x2},${y2}`;
	}
</script>

<svelte:window bind:innerWidth={widthPx} />
<figure class="drawing" style:--most="{Math.max(22, layout.width / 9)}rem">
	<!-- The same battery on every screen: a narrow one slides over it. -->
	<div class="slides">
		<svg
			style:min-width="{layout.width * MIN_SCALE}px"
			viewBox="0 0 {layout.width} {height}"
			role="img"
			aria-label={label}
		>
			{#each layout.cells as cell, i (i)}
				{@const name = cells[cell.group - 1]?.[i % parallel] ?? ''}
				<g class="cell" class:empty={!name} data-warmth={groupWarmth[cell.group - 1]}>
					<rect x={cell.x} y={cell.y} width={CELL.width} height={CELL.height} rx="4" />
					{#each [true, false] as up (up)}
						{@const plus = up === cell.plusUp}
						<g class={plus ? 'plus' : 'minus'}>
							<rect
								x={cell.x + CELL.width / 2 - 9}
								y={up ? cell.y + 9 : cell.y + CELL.height - 24}
								width="18"
								height="15"
								rx="2"
							/>
							<text x={cell.x + CELL.width / 2} y={up ? cell.y + 21 : cell.y + CELL.height - 12}
								>{plus ? '+' : '−'}</text
							>
						</g>
					{/each}
					<text class="name" x={cell.x + CELL.width / 2} y={cell.y + CELL.height / 2 - (groups.length ? 6 : -4)}
						>{name}</text
					>
				</g>
			{/each}
			{#each groups as figure, i (i)}
				{@const own = layout.cells.filter((c) => c.group === i + 1)}
				{@const xs = own.map((c) => c.x)}
				{#if figure}<text
						class="group-figure"
						x={(Math.min(...xs) + Math.max(...xs) + CELL.width) / 2}
						y={Math.min(...own.map((c) => c.y)) + CELL.height / 2 + 14}>{figure}</text
					>{/if}
			{/each}
			{#each layout.bars as bar, i (i)}
				{@const joint = joints[bar.node]}
				<rect
					class="bar {bar.kind}"
					data-warmth={joint?.warmth}
					x={bar.x}
					y={bar.y}
					width={bar.width}
					height={bar.height}
					rx="6"
				/>
			{/each}
			{#each layout.nodes as { x, y, up }, node (node)}
				{#if joints[node]?.figure}<text class="joint-figure" {x} y={up ? y - 9 : y + 18}>{joints[node]!.figure}</text
					>{/if}
			{/each}
			{#if drawsLeads}
				<g class="leads">
					{#each leads as { node, warm }, lead (lead)}
						{#if node !== null}<path class:warm d={path(lead, node)} />{:else}<path
								class="warm loose"
								d="M{columnX(lead)},{height} v-22 q-10,-10 4,-18"
							/>{/if}
					{/each}
				</g>
			{/if}
			{#if leads.length}
				{#each layout.nodes as { x, y }, node (node)}<circle class="node" cx={x} cy={y} r="4.5" />{/each}
			{/if}
		</svg>
	</div>
	{@render children?.()}
</figure>

<style>
	.drawing {
		min-width: 0;
		max-width: min(100%, var(--most));
	}
	.slides {
		overflow-x: auto;
	}
	svg {
		display: block;
		width: 100%;
		height: auto;
		overflow: visible;
	}
	.cell rect {
		fill: var(--measure-0);
		stroke: var(--measure-line);
	}
	.cell.empty > rect {
		fill: none;
		stroke-dasharray: 4 4;
	}
	.cell[data-warmth='look'] > rect {
		stroke: var(--ember);
		stroke-width: 2.5;
	}
	.cell[data-warmth='stop'] > rect {
		stroke: var(--stop);
		stroke-width: 4;
	}
	.plus rect {
		fill: var(--color-base-content);
		stroke: none;
	}
	.minus rect {
		fill: var(--color-base-100);
		stroke: var(--color-base-content);
	}
	text {
		font: 600 12px var(--font-sans);
		fill: var(--color-base-content);
		text-anchor: middle;
	}
	.plus text {
		fill: var(--color-base-100);
	}
	.name {
		font-size: 11.5px;
		font-weight: 700;
	}
	.group-figure,
	.joint-figure {
		font-family: var(--font-mono);
		font-size: 12px;
		font-weight: 650;
	}
	.joint-figure {
		paint-order: stroke;
		stroke: var(--color-base-100);
		stroke-width: 4px;
	}
	.bar {
		fill: color-mix(in oklch, var(--color-base-content) 38%, var(--color-base-100));
		stroke: var(--color-base-content);
		stroke-width: 1;
	}
	.bar[data-warmth='open'] {
		fill: var(--color-base-100);
		stroke-dasharray: 4 3;
	}
	.bar[data-warmth='look'] {
		fill: var(--ember);
	}
	.bar[data-warmth='stop'] {
		fill: var(--stop);
		stroke-width: 2.5;
	}
	.leads path {
		fill: none;
		stroke: var(--muted);
		stroke-width: 1.4;
	}
	.leads path.warm {
		stroke: var(--stop);
		stroke-width: 2.4;
	}
	.leads path.loose {
		stroke-dasharray: 3 3;
	}
	.node {
		fill: var(--color-base-content);
	}
</style>

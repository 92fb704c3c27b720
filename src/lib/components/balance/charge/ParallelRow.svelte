<script lang="ts">
	import type { LyingCell } from '$lib/core/balance/joining';

	/** Cells joined in parallel, from above: bars or a harness, the supply and the meter. */
	interface Props {
		cells: readonly LyingCell[];
		/** Where the supply's leads sit, by the place of the cell. */
		plusAt: number;
		minusAt: number;
		/** Leads from two buses to each pole, in place of bars. */
		harness?: boolean;
	}
	let { cells, plusAt, minusAt, harness = false }: Props = $props();
	const CELL = { width: 46, height: 96 };
	const PITCH = 54;
	const TOP = 52;
	const BUS = { up: 34, down: TOP + CELL.height + 18 };
	const n = $derived(cells.length);
	const x = (i: number) => 14 + i * PITCH + CELL.width / 2;
	const width = $derived(28 + (n - 1) * PITCH + CELL.width);
	const height = TOP + CELL.height + 66;
	const pole = { up: TOP + 13, down: TOP + CELL.height - 13 };
	/** A cell whose poles are free: in a harness one that lies with its bus. */
	const middle = $derived(harness ? 2 * Math.floor((n - 1) / 4) : Math.floor((n - 1) / 2));
	/** From a bus to a pole: straight, or past the other pole of the same cell. */
	const lead = (i: number, plus: boolean) => {
		const { plusUp } = cells[i]!;
		const from = plus ? BUS.up : BUS.down;
		const to = plus === plusUp ? pole.up : pole.down;
		// As far as the edge of the pole, so that its sign can be read.
		if (plusUp) return `M${x(i)},${from} V${to + (plus ? -8 : 8)}`;
		const aside = plus ? -1 : 1;
		return `M${x(i) + 16 * aside},${from} V${to} H${x(i) + 9 * aside}`;
	};
</script>

<figure class="row">
	<svg
		viewBox="0 0 {width} {height}"
		style:min-width="{Math.min(width, 900) * 0.8}px"
		role="img"
		aria-label="{n} cells in parallel from above: {harness
			? 'a plus bus along one side, a minus bus along the other, a lead to every pole'
			: 'one row of bars over every plus, one over every minus'}; the supply’s plus at {cells[plusAt]
			?.label}, its minus at {cells[minusAt]?.label}, the meter in the middle"
	>
		{#each cells as cell, i (i)}
			<rect class="cell" x={x(i) - CELL.width / 2} y={TOP} width={CELL.width} height={CELL.height} rx="4" />
			<text class="name" x={x(i)} y={TOP + CELL.height / 2 + 4}>{cell.label}</text>
			{#each [true, false] as up (up)}
				{@const plus = up === cell.plusUp}
				<rect class:plus class="pole" x={x(i) - 9} y={(up ? pole.up : pole.down) - 8} width="18" height="16" rx="2" />
				<text class:plus x={x(i)} y={(up ? pole.up : pole.down) + 5}>{plus ? '+' : '−'}</text>
			{/each}
		{/each}
		{#if harness}
			{#each [BUS.up, BUS.down] as y (y)}<line class="bus" x1={x(0) - 16} x2={x(n - 1) + 16} y1={y} y2={y} />{/each}
			{#each cells as cell, i (i)}
				<path class="lead" class:crosses={!cell.plusUp} d={lead(i, true)} />
				<path class="lead" class:crosses={!cell.plusUp} d={lead(i, false)} />
			{/each}
		{:else}
			{#each cells.slice(1) as _, i (i)}
				{#each [pole.up - 20, pole.down + 20] as y (y)}
					<rect class="bar" x={x(i) - 9} y={y - 6} width={PITCH + 18} height="12" rx="6" />
				{/each}
			{/each}
		{/if}
		<g class="supply">
			<text x={x(plusAt)} y="14">supply +</text>
			<path d="M{x(plusAt)},18 V{harness ? BUS.up : pole.up - 26}" />
			<text x={x(minusAt)} y={height - 4}>supply −</text>
			<path d="M{x(minusAt)},{height - 16} V{harness ? BUS.down : pole.down + 26}" />
		</g>
		<g class="meter">
			<path d="M{x(middle) + 9},{pole.up} h{PITCH / 2 - 9} V{pole.down} h{-(PITCH / 2 - 9)}" />
			<circle cx={x(middle) + PITCH / 2} cy={TOP + CELL.height / 2} r="9" />
			<text x={x(middle) + PITCH / 2} y={TOP + CELL.height / 2 + 4}>V</text>
		</g>
	</svg>
</figure>

<style>
	.row {
		min-width: 0;
		overflow-x: auto;
	}
	svg {
		display: block;
		max-width: 56rem;
		width: 100%;
		height: auto;
	}
	.cell {
		fill: var(--measure-0);
		stroke: var(--measure-line);
	}
	text {
		font: 600 11px var(--font-sans);
		fill: var(--color-base-content);
		text-anchor: middle;
	}
	.pole {
		fill: var(--color-base-100);
		stroke: var(--color-base-content);
	}
	.pole.plus {
		fill: var(--color-base-content);
	}
	text.plus {
		fill: var(--color-base-100);
	}
	.bar {
		fill: color-mix(in oklch, var(--color-base-content) 38%, var(--color-base-100));
		stroke: var(--color-base-content);
	}
	.bus {
		stroke: var(--color-base-content);
		stroke-width: 6;
		stroke-linecap: round;
	}
	.lead,
	.supply path,
	.meter path {
		fill: none;
		stroke: var(--color-base-content);
		stroke-width: 2;
	}
	/* Insulated over its whole length. */
	.lead.crosses {
		stroke-width: 4.5;
		stroke: var(--muted);
	}
	.meter path {
		stroke-width: 1.2;
		stroke-dasharray: 4 3;
	}
	.meter circle {
		fill: var(--color-base-100);
		stroke: var(--color-base-content);
	}
</style>

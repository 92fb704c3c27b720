<script lang="ts">
	import { dndzone, type DndEvent } from 'svelte-dnd-action';
	import { travel } from './travel.svelte';
	import type { Arrangement } from './arrangement';

	interface BoardCell {
		id: number;
		label: string;
		capacityAh: number;
		plusTurned: boolean;
	}
	interface Props {
		arrangement: Arrangement;
		cells: BoardCell[];
		/** Groups a battery, to head the columns. */
		series: number;
		selectedId: number | null;
		onpick: (id: number) => void;
		/** A cell was dropped on a group index or on the spares. */
		ondrop: (cellId: number, target: number | 'spares') => void;
	}
	let { arrangement, cells, series, selectedId, onpick, ondrop }: Props = $props();
	let board = $state<HTMLElement>();
	const way = travel(() => board);
	$effect.pre(() => {
		void arrangement;
		way.leave();
	});
	$effect(() => {
		void arrangement;
		void way.arrive();
	});

	interface Zone {
		target: number | 'spares';
		items: { id: number }[];
	}
	const byId = $derived(new Map(cells.map((c) => [c.id, c])));
	const range = $derived.by(() => {
		const all = cells.map((c) => c.capacityAh);
		return { low: Math.min(...all), high: Math.max(...all) };
	});
	// Follows the arrangement, and is moved about while a cell is being dragged.
	let zones = $derived<Zone[]>([
		...arrangement.groups.map((g, i) => ({ target: i as number | 'spares', items: g.map((id) => ({ id })) })),
		{ target: 'spares', items: arrangement.spares.map((id) => ({ id })) }
	]);
	const withItems = (zone: Zone, items: Zone['items']) =>
		zones.map((z) => (z.target === zone.target ? { ...z, items } : z));

	const sum = (ids: { id: number }[]) => ids.reduce((total, { id }) => total + (byId.get(id)?.capacityAh ?? 0), 0);
	const sums = $derived(arrangement.groups.map((g) => sum(g.map((id) => ({ id })))));
	const smallest = $derived(Math.min(...sums));
	const step = (ah: number) =>
		range.high > range.low ? Math.min(4, Math.floor(((ah - range.low) / (range.high - range.low)) * 5)) : 2;
	const head = (i: number) =>
		arrangement.groups.length > series ? `${Math.floor(i / series) + 1} · ${(i % series) + 1}` : String(i + 1);

	function consider(zone: Zone, event: CustomEvent<DndEvent<{ id: number }>>) {
		zones = withItems(zone, event.detail.items);
	}
	function finalize(zone: Zone, event: CustomEvent<DndEvent<{ id: number }>>) {
		const moved = Number(event.detail.info.id);
		zones = withItems(zone, event.detail.items);
		const before = zone.target === 'spares' ? arrangement.spares : arrangement.groups[zone.target]!;
		if (event.detail.items.some((i) => i.id === moved) && !before.includes(moved)) ondrop(moved, zone.target);
	}
</script>

<ol bind:this={board} class="board" aria-label="Groups, most negative first">
	{#each zones as zone (zone.target)}
		<li class="zone sheet" class:spares={zone.target === 'spares'}>
			<p class="text-sm font-bold">{zone.target === 'spares' ? 'Spares' : `Group ${head(zone.target)}`}</p>
			{#if zone.target !== 'spares'}<p class="figure text-lg font-semibold">
					{sums[zone.target]!.toFixed(1)}&nbsp;<span class="text-sm">Ah</span
					>{#if sums[zone.target] === smallest}&nbsp;<span class="text-sm muted">least</span>{/if}
				</p>{/if}
			<div
				class="cells"
				use:dndzone={{ items: zone.items, flipDurationMs: 120, dropTargetStyle: {}, dropTargetClasses: ['dropping'] }}
				onconsider={(e) => consider(zone, e)}
				onfinalize={(e) => finalize(zone, e)}
				aria-label={zone.target === 'spares' ? 'Spares' : `Group ${head(zone.target)}`}
			>
				{#each zone.items as item (item.id)}
					{@const cell = byId.get(Number(item.id))}
					<div
						class="cell tap"
						data-cell={item.id}
						data-shade={cell ? step(cell.capacityAh) : 0}
						class:selected={item.id === selectedId}
						aria-label="{cell?.label}, {cell?.capacityAh.toFixed(1)} Ah{cell?.plusTurned
							? ', plus on the other side'
							: ''}"
					>
						<strong>{cell?.label}</strong><span class="figure"
							>{cell?.capacityAh.toFixed(1)}{#if cell?.plusTurned}<small class="block">turned</small>{/if}</span
						>
						<button
							class="swap"
							aria-pressed={item.id === selectedId}
							onclick={() => onpick(item.id)}
							aria-label="Exchange {cell?.label}">⇄</button
						>
					</div>
				{/each}
			</div>
		</li>
	{/each}
</ol>

<style>
	.board {
		display: grid;
		grid-template-columns: repeat(auto-fill, minmax(10.2rem, 1fr));
		gap: 0.6rem;
	}
	.zone {
		padding: 0.55rem;
	}
	.spares {
		border-style: dashed;
		grid-column: 1 / -1;
	}
	.cells {
		display: grid;
		gap: 0.35rem;
		margin-top: 0.35rem;
		min-height: 2.75rem;
	}
	.spares .cells {
		grid-template-columns: repeat(auto-fill, minmax(9.2rem, 1fr));
	}
	.cells:global(.dropping) {
		outline: 2px dashed var(--color-base-content);
		border-radius: 0.4rem;
	}
	.cell {
		display: grid;
		grid-template-columns: auto 1fr auto;
		gap: 0.4rem;
		align-items: center;
		padding: 0 0 0 0.5rem;
		border: 1.5px solid color-mix(in oklch, var(--color-base-content) 32%, transparent);
		border-radius: 0.35rem;
		background: var(--shade);
		cursor: grab;
	}
	.selected {
		outline: 3px solid var(--color-base-content);
	}
	.cell strong {
		white-space: nowrap;
	}
	.swap {
		min-width: 2.75rem;
		min-height: 2.75rem;
		font-size: 1.1rem;
		border-left: 1px solid color-mix(in oklch, var(--color-base-content) 25%, transparent);
	}
</style>

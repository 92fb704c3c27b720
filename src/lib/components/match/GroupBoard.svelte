<script lang="ts" module>
	/** A measured cell as it is drawn in its group. */
	export interface BoardCell {
		id: number;
		label: string;
		capacityAh: number;
		plusTurned: boolean;
	}
</script>

<script lang="ts">
	import { dndzone, type DndEvent } from 'svelte-dnd-action';
	import CellFace from '$lib/components/tray/CellFace.svelte';
	import type { Arrangement } from './arrangement';

	interface Props {
		arrangement: Arrangement;
		cells: BoardCell[];
		/** Of each cell, 0..1. */
		shades: ReadonlyMap<number, number>;
		/** Groups a battery, to head the columns. */
		series: number;
		selectedId: number | null;
		onpick: (id: number) => void;
		/** A cell was dropped on a group index or on the spares. */
		ondrop: (cellId: number, target: number | 'spares') => void;
	}
	let { arrangement, cells, shades, series, selectedId, onpick, ondrop }: Props = $props();
	interface Zone {
		target: number | 'spares';
		items: { id: number }[];
	}
	const byId = $derived(new Map(cells.map((c) => [c.id, c])));
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
	const step = (id: number) => Math.min(4, Math.floor((shades.get(id) ?? 0.5) * 5));
	const parallel = $derived(Math.max(1, ...arrangement.groups.map((g) => g.length)));
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

<ol class="board" style:--parallel={parallel} aria-label="Groups, most negative first">
	{#each zones as zone (zone.target)}
		<li class="zone sheet" class:spares={zone.target === 'spares'}>
			{#if zone.target === 'spares'}<p class="head">Spares</p>
			{:else}<p class="head">
					<span>{parallel > 1 ? 'Group ' : ''}{head(zone.target)}</span>
					{#if sums[zone.target] === smallest}<span class="muted">least</span>{/if}
					{#if parallel > 1}<span class="figure basis-full">{sums[zone.target]!.toFixed(1)} Ah</span>{/if}
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
						class="cell"
						data-cell={item.id}
						data-shade={step(Number(item.id))}
						class:selected={item.id === selectedId}
						aria-label="{cell?.label}, {cell?.capacityAh.toFixed(1)} Ah{cell?.plusTurned
							? ', plus on the other side'
							: ''}"
					>
						<CellFace
							size="low"
							label={cell?.label ?? ''}
							figure={cell?.capacityAh.toFixed(1) ?? null}
							turned={cell?.plusTurned}
						/>
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
	@media (max-width: 640px) {
		.board.board {
			--cell: 3.6rem;
			gap: 0.4rem;
		}
		.zone.zone {
			padding: 0.25rem;
		}
		.cells.cells {
			min-height: 5.5rem;
		}
	}
	.board {
		--cell: 4.4rem;
		display: grid;
		grid-template-columns: repeat(
			auto-fill,
			minmax(calc(var(--parallel) * var(--cell) + (var(--parallel) - 1) * 0.35rem + 0.9rem), 1fr)
		);
		gap: 0.6rem;
	}
	.zone {
		padding: 0.45rem;
	}
	.spares {
		border-style: dashed;
		grid-column: 1 / -1;
	}
	.head {
		display: flex;
		flex-wrap: wrap;
		column-gap: 0.5rem;
		align-items: baseline;
		min-height: 1.6rem;
		font-size: 0.9rem;
		font-weight: 700;
	}
	.cells {
		display: grid;
		grid-template-columns: repeat(auto-fill, minmax(min(100%, var(--cell)), 1fr));
		gap: 0.35rem;
		margin-top: 0.2rem;
		min-height: 7rem;
	}
	.cells:global(.dropping) {
		outline: 2px dashed var(--color-base-content);
		border-radius: 0.4rem;
	}
	.cell {
		display: flex;
		flex-direction: column;
		align-items: center;
		max-width: 92px;
		padding-top: 0.3rem;
		border: 1.5px solid color-mix(in oklch, var(--color-base-content) 32%, transparent);
		border-radius: 0.35rem;
		background: var(--shade);
		cursor: grab;
	}
	.selected {
		outline: 3px solid var(--color-base-content);
	}
	.swap {
		width: 100%;
		min-height: 2.75rem;
		margin-top: 0.2rem;
		font-size: 1.1rem;
		border-top: 1px solid color-mix(in oklch, var(--color-base-content) 25%, transparent);
	}
</style>

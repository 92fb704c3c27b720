<script lang="ts">
	import Tray from '$lib/components/tray/Tray.svelte';
	import { shadesOf } from '$lib/components/tray/tray-cell';
	import type { Arrangement } from './arrangement';
	import GroupBoard, { type BoardCell } from './GroupBoard.svelte';

	interface Props {
		/** Null: the cells still lie in their crates. */
		arrangement: Arrangement | null;
		/** In the order of arrival. */
		cells: BoardCell[];
		/** Groups a battery, to head the columns. */
		series: number;
		selectedId: number | null;
		/** Left out by hand. */
		excluded: readonly number[];
		onpick: (id: number) => void;
		/** A cell was dropped on a group index or on the spares. */
		ondrop: (cellId: number, target: number | 'spares') => void;
	}
	let { arrangement, cells, series, selectedId, excluded, onpick, ondrop }: Props = $props();

	/** A difference worth seeing, share of a cell (default). */
	const MATTERS = 0.01;
	const shades = $derived(
		new Map(
			shadesOf(
				cells.map((c) => c.capacityAh),
				MATTERS * Math.max(...cells.map((c) => c.capacityAh))
			).map((shade, i) => [cells[i]!.id, shade!])
		)
	);
</script>

{#if arrangement}
	<GroupBoard {arrangement} {cells} {shades} {series} {selectedId} {onpick} {ondrop} />
{:else if cells.length}
	<Tray
		low
		cells={cells.map((c) => ({
			...{ id: c.id, label: c.label, figure: c.capacityAh.toFixed(1), minor: null, shade: shades.get(c.id)! },
			...{ warmth: 'calm' as const, turned: c.plusTurned, mark: excluded.includes(c.id) ? 'left out' : null }
		}))}
		{selectedId}
		{onpick}
		label="Measured cells as they came, Ah"
	/>
{/if}

<script lang="ts">
	import { goto } from '$app/navigation';

	interface Props {
		/** Every cell this bank may take, and whether it stands in the row. */
		cells: readonly { id: number; label: string; placed: boolean; inRow: boolean }[];
		/** Where the choice is shown. */
		to: string;
	}
	let { cells, to }: Props = $props();
	const chosen = $derived(cells.filter((c) => c.inRow).map((c) => c.id));
	const placed = $derived(cells.filter((c) => c.placed).map((c) => c.id));
	const show = (ids: readonly number[]) =>
		goto(`${to}?${ids.map((id) => `cell=${id}`).join('&')}`, { noScroll: true, keepFocus: true, replaceState: true });
	const toggle = (id: number) => show(chosen.includes(id) ? chosen.filter((c) => c !== id) : [...chosen, id]);
</script>

<details class="sheet p-3">
	<summary class="tap flex cursor-pointer flex-wrap items-center gap-3">
		<strong>{chosen.length} of {cells.length} cells stand in the row</strong>
		<span class="muted">choose others</span>
	</summary>
	<form method="GET" action={to} class="grid gap-3 pt-2">
		<div class="flex flex-wrap gap-2">
			<button type="button" class="btn tap" onclick={() => show(cells.map((c) => c.id))}>All {cells.length}</button>
			{#if placed.length && placed.length < cells.length}<button
					type="button"
					class="btn tap"
					onclick={() => show(placed)}>The {placed.length} placed</button
				>{/if}
		</div>
		<div class="cells">
			{#each cells as cell (cell.id)}
				<label class="tap">
					<input
						type="checkbox"
						class="checkbox"
						name="cell"
						value={cell.id}
						checked={cell.inRow}
						disabled={cell.inRow && chosen.length === 1}
						onchange={() => void toggle(cell.id)}
					/>
					{cell.label}
				</label>
			{/each}
		</div>
		<button class="btn tap until-awake">Show this row</button>
	</form>
</details>

<style>
	.cells {
		display: grid;
		grid-template-columns: repeat(auto-fill, minmax(6rem, 1fr));
		gap: 0.2rem 0.8rem;
	}
	label {
		display: flex;
		align-items: center;
		gap: 0.5rem;
		cursor: pointer;
	}
</style>

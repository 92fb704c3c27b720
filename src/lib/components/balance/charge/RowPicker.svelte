<script lang="ts">
	import { goto } from '$app/navigation';
	import Field from '$lib/components/forms/Field.svelte';
	import { parallelBars, cellsJoinedBy } from '$lib/core/foundation/parallel-charge';

	interface Props {
		/** Every cell this bank may take, whether it stands in the row, and whether something stops it. */
		cells: readonly { id: number; label: string; placed: boolean; inRow: boolean; stopped: boolean }[];
		/** Where the choice is shown. */
		to: string;
	}
	let { cells, to }: Props = $props();
	const chosen = $derived(cells.filter((c) => c.inRow).map((c) => c.id));
	const sound = $derived(cells.filter((c) => !c.stopped));
	const placed = $derived(sound.filter((c) => c.placed).map((c) => c.id));
	const left = $derived(cells.filter((c) => c.stopped && !c.inRow).map((c) => c.label));
	const show = (ids: readonly number[]) =>
		goto(`${to}?${ids.map((id) => `cell=${id}`).join('&')}`, { noScroll: true, keepFocus: true, replaceState: true });
	/** Bars that are there, for both rows of poles; null: enough. */
	let bars = $state<number | null>(null);
	const standing = $derived(placed.length ? sound.filter((c) => c.placed) : sound);
	/** What so few bars join at once, one set after the other: as equal as they can be. */
	const sets = $derived.by(() => {
		const n = standing.length;
		if (bars === null || parallelBars(n) <= bars) return [];
		const count = Math.ceil(n / cellsJoinedBy(bars));
		return Array.from({ length: count }, (_, k) =>
			standing.slice(Math.round((k * n) / count), Math.round(((k + 1) * n) / count))
		);
	});
	const toggle = (id: number) => show(chosen.includes(id) ? chosen.filter((c) => c !== id) : [...chosen, id]);
</script>

<details class="sheet p-3">
	<summary class="tap flex cursor-pointer flex-wrap items-center gap-3">
		<strong>{chosen.length} of {cells.length} cells stand in the row</strong>
		{#if left.length}<span class="ember-text"
				>{left.join(', ')} left out: something stops {left.length === 1 ? 'it' : 'them'}</span
			>{/if}
		<span class="muted">choose others</span>
	</summary>
	<form method="GET" action={to} class="grid gap-3 pt-2">
		<div class="flex flex-wrap items-end gap-2">
			<button type="button" class="btn tap" onclick={() => show(sound.map((c) => c.id))}
				>All {sound.length}{sound.length < cells.length ? ' that nothing stops' : ''}</button
			>
			{#if placed.length && placed.length < sound.length}<button
					type="button"
					class="btn tap"
					onclick={() => show(placed)}>The {placed.length} placed</button
				>{/if}
			<div class="w-36"><Field label="Bars there are" type="number" min="0" bind:value={bars} /></div>
		</div>
		{#if sets.length}
			<div class="grid gap-2" role="group" aria-label="Sets">
				<p>
					{standing.length} cells take {parallelBars(standing.length)} bars. With {bars} they are charged in
					<strong>{sets.length} sets</strong>, one after the other, to the same volts: how equal they are is told by
					their tails.
				</p>
				<div class="flex flex-wrap gap-2">
					{#each sets as set, k (k)}<button type="button" class="btn tap" onclick={() => show(set.map((c) => c.id))}
							>Set {k + 1}: {set[0]!.label}{set.length > 1 ? ` to ${set.at(-1)!.label}` : ''}</button
						>{/each}
				</div>
			</div>
		{/if}
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

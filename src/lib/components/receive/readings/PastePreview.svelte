<script lang="ts">
	import { QUANTITY_FIGURES, shownUnit, shownValue } from '$lib/core/foundation/reading';
	import type { Settings } from '$lib/core/foundation/units';
	import type { TrayEntry } from './entry.svelte';

	/** A pasted column beside its cells, before anything of it is stored. */
	let { entry, units, ondone }: { entry: TrayEntry; units: Settings['units']; ondone: () => void } = $props();
	const laid = $derived(entry.pasted!);
	const first = $derived(laid.rows[0]?.cell.label);
	const few = (labels: string[]) =>
		labels.length > 4 ? `${labels.slice(0, 3).join(', ')} and ${labels.length - 3} more` : labels.join(', ');
	const done = (enter: boolean) => {
		if (enter) entry.enterPasted();
		else entry.pasted = null;
		ondone();
	};
</script>

<section class="sheet mt-3 grid gap-3 p-3" aria-label="Pasted, not stored yet">
	<h2 class="text-xl">Is each value beside its cell?</h2>
	<ul class="notes">
		{#if laid.header.length}<li>Left out as the head of the column: “{laid.header.join(', ')}”.</li>{/if}
		{#if laid.leftOver > 0}<li class="ember-text font-semibold">
				{laid.leftOver}
				{laid.leftOver === 1 ? 'value has' : 'values have'} no cell: there are more values than cells from {first} on.
			</li>{/if}
		{#if laid.without.length}<li>
				No value for {few(laid.without.map((c) => c.label))}: {laid.without.length === 1
					? 'it stays as it is'
					: 'they stay as they are'}.
			</li>{/if}
	</ul>
	<ol class="rows" aria-label="Values beside their cells">
		{#each laid.rows.filter((r) => r.line !== null) as { cell, line } (cell.id)}
			{@const before = entry.valueOf(cell, laid.quantity)}
			<li class:odd={line!.why !== null}>
				<strong>{cell.label}</strong>
				<span class="figure"
					>{line!.text ?? 'blank'}{line!.value !== null && !/[a-zΩ°]/i.test(line!.text!)
						? ` ${shownUnit(laid.quantity, units)}`
						: ''}</span
				>
				<span class="muted"
					>{line!.why
						? 'no number: left out'
						: line!.text === null
							? 'stays as it is'
							: before !== null
								? `replaces ${shownValue(before, laid.quantity, units).toFixed(QUANTITY_FIGURES[laid.quantity].decimals)}`
								: ''}</span
				>
			</li>
		{/each}
	</ol>
	<div class="flex flex-wrap gap-2">
		<button class="btn btn-primary tap" disabled={laid.values === 0} onclick={() => done(true)}
			>Enter {laid.values} {laid.values === 1 ? 'value' : 'values'}</button
		>
		<button class="btn tap" disabled={laid.from === 0} onclick={() => laid.move(-1)}>One cell up</button>
		<button class="btn tap" disabled={laid.rows.length < 2} onclick={() => laid.move(1)}>One cell down</button>
		<button class="btn tap" onclick={() => done(false)}>Cancel</button>
	</div>
</section>

<style>
	.notes:empty {
		display: none;
	}
	.rows {
		display: grid;
		grid-template-columns: repeat(auto-fill, minmax(15rem, 1fr));
		gap: 0.15rem 1.5rem;
		max-height: 40vh;
		overflow: auto;
	}
	.rows li {
		display: grid;
		grid-template-columns: 4rem 6rem 1fr;
		gap: 0.5rem;
		border-top: 1px solid var(--line);
		padding-block: 0.2rem;
	}
	.odd {
		font-weight: 600;
	}
</style>

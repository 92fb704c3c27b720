<script lang="ts">
	import { measure } from '$lib/client/settings/own-style';
	import Choice from '$lib/components/forms/Choice.svelte';
	import { parallelHarness } from '$lib/core/balance/joining';
	import ParallelRow from './ParallelRow.svelte';

	/** The row as it is joined: straight bars where all cells lie the same way, a harness where they lie in their series order. */
	interface Props {
		labels: readonly string[];
		plusAt: number;
		minusAt: number;
		/** Broad side and thickness of a cell, mm; null: usual ones are taken. */
		widthMm: number | null;
		thicknessMm: number | null;
	}
	let { labels, plusAt, minusAt, widthMm, thicknessMm }: Props = $props();
	const USUAL = { widthMm: 174, thicknessMm: 72 };
	/** From pole to pole, as a share of the broad side (usual). */
	const POLES = 0.68;
	let lie = $state<'alike' | 'series'>('alike');
	const cells = $derived(labels.map((label, i) => ({ label, plusUp: lie === 'alike' || i % 2 === 0 })));
	const harness = $derived(
		lie === 'series' && cells.length > 1
			? parallelHarness({
					cells,
					poleMm: POLES * (widthMm ?? USUAL.widthMm),
					pitchMm: (thicknessMm ?? USUAL.thicknessMm) + 1
				})
			: null
	);
	const lengths = $derived(
		harness
			? [...new Set(harness.leads.map((l) => l.lengthMm))].map((mm) => ({
					mm,
					count: harness.leads.filter((l) => l.lengthMm === mm).length,
					crosses: harness.leads.some((l) => l.lengthMm === mm && l.crosses)
				}))
			: []
	);
</script>

<section class="sheet mb-4 grid gap-3 p-4" aria-label="The row from above">
	<Choice
		label="The cells lie"
		bind:value={lie}
		options={[
			{ value: 'alike', text: 'all plus on one side' },
			{ value: 'series', text: 'in their series order' }
		]}
	/>
	<ParallelRow {cells} {plusAt} {minusAt} harness={harness !== null} />
	{#if harness}
		<p>
			<strong>{harness.leads.length} leads</strong>, {harness.crossings} of them across a cell (drawn thick). Two buses of
			{measure(harness.busMm, 'length', 0)} each; wire in all {measure(harness.wireMm, 'length', 0)}.
		</p>
		<ul class="list-disc pl-5">
			{#each lengths as { mm, count, crosses } (mm)}<li>
					{count} leads of {measure(mm, 'length', 0)}{crosses
						? ': insulated over their whole length, with covered lugs; each passes the other pole of its cell'
						: ': straight from the bus to the pole'}
				</li>{/each}
		</ul>
		<p class="ember-text font-semibold">
			Take every series link off first, and prove it (Series links off). One forgotten link shorts two cells through the
			harness. A fuse in every lead, at the bus, makes a slip a blown fuse.
		</p>
		<p class="muted">
			Lengths by the size of the cell and 60 mm to spare (usual): measure your own poles before you cut.
		</p>
	{:else}
		<p class="muted">
			Every plus under one row of bars, every minus under the other; the supply at opposite corners, the meter on a cell
			in the middle. Cover what you are not working on.
		</p>
	{/if}
</section>

<script lang="ts">
	import { whatSampleSays } from '$lib/core/test/sampling';
	import type { ShownCapacity } from './test-data';

	/** All cells of the bank, tested or not. */
	let { capacities }: { capacities: ShownCapacity[] } = $props();
	const says = $derived(
		whatSampleSays(
			capacities.length,
			capacities.flatMap(({ capacityAh, sdAh, outcome }) =>
				capacityAh === null ? [] : [{ capacityAh, sdAh: sdAh ?? 0, outcome }]
			)
		)
	);
	const found = $derived(
		[
			says.below ? `${says.below} below rating` : null,
			says.undecided ? `${says.undecided} undecided` : null,
			says.below + says.undecided === 0 ? 'none below rating' : null
		]
			.filter(Boolean)
			.join(', ')
	);
</script>

<h2 class="mt-3">Test all cells, or some?</h2>
{#if says.tested === 0}
	<p>
		No cell is tested yet. If {says.neededForOne} of {says.all} are tested and all are good, at most one of the others is
		below rating (95 %).
	</p>
{:else if says.tested < says.all}
	<p>
		{says.tested} of {says.all} tested: {found}. So at most <strong class="figure">{says.mostBelow}</strong> of all {says.all}
		are below rating (95 %).
	</p>
	{#if says.nineInTenAh !== null}<p>
			Nine in ten of all cells hold at least <strong class="figure">{says.nineInTenAh.toFixed(1)} Ah</strong> (95 %).
		</p>{:else}<p>Too few are tested to say what the other cells hold.</p>{/if}
	{#if says.neededForOne !== null && says.neededForOne > says.tested}<p>
			Test {says.neededForOne - says.tested} more: if all are good, at most one of all is below rating.
		</p>{/if}
{:else}
	<p>All {says.all} are tested: {found}.</p>
{/if}
<p class="text-base-content/70 text-sm">
	This holds for one batch, tested in random order. Test every cell if the cells are used or come from several batches.
</p>

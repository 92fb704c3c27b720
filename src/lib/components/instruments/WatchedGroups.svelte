<script lang="ts">
	import { announce, attempt } from '$lib/client/entry/announce';
	import { api } from '$lib/client/api/api';
	import Choice from '$lib/components/forms/Choice.svelte';
	import Misread from '$lib/components/verdicts/Misread.svelte';
	import type { Chemistry } from '$lib/core/foundation/chemistry';
	import type { CheckContext } from '$lib/core/serve/years';
	import { whatWasRead } from '$lib/core/foundation/snapshot';

	interface Props {
		groupsV: number[];
		chemistry: Chemistry;
		runId: number;
	}
	let { groupsV, chemistry, runId }: Props = $props();
	let context = $state<CheckContext>('rest');
	const read = $derived(whatWasRead(groupsV, chemistry));
	const spreadMv = $derived((Math.max(...groupsV) - Math.min(...groupsV)) * 1000);

	/** What the BMS last read becomes a check of the bank; full, with what the log of the charge counted. */
	async function enter() {
		if (await attempt(() => api.post(`live-runs/${runId}/check`, { context }))) announce('Check kept: see Serve.');
	}
</script>

<section class="sheet p-4" aria-label="Groups by the BMS">
	<h2>Groups by the BMS</h2>
	<ol class="my-2 flex flex-wrap gap-2">
		{#each groupsV as v, g (g)}<li class="rounded-field bg-base-300 px-3 py-1">
				<span class="muted">{g + 1}</span> <span class="figure text-lg font-semibold">{v.toFixed(3)}</span>
			</li>{/each}
	</ol>
	{#if read.kind === 'groups'}
		<p class="muted">
			{spreadMv.toFixed(0)} mV between highest and lowest. What that means depends on whether they are full, empty, resting
			or under load.
		</p>
	{:else}<Misread {read} />{/if}
	<div class="mt-3 flex flex-wrap items-end gap-3">
		<Choice
			label="They are"
			bind:value={context}
			options={[
				{ value: 'full', text: 'full' },
				{ value: 'rest', text: 'resting' },
				{ value: 'load', text: 'under load' },
				{ value: 'empty', text: 'empty' }
			]}
		/>
		<button class="btn tap" onclick={enter}>Enter as a check</button>
	</div>
</section>

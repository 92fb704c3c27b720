<script lang="ts">
	import { localDay } from '$lib/core/foundation/units';
	import { enhance } from '$app/forms';
	import { formKept } from '$lib/client/entry/form-kept';
	import Field from '$lib/components/forms/Field.svelte';
	import type { BatteryBuild } from '$lib/core/build/state';
	import type { BatteryWorkKind } from '$lib/core/picture';

	interface Props {
		build: BatteryBuild;
		refused: Record<string, string>;
	}
	let { build, refused }: Props = $props();
	const WORKS: { what: BatteryWorkKind; text: string; where: string | null; undoes: string }[] = [
		{
			what: 'lead-moved',
			text: 'A balance lead was moved',
			where: 'Leads',
			undoes: 'leads and BMS against the voltmeter'
		},
		{
			what: 'joint-opened',
			text: 'A joint was opened',
			where: 'Joints',
			undoes: 'its torque and the joints under load'
		},
		{ what: 'bms-changed', text: 'The BMS was changed', where: null, undoes: 'leads, BMS readings and charge counts' }
	];
	let what = $state<BatteryWorkKind>('lead-moved');
	let positions = $state('');
	let day = $state(localDay(new Date()));
	let fields = $derived(refused);
	const chosen = $derived(WORKS.find((w) => w.what === what)!);
</script>

<details class="sheet mt-3 p-4">
	<summary class="tap cursor-pointer">Record: something was moved, opened or changed</summary>
	<form
		method="POST"
		action="?/work"
		class="mt-3 grid gap-3"
		use:enhance={formKept({ onfields: (refusals) => (fields = refusals), onkept: () => (positions = '') })}
	>
		<input type="hidden" name="batteryId" value={build.battery.id} />
		<div class="grid items-end gap-3 sm:grid-cols-3">
			<label
				><span class="field-label">What was done</span>
				<select class="select tap w-full" name="what" bind:value={what}>
					{#each WORKS as work (work.what)}<option value={work.what}>{work.text}</option>{/each}
				</select></label
			>
			{#if chosen.where}<Field
					label="{chosen.where}, 0 to {build.battery.series}"
					name="positions"
					bind:value={positions}
					placeholder="3, 4 (blank: all)"
					error={fields.positions}
				/>{/if}
			<Field label="Day" type="date" name="doneAt" bind:value={day} error={fields.doneAt} />
		</div>
		<p class="muted">What was checked before that day is to be checked again: {chosen.undoes}.</p>
		<div>
			<button class="btn btn-primary tap">Record: {chosen.text.toLowerCase().replace(/\bbms\b/, 'BMS')}</button>
		</div>
	</form>
</details>

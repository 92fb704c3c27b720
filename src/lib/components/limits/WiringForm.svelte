<script lang="ts">
	import { enhance } from '$app/forms';
	import { formKept } from '$lib/client/form-kept';
	import Field from '$lib/components/forms/Field.svelte';

	interface Props {
		battery: {
			id: number;
			version: number;
			bmsA: number | null;
			bmsResolutionV: number | null;
			fuseA: number | null;
			cableA: number | null;
		};
		/** Why a field was refused, by its name. */
		refused: Record<string, string>;
		/** Where the form goes. */
		to: string;
	}
	let { battery, refused, to }: Props = $props();
	// svelte-ignore state_referenced_locally
	const { bmsA, bmsResolutionV, fuseA, cableA } = battery;
	let form = $state({ bmsA, bmsMv: bmsResolutionV === null ? null : bmsResolutionV * 1000, fuseA, cableA });
	let fields = $derived(refused);
</script>

<form
	method="POST"
	action={to}
	class="grid grid-cols-2 items-end gap-3 sm:grid-cols-5"
	use:enhance={formKept({ onfields: (refusals) => (fields = refusals) })}
>
	<input type="hidden" name="batteryId" value={battery.id} />
	<input type="hidden" name="version" value={battery.version} />
	<Field label="BMS continuous" unit="A" type="number" name="bmsA" bind:value={form.bmsA} error={fields.bmsA} />
	<Field
		label="BMS resolution"
		unit="mV"
		type="number"
		name="bmsResolutionV"
		bind:value={form.bmsMv}
		placeholder="1"
		error={fields.bmsResolutionV}
	/>
	<Field label="Main fuse" unit="A" type="number" name="fuseA" bind:value={form.fuseA} error={fields.fuseA} />
	<Field label="Cable" unit="A" type="number" name="cableA" bind:value={form.cableA} error={fields.cableA} />
	<button class="btn btn-primary tap">Keep these</button>
</form>

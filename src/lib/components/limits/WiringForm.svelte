<script lang="ts">
	import Field from '$lib/components/forms/Field.svelte';

	interface Wiring {
		bmsA: number | null;
		bmsResolutionV: number | null;
		fuseA: number | null;
		cableA: number | null;
	}
	interface Props {
		battery: Wiring;
		/** Why a field was refused, by its name. */
		fields: Record<string, string>;
		onkeep: (wiring: Wiring) => void;
	}
	let { battery, fields, onkeep }: Props = $props();
	// svelte-ignore state_referenced_locally
	const { bmsA, bmsResolutionV, fuseA, cableA } = battery;
	let form = $state({ bmsA, bmsMv: bmsResolutionV === null ? null : bmsResolutionV * 1000, fuseA, cableA });

	const number = (v: number | null) => (v === null || (v as unknown) === '' ? null : Number(v));
	function keep(event: SubmitEvent) {
		event.preventDefault();
		const mv = number(form.bmsMv);
		onkeep({
			bmsA: number(form.bmsA),
			bmsResolutionV: mv === null ? null : mv / 1000,
			fuseA: number(form.fuseA),
			cableA: number(form.cableA)
		});
	}
</script>

<form class="grid grid-cols-2 items-end gap-3 sm:grid-cols-5" onsubmit={keep}>
	<Field label="BMS continuous" unit="A" type="number" bind:value={form.bmsA} error={fields.bmsA} />
	<Field
		label="BMS resolution"
		unit="mV"
		type="number"
		bind:value={form.bmsMv}
		placeholder="1"
		error={fields.bmsResolutionV}
	/>
	<Field label="Main fuse" unit="A" type="number" bind:value={form.fuseA} error={fields.fuseA} />
	<Field label="Cable" unit="A" type="number" bind:value={form.cableA} error={fields.cableA} />
	<button class="btn btn-primary tap">Keep these</button>
</form>

<script lang="ts">
	import { enhance } from '$app/forms';
	import { formKept } from '$lib/client/entry/form-kept';
	import Field from '$lib/components/forms/Field.svelte';
	import { ampacityA, conductorOf } from '$lib/core/build/conductors';

	interface Props {
		battery: {
			id: number;
			version: number;
			bmsA: number | null;
			bmsResolutionV: number | null;
			fuseA: number | null;
			cableA: number | null;
			standbyA: number | null;
		};
		/** Why a field was refused, by its name. */
		refused: Record<string, string>;
		/** Where the form goes. */
		to: string;
	}
	let { battery, refused, to }: Props = $props();
	// svelte-ignore state_referenced_locally
	const { bmsA, bmsResolutionV, fuseA, cableA, standbyA } = battery;
	const inThousandths = (value: number | null) => (value === null ? null : Number((value * 1000).toPrecision(6)));
	let form = $state({ bmsA, bmsMv: inThousandths(bmsResolutionV), fuseA, cableA, standbyMa: inThousandths(standbyA) });
	let fields = $derived(refused);
	/** What the cable is by its own print; only to reckon with, nothing is kept of it. */
	let cable = $state('');
	const carries = $derived.by(() => {
		const conductor = conductorOf(cable);
		return conductor ? ampacityA(conductor) : null;
	});
</script>

<form
	method="POST"
	action={to}
	class="grid grid-cols-2 items-end gap-3 sm:grid-cols-3 xl:grid-cols-6"
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
	<Field
		label="Standby"
		unit="mA"
		type="number"
		name="standbyA"
		bind:value={form.standbyMa}
		placeholder="BMS, display, relay"
		error={fields.standbyA}
	/>
	<button class="btn btn-primary tap">Keep these</button>
</form>
<div class="mt-3 flex flex-wrap items-end gap-3">
	<Field
		label="Not the amps, but the size?"
		bind:value={cable}
		placeholder="50 mm² or AWG 2/0"
		hint={cable.trim() && carries === null ? 'A size like 50 mm², from 10 to 95, or AWG 10 to 4/0.' : undefined}
	/>
	{#if carries !== null}
		<button type="button" class="btn tap" onclick={() => (form.cableA = Math.floor(carries))}
			>Take {Math.floor(carries)} A (default)</button
		>
		<p class="muted basis-full">
			Single copper in free air, insulation for 105 °C, outside engine spaces; less in bundles, conduit and engine
			spaces (× 0.85), and never more than lug and holder. Check against your local code and the insulation on your
			cable.
		</p>
	{/if}
</div>

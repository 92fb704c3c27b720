<script lang="ts">
	import Field from '$lib/components/forms/Field.svelte';
	import { INSTRUMENT_KINDS, type InstrumentKind } from '$lib/components/live/instrument-kinds';

	interface Props {
		onadd: (instrument: object) => Promise<boolean>;
		/** Message by field, from the server. */
		fields: Record<string, string>;
	}
	let { onadd, fields }: Props = $props();
	const blank = () => ({
		name: '',
		kind: 'supply' as InstrumentKind,
		host: '',
		port: 5025 as number | null,
		unitId: 1 as number | null,
		accuracyPercent: 0.5 as number | null,
		voltageOffsetMv: 0 as number | null,
		currentGainPercent: 0 as number | null,
		outsideNamed: false
	});
	let form = $state(blank());
	const overModbus = $derived(form.kind === 'bms' || form.kind === 'shunt');
	const outside = $derived(form.host.trim() !== '' && !/^(localhost|127(\.\d+){3}|\[::1\])$/i.test(form.host.trim()));

	async function add(event: SubmitEvent) {
		event.preventDefault();
		const done = await onadd({
			name: form.name.trim(),
			kind: form.kind,
			host: form.host.trim(),
			port: Number(form.port),
			unitId: overModbus ? Number(form.unitId) : null,
			accuracyPercent: Number(form.accuracyPercent),
			voltageOffsetV: Number(form.voltageOffsetMv) / 1000,
			currentGainPercent: Number(form.currentGainPercent),
			outsideNamed: form.outsideNamed
		});
		if (done) form = blank();
	}
	const usual = () => (form.port = form.kind === 'bms' || form.kind === 'shunt' ? 502 : 5025);
</script>

<form class="sheet grid gap-3 p-4" onsubmit={add} aria-label="Add an instrument">
	<h2>Add an instrument</h2>
	<div class="grid gap-3 sm:grid-cols-4">
		<Field label="Name" bind:value={form.name} required maxlength={80} error={fields.name} />
		<div>
			<label class="field-label" for="kind">Kind</label>
			<select id="kind" class="select tap w-full" bind:value={form.kind} onchange={usual}>
				{#each INSTRUMENT_KINDS as kind (kind.value)}<option value={kind.value}>{kind.text}</option>{/each}
			</select>
		</div>
		<Field label="Address" bind:value={form.host} required placeholder="192.168.1.40" error={fields.host} />
		<Field label="Port" type="number" bind:value={form.port} required error={fields.port} />
		{#if overModbus}<Field label="Unit" type="number" bind:value={form.unitId} error={fields.unitId} />{/if}
		<Field label="Accuracy" unit="± %" type="number" bind:value={form.accuracyPercent} error={fields.accuracyPercent} />
		<Field
			label="Shows too much"
			unit="mV"
			type="number"
			bind:value={form.voltageOffsetMv}
			hint="by your calibration"
		/>
		<Field label="Shows too much current" unit="%" type="number" bind:value={form.currentGainPercent} />
	</div>
	{#if outside}
		<label class="tap flex items-center gap-3">
			<input type="checkbox" class="checkbox" bind:checked={form.outsideNamed} />
			{form.host.trim()} is outside this computer. It is an instrument of mine and I mean this address.
		</label>
		{#if fields.outsideNamed}<p class="text-sm ember-text">{fields.outsideNamed}</p>{/if}
	{/if}
	<div><button class="btn btn-primary tap">Add it</button></div>
</form>

<script lang="ts">
	import type { BodyFor } from '$lib/client/api/api-shapes';
	import Field from '$lib/components/forms/Field.svelte';
	import { INSTRUMENT_KINDS, INSTRUMENT_SHEETS, type InstrumentKind } from '$lib/core/foundation/reading';

	export interface EditedInstrument {
		name: string;
		kind: InstrumentKind;
		host: string;
		port: number;
		unitId: number | null;
		accuracyPercent: number;
		accuracyFixed: number;
		voltageOffsetV: number;
		currentGainPercent: number;
		outsideNamed: boolean;
		bundled: boolean;
	}
	interface Props {
		/** The entry to change; null for a new one. */
		instrument: EditedInstrument | null;
		/** Stores a new entry, or what is changed of this one: of a bundled one its calibration. */
		onadd?: (instrument: BodyFor<'post', 'instruments'>) => Promise<boolean>;
		onchange?: (instrument: Omit<BodyFor<'patch', `instruments/${number}`>, 'version'>) => Promise<boolean>;
		oncancel?: () => void;
		/** Message by field, from the server. */
		fields: Record<string, string>;
	}
	let { instrument, onadd, onchange, oncancel, fields }: Props = $props();
	/** The accuracy as it is shown: percent, and the fixed part in the unit of its kind. */
	const sheetOf = (kind: InstrumentKind, known: EditedInstrument | null) => ({
		accuracyPercent: (known?.accuracyPercent ?? INSTRUMENT_SHEETS[kind].usual.percent) as number | null,
		accuracyFixed: Number(
			((known?.accuracyFixed ?? INSTRUMENT_SHEETS[kind].usual.fixed) * INSTRUMENT_SHEETS[kind].perUnit).toPrecision(6)
		) as number | null
	});
	const blank = () => ({
		name: instrument?.name ?? '',
		kind: instrument?.kind ?? ('supply' as InstrumentKind),
		host: instrument?.host ?? '',
		port: (instrument?.port ?? 5025) as number | null,
		unitId: (instrument?.unitId ?? 1) as number | null,
		...sheetOf(instrument?.kind ?? 'supply', instrument),
		voltageOffsetMv: Number(((instrument?.voltageOffsetV ?? 0) * 1000).toFixed(3)) as number | null,
		currentGainPercent: (instrument?.currentGainPercent ?? 0) as number | null,
		outsideNamed: instrument?.outsideNamed ?? false
	});
	const id = $props.id();
	let form = $state(blank());
	const title = $derived(
		instrument ? `${instrument.bundled ? 'Calibrate' : 'Change'} ${instrument.name}` : 'Add an instrument'
	);
	const overModbus = $derived(form.kind === 'bms' || form.kind === 'shunt');
	const outside = $derived(form.host.trim() !== '' && !/^(localhost|127(\.\d+){3}|\[::1\])$/i.test(form.host.trim()));

	async function save(event: SubmitEvent) {
		event.preventDefault();
		const calibration = {
			accuracyPercent: Number(form.accuracyPercent),
			accuracyFixed: Number(form.accuracyFixed) / INSTRUMENT_SHEETS[form.kind].perUnit,
			voltageOffsetV: Number(form.voltageOffsetMv) / 1000,
			currentGainPercent: Number(form.currentGainPercent)
		};
		const address = {
			name: form.name.trim(),
			kind: form.kind,
			host: form.host.trim(),
			port: Number(form.port),
			unitId: overModbus ? Number(form.unitId) : null,
			outsideNamed: form.outsideNamed
		};
		if (instrument) await onchange?.(instrument.bundled ? calibration : { ...address, ...calibration });
		else if (await onadd?.({ ...address, ...calibration })) form = blank();
	}
	/** Another kind has another usual port and, until somebody gives it, another usual accuracy. */
	const usual = () =>
		Object.assign(form, { port: overModbus ? 502 : 5025, ...(instrument ? {} : sheetOf(form.kind, null)) });
</script>

<form class="sheet grid gap-3 p-4" onsubmit={save} aria-label={title}>
	<h2>{title}</h2>
	<div class="grid gap-3 sm:grid-cols-4">
		{#if !instrument?.bundled}
			<Field label="Name" bind:value={form.name} required maxlength={80} error={fields.name} />
			<div>
				<label class="field-label" for="{id}-kind">Kind</label>
				<select id="{id}-kind" class="select tap w-full" bind:value={form.kind} onchange={usual}>
					{#each INSTRUMENT_KINDS as kind (kind)}
						{@const { name, speaks } = INSTRUMENT_SHEETS[kind]}
						<option value={kind}>{name} ({speaks})</option>
					{/each}
				</select>
			</div>
			<Field label="Address" bind:value={form.host} required placeholder="192.168.1.40" error={fields.host} />
			<Field label="Port" type="number" bind:value={form.port} required error={fields.port} />
			{#if overModbus}<Field label="Unit" type="number" bind:value={form.unitId} error={fields.unitId} />{/if}
		{/if}
		<Field label="Accuracy" unit="± %" type="number" bind:value={form.accuracyPercent} error={fields.accuracyPercent} />
		<Field
			label="and"
			unit="± {INSTRUMENT_SHEETS[form.kind].unit}"
			type="number"
			bind:value={form.accuracyFixed}
			error={fields.accuracyFixed}
		/>
		{#if form.kind !== 'ohmmeter'}<Field
				label="Shows too much"
				unit="mV"
				type="number"
				bind:value={form.voltageOffsetMv}
				hint="by your calibration"
			/>{/if}
		{#if form.kind !== 'voltmeter' && form.kind !== 'ohmmeter'}<Field
				label="Shows too much current"
				unit="%"
				type="number"
				bind:value={form.currentGainPercent}
			/>{/if}
	</div>
	{#if outside && !instrument?.bundled}
		<label class="tap flex items-center gap-3">
			<input type="checkbox" class="checkbox" bind:checked={form.outsideNamed} />
			{form.host.trim()} is outside this computer. It is an instrument of mine and I mean this address.
		</label>
		{#if fields.outsideNamed}<p class="text-sm ember-text">{fields.outsideNamed}</p>{/if}
	{/if}
	<div class="flex gap-3">
		<button class="btn btn-primary tap">{instrument ? 'Save' : 'Add it'}</button>
		{#if oncancel}<button type="button" class="btn tap" onclick={oncancel}>Leave as it was</button>{/if}
	</div>
</form>

<script lang="ts">
	import type { HTMLInputAttributes } from 'svelte/elements';
	import { ownUnits, shownIn } from '$lib/client/settings/own-style';
	import { fromUserUnits, unitOf, type ConvertedQuantity } from '$lib/core/foundation/units';
	import DateField from './DateField.svelte';
	import NumberField from './NumberField.svelte';

	interface Props extends Omit<HTMLInputAttributes, 'value'> {
		label: string;
		/** A number field's is the number, null when blank. */
		value: string | number | null | undefined;
		unit?: string;
		/** What a number is of: typed and shown in the chosen system, given and taken in °C, kg, mm or N·m. */
		quantity?: ConvertedQuantity;
		hint?: string;
		error?: string | null;
		/** What is typed is no number, or no date. */
		bad?: boolean;
	}
	let {
		label,
		value = $bindable(),
		unit,
		quantity,
		hint,
		error = null,
		bad = $bindable(false),
		type = 'text',
		class: extra = '',
		...rest
	}: Props = $props();
	const id = $props.id();
	const unitText = $derived(quantity ? [unitOf(quantity, ownUnits()), unit].filter(Boolean).join(' ') : unit);
	const shownError = $derived(
		bad ? (type === 'date' ? 'Write a date, like the one shown.' : 'Write a number, like 280.4.') : error
	);
	const described = $derived({
		id,
		'aria-describedby': shownError || hint ? `${id}-note` : undefined,
		'aria-invalid': shownError ? (true as const) : undefined
	});
</script>

<div class={extra}>
	<label class="field-label" for={id}
		>{label}{#if unitText}&nbsp;<span class="muted font-normal">({unitText})</span>{/if}</label
	>
	{#if type === 'number' && quantity}
		<NumberField
			bind:value={
				() => shownIn(value === null || value === undefined || value === '' ? null : Number(value), quantity),
				(v) => (value = fromUserUnits(v === null || v === undefined ? null : Number(v), quantity, ownUnits()))
			}
			bind:bad
			error={Boolean(shownError)}
			{...described}
			{...rest}
		/>
	{:else if type === 'number'}
		<NumberField bind:value bind:bad error={Boolean(shownError)} {...described} {...rest} />
	{:else if type === 'date'}
		<DateField bind:value bind:bad error={Boolean(shownError)} {...described} {...rest} />
	{:else}
		<!-- What stood in it when the page was left is not put over what is stored now. -->
		<input
			{type}
			autocomplete="off"
			class="input tap w-full"
			class:input-error={shownError}
			bind:value
			{...described}
			{...rest}
		/>
	{/if}
	{#if shownError}<p id="{id}-note" class="mt-1 text-sm ember-text">{shownError}</p>
	{:else if hint}<p id="{id}-note" class="mt-1 text-sm muted">{hint}</p>{/if}
</div>

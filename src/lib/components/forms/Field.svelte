<script lang="ts">
	import type { HTMLInputAttributes } from 'svelte/elements';

	interface Props extends Omit<HTMLInputAttributes, 'value'> {
		label: string;
		value: string | number | null | undefined;
		unit?: string;
		hint?: string;
		error?: string | null;
	}
	let {
		label,
		value = $bindable(),
		unit,
		hint,
		error = null,
		type = 'text',
		class: extra = '',
		...rest
	}: Props = $props();
	const id = $props.id();
</script>

<div class={extra}>
	<label class="field-label" for={id}
		>{label}{#if unit}&nbsp;<span class="muted font-normal">({unit})</span>{/if}</label
	>
	{#if type === 'number'}
		<input
			{id}
			type="number"
			step="any"
			class="input tap figure w-full"
			class:input-error={error}
			bind:value
			aria-describedby={error || hint ? `${id}-note` : undefined}
			aria-invalid={error ? true : undefined}
			{...rest}
		/>
	{:else}
		<input
			{id}
			{type}
			class="input tap w-full"
			class:input-error={error}
			bind:value
			aria-describedby={error || hint ? `${id}-note` : undefined}
			aria-invalid={error ? true : undefined}
			{...rest}
		/>
	{/if}
	{#if error}<p id="{id}-note" class="mt-1 text-sm ember-text">{error}</p>
	{:else if hint}<p id="{id}-note" class="mt-1 text-sm muted">{hint}</p>{/if}
</div>

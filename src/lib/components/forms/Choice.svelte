<script lang="ts" generics="T extends string">
	interface Props {
		label: string;
		value: T;
		options: readonly { value: T; text: string }[];
		onchange?: (value: T) => void;
		/** Hide the label to the eye (it is still spoken). */
		quiet?: boolean;
	}
	let { label, value = $bindable(), options, onchange, quiet = false }: Props = $props();

	function choose(next: T) {
		value = next;
		onchange?.(next);
	}
</script>

<div role="radiogroup" aria-label={label}>
	{#if !quiet}<span class="field-label">{label}</span>{/if}
	<div class="inline-flex flex-wrap gap-1 rounded-field bg-base-300 p-1">
		{#each options as option (option.value)}
			<button
				type="button"
				role="radio"
				aria-checked={value === option.value}
				class="tap rounded-field px-3 text-[0.95rem]"
				class:chosen={value === option.value}
				onclick={() => choose(option.value)}>{option.text}</button
			>
		{/each}
	</div>
</div>

<style>
	.chosen {
		background: var(--color-base-100);
		font-weight: 700;
		box-shadow: 0 0 0 1.5px var(--color-base-content);
	}
</style>

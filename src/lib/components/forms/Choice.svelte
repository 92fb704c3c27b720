<script lang="ts" generics="T extends string">
	interface Props {
		label: string;
		value: T;
		options: readonly { value: T; text: string }[];
		onchange?: (value: T) => void;
		/** Hide the label to the eye (it is still spoken). */
		quiet?: boolean;
		/** Name in a form that is sent. */
		name?: string;
	}
	let { label, value = $bindable(), options, onchange, quiet = false, name }: Props = $props();
	const id = $props.id();

	function choose(next: T) {
		value = next;
		onchange?.(next);
	}
</script>

<div role="radiogroup" aria-label={label}>
	{#if !quiet}<span class="field-label" aria-hidden="true">{label}</span>{/if}
	<div class="inline-flex flex-wrap gap-1 rounded-field bg-base-300 p-1">
		{#each options as option (option.value)}
			<label class="option tap rounded-field px-3 text-[0.95rem]" class:chosen={value === option.value}>
				<input
					type="radio"
					name={name ?? id}
					value={option.value}
					checked={value === option.value}
					onchange={() => choose(option.value)}
				/>
				{option.text}
			</label>
		{/each}
	</div>
</div>

<style>
	.option {
		position: relative;
		display: inline-flex;
		align-items: center;
		cursor: pointer;
	}
	/* Over the whole of its label: a thumb meets it wherever it lands. */
	.option input {
		position: absolute;
		inset: 0;
		opacity: 0;
		cursor: pointer;
	}
	.option:has(:focus-visible) {
		outline: 3px solid var(--color-base-content);
		outline-offset: 2px;
	}
	.chosen {
		background: var(--color-base-100);
		font-weight: 700;
		box-shadow: 0 0 0 1.5px var(--color-base-content);
	}
</style>

<script lang="ts">
	import type { HTMLInputAttributes } from 'svelte/elements';
	import { parseNumber } from '$lib/core/foundation/units';

	interface Props extends Omit<HTMLInputAttributes, 'value'> {
		value: string | number | null | undefined;
		/** What is typed is no number. Its form is not sent meanwhile. */
		bad: boolean;
		error: boolean;
	}
	let { value = $bindable(), bad = $bindable(), error, ...rest }: Props = $props();

	const written = (v: Props['value']) => (v === null || v === undefined ? '' : String(v));
	let typed = $state(written(value));
	let input: HTMLInputElement;

	function take() {
		typed = input.value;
		const number = parseNumber(typed);
		bad = Number.isNaN(number);
		value = bad ? null : number;
	}
	// Set from outside: shown, unless it is what is typed anyhow.
	$effect(() => {
		const given = typeof value === 'string' ? parseNumber(value) : (value ?? null);
		if (!bad && parseNumber(typed) !== given) typed = written(value);
	});
	$effect(() => {
		const { form } = input;
		const hold = (event: SubmitEvent) => {
			if (!bad) return;
			event.preventDefault();
			event.stopImmediatePropagation();
			input.focus();
		};
		form?.addEventListener('submit', hold, true);
		return () => form?.removeEventListener('submit', hold, true);
	});
</script>

<input
	bind:this={input}
	inputmode="decimal"
	autocomplete="off"
	class="input tap figure w-full"
	class:input-error={error}
	value={typed}
	oninput={take}
	{...rest}
/>

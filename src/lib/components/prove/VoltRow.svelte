<script lang="ts">
	import { splitPasted } from '$lib/core/foundation/reading';

	interface Props {
		label: string;
		/** Stands before each box's number in its name. */
		name: string;
		typed: string[];
	}
	let { label, name, typed = $bindable() }: Props = $props();

	function next(event: KeyboardEvent) {
		if (event.key !== 'Enter') return;
		event.preventDefault();
		const all = [...document.querySelectorAll<HTMLInputElement>('[data-volts]')];
		const at = all.indexOf(event.currentTarget as HTMLInputElement);
		(all[at + 1] ?? document.querySelector<HTMLElement>('[data-after-volts]'))?.focus();
	}
	function paste(event: ClipboardEvent, from: number) {
		const lines = splitPasted(event.clipboardData?.getData('text') ?? '');
		if (lines.length < 2) return;
		event.preventDefault();
		typed = typed.map((v, i) => (i >= from && i - from < lines.length ? (lines[i - from] ?? '') : v));
	}
</script>

<fieldset>
	<legend class="field-label">{label}</legend>
	<div class="row">
		{#each typed as _, i (i)}
			<label>
				<span class="muted">group {i + 1}</span>
				<input
					data-volts
					name="{name}-{i + 1}"
					class="input tap figure w-full px-2"
					inputmode="decimal"
					autocomplete="off"
					bind:value={typed[i]}
					onkeydown={next}
					onpaste={(e) => paste(e, i)}
					aria-label="{label}, group {i + 1}, volts"
				/>
			</label>
		{/each}
	</div>
</fieldset>

<style>
	.row {
		display: grid;
		grid-template-columns: repeat(auto-fill, minmax(5rem, 1fr));
		gap: 0.4rem;
	}
	label {
		font-size: 0.875rem;
	}
</style>

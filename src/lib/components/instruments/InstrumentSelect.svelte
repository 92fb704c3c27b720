<script lang="ts">
	import type { ShownInstrument } from './instrument-choice';

	interface Props {
		label: string;
		instruments: ShownInstrument[];
		value: number | null;
		/** Text of the choice of none; no such choice when missing. */
		none?: string;
	}
	let { label, instruments, value = $bindable(), none }: Props = $props();
	const id = $props.id();
</script>

<div>
	<label class="field-label" for={id}>{label}</label>
	<select {id} class="select tap w-full" bind:value>
		{#if none}<option value={null}>{none}</option>{/if}
		{#each instruments as i (i.id)}<option value={i.id}>{i.name}{i.trouble ? ' (does not answer)' : ''}</option>{/each}
	</select>
</div>

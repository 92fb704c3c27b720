<script lang="ts">
	import Field from '$lib/components/forms/Field.svelte';

	interface Props {
		rehearsal: boolean;
		/** Time between samples, ms; null in a rehearsal: its bench's pace decides. */
		intervalMs: number | null;
		/** s; what is offered first. */
		usualS: number;
	}
	let { rehearsal, intervalMs = $bindable(), usualS }: Props = $props();
	// svelte-ignore state_referenced_locally
	let seconds = $state<number | null>(usualS);
	$effect(() => {
		intervalMs = rehearsal || !seconds ? null : Math.round(Number(seconds) * 1000);
	});
</script>

{#if !rehearsal}<Field
		label="Sample every"
		unit="s"
		type="number"
		bind:value={seconds}
		required
		min="0.02"
		max="600"
	/>{/if}

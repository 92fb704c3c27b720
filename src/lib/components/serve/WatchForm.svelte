<script lang="ts">
	import InstrumentSelect from '$lib/components/live/InstrumentSelect.svelte';
	import { fitting, type ShownInstrument } from '$lib/components/live/instrument-choice';

	interface Props {
		instruments: ShownInstrument[];
		rehearsal: boolean;
		onwatch: (instruments: object) => void;
	}
	let { instruments, rehearsal, onwatch }: Props = $props();
	const bmses = $derived(fitting(instruments, 'bms', rehearsal));
	const shunts = $derived(fitting(instruments, 'shunt', rehearsal));
	// svelte-ignore state_referenced_locally
	let chosen = $state({ bms: bmses[0]?.id ?? null, shunt: shunts[0]?.id ?? null });
</script>

{#if bmses.length || shunts.length}
	<section class="sheet p-4" aria-label="Watch BMS and shunt">
		<h2>Watch BMS and shunt</h2>
		<div class="my-3 grid gap-3 sm:grid-cols-2">
			<InstrumentSelect label="BMS" instruments={bmses} bind:value={chosen.bms} none="none" />
			<InstrumentSelect label="Shunt" instruments={shunts} bind:value={chosen.shunt} none="none" />
		</div>
		<button class="btn tap" onclick={() => onwatch(chosen)}>Watch them</button>
	</section>
{/if}

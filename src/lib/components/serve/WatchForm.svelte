<script lang="ts">
	import type { BodyFor } from '$lib/client/api/api-shapes';
	import IntervalField from '$lib/components/instruments/IntervalField.svelte';
	import InstrumentSelect from '$lib/components/instruments/InstrumentSelect.svelte';
	import { fitting, type ShownInstrument } from '$lib/components/instruments/instrument-choice';

	interface Props {
		instruments: ShownInstrument[];
		rehearsal: boolean;
		onwatch: (plan: { instruments: BodyFor<'post', 'live-runs'>['instruments']; intervalMs: number | null }) => void;
	}
	let { instruments, rehearsal, onwatch }: Props = $props();
	const bmses = $derived(fitting(instruments, 'bms', rehearsal));
	const shunts = $derived(fitting(instruments, 'shunt', rehearsal));
	// svelte-ignore state_referenced_locally
	let chosen = $state({ bms: bmses[0]?.id ?? null, shunt: shunts[0]?.id ?? null });
	let intervalMs = $state<number | null>(null);
</script>

{#if bmses.length || shunts.length}
	<section class="sheet p-4" aria-label="Watch BMS and shunt">
		<h2>Watch BMS and shunt</h2>
		<div class="my-3 grid gap-3 sm:grid-cols-3">
			<InstrumentSelect label="BMS" instruments={bmses} bind:value={chosen.bms} none="none" />
			<InstrumentSelect label="Shunt" instruments={shunts} bind:value={chosen.shunt} none="none" />
			<IntervalField {rehearsal} bind:intervalMs usualS={10} />
		</div>
		<button class="btn tap" onclick={() => onwatch({ instruments: chosen, intervalMs })}>Watch them</button>
	</section>
{/if}

<script lang="ts">
	import InstrumentSelect from './InstrumentSelect.svelte';
	import { fitting, type ShownInstrument } from './instrument-choice';

	interface Props {
		instruments: ShownInstrument[];
		rehearsal: boolean;
		bankId: number;
		/** Every check before the supply goes on has been passed. */
		ready: boolean;
		onfollow: (instruments: object) => void;
	}
	let { instruments, rehearsal, bankId, ready, onfollow }: Props = $props();
	const supplies = $derived(fitting(instruments, 'supply', rehearsal));
	const meters = $derived(fitting(instruments, 'voltmeter', rehearsal));
	// svelte-ignore state_referenced_locally
	let chosen = $state({ supply: supplies[0]?.id ?? null, voltmeter: meters[0]?.id ?? null });
</script>

{#if supplies.length}
	<div class="mt-3 grid gap-3 sm:grid-cols-2">
		<InstrumentSelect label="Supply" instruments={supplies} bind:value={chosen.supply} />
		<InstrumentSelect
			label="Meter at the cells"
			instruments={meters}
			bind:value={chosen.voltmeter}
			none="none: I read it myself"
		/>
	</div>
	{#if rehearsal}<p class="mt-2 muted">
			Your hands must have joined the cells first: <a class="underline" href="/banks/{bankId}/rehearsal"
				>go to the bench</a
			>.
		</p>{/if}
	<button class="btn tap mt-3" class:btn-primary={rehearsal} disabled={!ready} onclick={() => onfollow(chosen)}
		>Set and follow it live</button
	>
{/if}

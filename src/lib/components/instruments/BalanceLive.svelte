<script lang="ts">
	import type { BodyFor } from '$lib/client/api/api-shapes';
	import { attempt } from '$lib/client/entry/announce';
	import { api } from '$lib/client/api/api';
	import Field from '$lib/components/forms/Field.svelte';
	import InstrumentSelect from './InstrumentSelect.svelte';
	import IntervalField from './IntervalField.svelte';
	import { fitting, type ShownInstrument } from './instrument-choice';

	interface Props {
		instruments: ShownInstrument[];
		rehearsal: boolean;
		bankId: number;
		/** Every check before the supply goes on has been passed. */
		ready: boolean;
		temperatureUnit: string;
		/** Of the room where the instruments know it, in the user's unit. */
		roomTemperature: number | null;
		onfollow: (plan: {
			instruments: BodyFor<'post', 'live-runs'>['instruments'];
			temperature: number | null;
			intervalMs: number | null;
		}) => void;
	}
	let { instruments, rehearsal, bankId, ready, temperatureUnit, roomTemperature, onfollow }: Props = $props();
	/** What the chosen supply says it is set to, its output off or on. */
	let setTo = $state<string | null>(null);
	async function readSetting() {
		await attempt(async () => {
			const { reading, trouble } = await api.post(`instruments/${chosen.supply!}/try`, {});
			const { on = null, setTo: set = null } = reading ?? {};
			setTo = set
				? `Set to ${set.voltageV.toFixed(2)} V and ${set.currentA.toFixed(1)} A; its output is ${on ? 'on' : 'off'}.`
				: (trouble ?? 'This supply does not tell what it is set to: read its display.');
		});
	}
	const supplies = $derived(fitting(instruments, 'supply', rehearsal));
	const meters = $derived(fitting(instruments, 'voltmeter', rehearsal));
	const shunts = $derived(fitting(instruments, 'shunt', rehearsal));
	// svelte-ignore state_referenced_locally
	let chosen = $state({
		supply: supplies[0]?.id ?? null,
		voltmeter: meters[0]?.id ?? null,
		shunt: null as number | null
	});
	let intervalMs = $state<number | null>(null);
	// svelte-ignore state_referenced_locally
	let temperature = $state<number | null>(roomTemperature);
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
		{#if shunts.length}<InstrumentSelect
				label="Shunt in the same circuit"
				instruments={shunts}
				bind:value={chosen.shunt}
				none="none"
			/>{/if}
		<Field label="The cells are at" unit={temperatureUnit} type="number" bind:value={temperature} />
		<IntervalField {rehearsal} bind:intervalMs usualS={1} />
	</div>
	{#if rehearsal}<p class="mt-2 muted">
			Your hands must have joined the cells first: <a class="underline" href="/banks/{bankId}/rehearsal"
				>go to the bench</a
			>.
		</p>{/if}
	{#if chosen.supply}<p class="mt-3 flex flex-wrap items-center gap-3">
			<button type="button" class="btn tap" onclick={() => void readSetting()}>Read what the supply is set to</button>
			{#if setTo}<span class="figure" role="status">{setTo}</span>{/if}
		</p>{/if}
	<button
		class="btn tap mt-3"
		class:btn-primary={rehearsal}
		disabled={!ready}
		onclick={() => onfollow({ instruments: chosen, temperature: temperature ?? null, intervalMs })}
		>Set and follow it live</button
	>
{/if}

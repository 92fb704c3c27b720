<script lang="ts">
	import { lookAgain } from '$lib/client/tabs/look-again';
	import { attempt } from '$lib/client/entry/announce';
	import { api } from '$lib/client/api/api';
	import { fitting, type ShownInstrument } from '$lib/components/instruments/instrument-choice';

	interface Props {
		bankId: number;
		/** The bench of a rehearsal puts the probes on by itself; at a real one a person holds them. */
		rehearsal: boolean;
		instruments: ShownInstrument[];
		cells: readonly { id: number; label: string }[];
		selected: { id: number; label: string } | null;
		/** The quantity of the tray decides which meter is taken. */
		quantity: 'restVoltage' | 'acResistance';
		/** A reading was entered; the next cell may be shown. */
		onread: (cellId: number) => void;
	}
	let { bankId, rehearsal, instruments, cells, selected, quantity, onread }: Props = $props();
	let progress = $state<{ done: number; of: number } | null>(null);
	let stopped = false;
	let chosen = $state<number | null>(null);
	const meters = $derived(fitting(instruments, quantity === 'restVoltage' ? 'voltmeter' : 'ohmmeter', rehearsal));
	const meter = $derived(meters.find((m) => m.id === chosen) ?? meters[0]);

	const read = (cellId: number) =>
		attempt(() =>
			api.post(`banks/${bankId}/measure`, { cellId, instrumentId: meter!.id, clientKey: crypto.randomUUID() })
		);
	async function readOne() {
		if (!selected) return;
		const { id } = selected;
		if (await read(id)) onread(id);
		await lookAgain();
	}
	/** One cell after the other until done, stopped or refused. */
	async function readAll() {
		stopped = false;
		progress = { done: 0, of: cells.length };
		for (const { id } of cells) {
			if (stopped || !(await read(id))) break;
			progress = { done: progress.done + 1, of: cells.length };
		}
		progress = null;
		await lookAgain();
	}
</script>

{#if meter}
	<section class="sheet mt-3 flex flex-wrap items-center gap-3 p-3" aria-label="Read with a meter">
		{#if meters.length > 1}
			<select
				class="select tap w-auto"
				aria-label="Meter"
				value={meter.id}
				onchange={(e) => (chosen = Number(e.currentTarget.value))}
			>
				{#each meters as m (m.id)}<option value={m.id}>{m.name}</option>{/each}
			</select>
		{:else}<span class="muted">{meter.name}{meter.trouble ? ', does not answer' : ''}</span>{/if}
		{#if progress}
			<progress class="progress w-40" max={progress.of} value={progress.done} aria-label="Cells read"></progress>
			<span class="figure">{progress.done} of {progress.of}</span>
			<button class="btn tap" onclick={() => (stopped = true)}>Stop</button>
		{:else}
			<button class="btn btn-primary tap" disabled={!selected} onclick={readOne}
				>Read {selected?.label ?? 'a cell'}</button
			>
			{#if rehearsal}<button class="btn tap" onclick={readAll}>Read all {cells.length} in turn</button>
			{:else}<span class="muted">Probes on the cell, red on its printed plus.</span>{/if}
		{/if}
	</section>
{/if}

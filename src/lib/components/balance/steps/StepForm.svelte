<script lang="ts">
	import Field from '$lib/components/forms/Field.svelte';
	import WhenField from '$lib/components/forms/WhenField.svelte';
	import { attempt } from '$lib/client/entry/announce';
	import { api } from '$lib/client/api/api';
	import { fitting, type ShownInstrument } from '$lib/components/instruments/instrument-choice';
	import type { Chemistry } from '$lib/core/foundation/chemistry';
	import type { NextStep } from '$lib/core/balance/steps';
	import { formatDateTime, type Settings } from '$lib/core/foundation/units';
	import { FIELD_LABELS, entryOf, type TakenVolts, type TypedEntry, type WrittenEntry } from './step-words';
	import VoltsFrom from './VoltsFrom.svelte';

	interface Props {
		step: NextStep;
		/** By the bank’s own clock. */
		clock: () => number;
		nowMs: number;
		bank: { id: number; chemistry: Chemistry; series: number; rehearsal: boolean };
		groupAh: number;
		/** Lists of volts are of its groups, not of ready-made batteries. */
		byGroup: boolean;
		/** Something stands in it now. */
		ontyped: () => void;
		instruments: readonly ShownInstrument[];
		dateStyle: Settings['dateStyle'];
		/** Why what was sent was refused, by field. */
		refused: Record<string, string>;
		onwrite: (entry: WrittenEntry) => Promise<boolean>;
	}
	let { step, clock, nowMs, bank, groupAh, byGroup, ontyped, instruments, dateStyle, refused, onwrite }: Props =
		$props();
	const blank = (): TypedEntry => ({
		...{ voltageV: null, currentA: null, ah: null, wh: null },
		...{ volts: '', words: '', asked: false }
	});
	let typed = $state(blank());
	let doneAt = $state<string | null>(null);
	let doubtS = $state<number | null>(null);
	/** Where the volts came from, as long as nobody types over them. */
	let taken = $state.raw<{ text: string; from: TakenVolts } | null>(null);
	const meter = $derived(step.cell ? (fitting(instruments, 'voltmeter', bank.rehearsal)[0] ?? null) : null);
	let busy = $state(false);
	const waits = $derived(step.from !== null && Date.parse(step.from) > nowMs);

	async function write(event: SubmitEvent) {
		event.preventDefault();
		busy = true;
		const from = taken?.text === typed.volts ? taken.from : null;
		const at = doneAt ?? from?.at ?? new Date(clock()).toISOString();
		const done = await onwrite(entryOf(step, typed, at, from?.passings ?? null));
		busy = false;
		if (done) [typed, doneAt, taken] = [blank(), null, null];
	}
	function take(from: TakenVolts) {
		const text = from.volts.map((v) => v.toFixed(4)).join(' ');
		taken = { text, from };
		typed.volts = text;
		ontyped();
		if (step.asks.includes('currentA') && from.currentA !== null) typed.currentA = Number(from.currentA.toFixed(2));
	}
	async function readMeter() {
		busy = true;
		await attempt(async () => {
			const { voltageV } = await api.post(`banks/${bank.id}/read-battery`, {
				...{ instrumentId: meter!.id, cellId: step.cell!.id }
			});
			typed.voltageV = Number(voltageV!.toFixed(4));
			ontyped();
		});
		busy = false;
	}
</script>

<form class="grid gap-3" onsubmit={write} oninput={ontyped}>
	<p class="text-lg">{step.does}</p>
	{#if waits}<p class="font-semibold">Not before {formatDateTime(step.from!, dateStyle)}: it rests.</p>{/if}
	<div class="grid grid-cols-2 items-end gap-3 sm:grid-cols-4">
		{#each step.asks as field (field)}
			{#if field === 'asked'}
				<label class="tap col-span-full flex items-center gap-3"
					><input type="checkbox" class="checkbox" bind:checked={typed.asked} /> {step.question}</label
				>
			{:else if field === 'volts'}
				<div class="col-span-full">
					<Field
						label="Volts, in order"
						bind:value={typed.volts}
						placeholder={byGroup ? '3.512 3.498 3.505 …' : '13.52 13.48 …'}
						hint="{step.count ?? ''} of them, with spaces between"
						error={refused.volts}
					/>
					{#if byGroup && step.count === bank.series}<VoltsFrom
							{bank}
							{groupAh}
							{instruments}
							{step}
							ontake={take}
						/>{/if}
				</div>
			{:else if field === 'words'}
				<div class="col-span-full">
					<Field label="In a few words" bind:value={typed.words} maxlength={400} error={refused.words} />
				</div>
			{:else}
				<Field
					label={FIELD_LABELS[field].label}
					unit={FIELD_LABELS[field].unit}
					type="number"
					bind:value={typed[field]}
					error={refused[field]}
				/>
			{/if}
		{/each}
		{#if meter && step.asks.includes('voltageV')}<button
				type="button"
				class="btn tap"
				disabled={busy}
				onclick={() => void readMeter()}>Read it by {meter.name}</button
			>{/if}
		<div class="col-span-full"><WhenField bind:at={doneAt} bind:doubtS label="Done" /></div>
	</div>
	{#each ['step', 'doneAt', 'asked', 'methodRunId', 'unit', 'cellId'] as field (field)}
		{#if refused[field]}<p class="ember-text font-semibold" role="alert">{refused[field]}</p>{/if}
	{/each}
	<div>
		<button class="btn btn-primary tap" disabled={busy || (step.question !== null && !typed.asked)}
			>Write it down</button
		>
	</div>
</form>

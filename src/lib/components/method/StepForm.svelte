<script lang="ts">
	import Field from '$lib/components/forms/Field.svelte';
	import WhenField from '$lib/components/forms/WhenField.svelte';
	import type { NextStep } from '$lib/core/method-run';
	import { formatDateTime, type Settings } from '$lib/core/units';
	import { FIELD_LABELS, entryOf, type TypedEntry, type WrittenEntry } from './step-words';

	interface Props {
		step: NextStep;
		nowMs: number;
		dateStyle: Settings['dateStyle'];
		/** Why what was sent was refused, by field. */
		refused: Record<string, string>;
		onwrite: (entry: WrittenEntry) => Promise<boolean>;
	}
	let { step, nowMs, dateStyle, refused, onwrite }: Props = $props();
	const blank = (): TypedEntry => ({
		...{ voltageV: null, currentA: null, ah: null, wh: null, hours: null },
		...{ volts: '', words: '', asked: false }
	});
	let typed = $state(blank());
	let doneAt = $state<string | null>(null);
	let doubtS = $state<number | null>(null);
	let busy = $state(false);
	const waits = $derived(step.from !== null && Date.parse(step.from) > nowMs);

	async function write(event: SubmitEvent) {
		event.preventDefault();
		busy = true;
		const done = await onwrite(entryOf(step, typed, doneAt));
		busy = false;
		if (done) [typed, doneAt] = [blank(), null];
	}
</script>

<form class="grid gap-3" onsubmit={write}>
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
						placeholder="3.512 3.498 3.505 …"
						hint="{step.count ?? ''} of them, with spaces between"
						error={refused.volts}
					/>
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

<script lang="ts">
	import Choice from '$lib/components/forms/Choice.svelte';
	import Field from '$lib/components/forms/Field.svelte';
	import WhenField from '$lib/components/forms/WhenField.svelte';
	import Misread from '$lib/components/verdicts/Misread.svelte';
	import type { Chemistry } from '$lib/core/foundation/chemistry';
	import { parseReading, splitPasted } from '$lib/core/foundation/reading';
	import { whatWasRead, type Read } from '$lib/core/foundation/snapshot';
	import { CoreError } from '$lib/core/foundation/errors';
	import type { CheckContext } from '$lib/core/serve/years';
	import type { ServiceRow } from '$lib/core/serve/state';
	import { fromUserUnits, unitOf, type Settings } from '$lib/core/foundation/units';

	export type NewCheck = Omit<ServiceRow, 'id' | 'version' | 'battery'> & { checkedDoubtS: number | null };
	interface Props {
		groups: number;
		chemistry: Chemistry;
		units: Settings['units'];
		onlog: (check: NewCheck) => Promise<boolean>;
	}
	let { groups, chemistry, units, onlog }: Props = $props();
	const CONTEXTS: readonly { value: CheckContext; text: string }[] = [
		{ value: 'full', text: 'Full: end of charge' },
		{ value: 'empty', text: 'Empty' },
		{ value: 'rest', text: 'At rest' },
		{ value: 'load', text: 'Under load' }
	];
	let context = $state<CheckContext>('full');
	let checkedAt = $state<string | null>(null);
	let doubtS = $state<number | null>(null);
	let currentA = $state<number | null>(null);
	let temperature = $state<number | null>(null);
	let notes = $state('');
	// svelte-ignore state_referenced_locally
	let volts = $state<string[]>(Array.from({ length: groups }, () => ''));
	let error = $state<string | null>(null);
	/** What was typed cannot be groups: asked about once, kept unjudged when it is logged all the same. */
	let odd = $state<Exclude<Read, { kind: 'groups' }> | null>(null);

	function paste(event: ClipboardEvent, from: number) {
		const lines = splitPasted(event.clipboardData?.getData('text') ?? '');
		if (lines.length < 2) return;
		event.preventDefault();
		volts = volts.map((v, i) => (i >= from && i - from < lines.length ? (lines[i - from] ?? '') : v));
	}
	function next(event: KeyboardEvent, i: number) {
		if (event.key !== 'Enter') return;
		event.preventDefault();
		const form = (event.currentTarget as HTMLInputElement).form!;
		(
			form.querySelector<HTMLInputElement>(`[name="group-${i + 1}"]`) ??
			form.querySelector<HTMLElement>('[type="submit"]')
		)?.focus();
	}
	async function submit(event: SubmitEvent) {
		event.preventDefault();
		try {
			const groupVoltagesV = volts.map((v) => (v.trim() === '' ? null : parseReading(v, 'restVoltage').value));
			if (groupVoltagesV.filter((v) => v !== null).length < 2)
				throw new CoreError('few', 'groupVoltagesV', 'Read at least two groups.');
			if (currentA === null)
				throw new CoreError(
					'current',
					'currentA',
					'Give the current, 0 when none flows: it decides what the voltages can tell.'
				);
			error = null;
			const read = whatWasRead(groupVoltagesV, chemistry);
			if (read.kind !== 'groups' && odd === null) return void (odd = read);
			const done = await onlog({
				checkedAt: checkedAt ?? new Date().toISOString(),
				checkedDoubtS: doubtS,
				context,
				currentA: Number(currentA),
				temperatureC: fromUserUnits(temperature === null ? null : Number(temperature), 'temperature', units),
				groupVoltagesV,
				notes: notes || null
			});
			if (done) {
				volts = volts.map(() => '');
				odd = null;
			}
		} catch (cause) {
			error = cause instanceof CoreError ? cause.message : String(cause);
		}
	}
</script>

<form class="sheet grid gap-3 p-4" onsubmit={submit} novalidate>
	<h2>Log a service check</h2>
	<Choice label="How does the battery stand?" bind:value={context} options={CONTEXTS} />
	<WhenField bind:at={checkedAt} bind:doubtS />
	<div class="grid grid-cols-2 gap-3 sm:grid-cols-4">
		<Field label="Current" unit="A, + into the battery" type="number" bind:value={currentA} />
		<Field label="Temperature" unit={unitOf('temperature', units)} type="number" bind:value={temperature} />
		<Field label="Note" bind:value={notes} />
	</div>
	<fieldset>
		<legend class="field-label">Voltage of each group</legend>
		<div class="grid grid-cols-4 gap-2 sm:grid-cols-8">
			{#each volts as _, i (i)}
				<label class="text-sm"
					><span class="muted">{i + 1}</span><input
						name="group-{i}"
						class="input tap figure w-full px-2"
						inputmode="decimal"
						bind:value={volts[i]}
						oninput={() => (odd = null)}
						onpaste={(e) => paste(e, i)}
						onkeydown={(e) => next(e, i)}
						aria-label="Group {i + 1}, volts"
					/></label
				>
			{/each}
		</div>
	</fieldset>
	{#if odd}
		<Misread
			read={odd}
			ondifferences={odd.kind === 'cumulative' && odd.differencesV.length === groups
				? (differences) => {
						volts = differences.map((v) => v.toFixed(3));
						odd = null;
					}
				: undefined}
		/>
	{/if}
	{#if error}<p class="ember-text font-semibold" role="alert">{error}</p>{/if}
	<div><button type="submit" class="btn btn-primary tap">{odd ? 'Log it all the same' : 'Log the check'}</button></div>
</form>

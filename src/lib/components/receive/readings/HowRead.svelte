<script lang="ts">
	import Choice from '$lib/components/forms/Choice.svelte';
	import Field from '$lib/components/forms/Field.svelte';
	import WhenField from '$lib/components/forms/WhenField.svelte';
	import { PROBES, PROBE_NAMES, READ_STATES, READ_STATE_NAMES } from '$lib/core/foundation/reading';
	import type { HowItIsRead } from './entry.svelte';

	/** @param resistance it is a resistance that is read: then its probes matter */
	let { how = $bindable(), resistance = false }: { how: HowItIsRead; resistance?: boolean } = $props();
	const flows = $derived(how.state === 'end-of-charge' || how.state === 'under-load');
</script>

<details class="sheet mt-3 px-3">
	<summary class="tap flex cursor-pointer flex-wrap items-center gap-2">
		<span class="muted">Read</span>
		<strong>{READ_STATE_NAMES[how.state]}</strong><span class="muted">·</span>
		<strong>{how.takenAt === null ? 'now' : how.takenDoubtS ? 'earlier, roughly' : 'earlier'}</strong>
	</summary>
	<div class="grid gap-3 pb-3">
		<Choice
			label="How do the cells stand?"
			bind:value={how.state}
			options={READ_STATES.map((state) => ({ value: state, text: READ_STATE_NAMES[state] }))}
		/>
		{#if resistance}<Choice
				label="Where are the probes?"
				value={how.probe ?? 'unsaid'}
				options={[
					{ value: 'unsaid' as const, text: 'not said' },
					...PROBES.map((probe) => ({ value: probe, text: PROBE_NAMES[probe] }))
				]}
				onchange={(probe) => (how.probe = probe === 'unsaid' ? null : probe)}
			/>{/if}
		{#if flows}<Field
				label="Current"
				unit="A, + into the cell"
				type="number"
				bind:value={how.stateA}
				class="max-w-60"
			/>{/if}
		<WhenField bind:at={how.takenAt} bind:doubtS={how.takenDoubtS} />
		{#if how.state !== 'loose'}<p class="muted">
				{how.state === 'joined'
					? 'Of one cell a joined reading says nothing: it is kept to show a bar that does not carry.'
					: 'Kept with its state; a cell is judged by what it reads loose.'}
			</p>{/if}
	</div>
</details>

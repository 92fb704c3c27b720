<script lang="ts">
	import { onMount } from 'svelte';
	import DateField from './DateField.svelte';
	import { ROUGHLY, momentOf, type Roughly } from './when';

	interface Props {
		/** ISO 8601; null: now. */
		at: string | null;
		/** How far off that may be, s; null: exact. */
		doubtS: number | null;
		label?: string;
		/** Names in a form that is sent: of the moment and of its doubt. */
		names?: { at: string; doubtS: string };
	}
	let { at = $bindable(), doubtS = $bindable(), label = 'When', names }: Props = $props();
	const id = $props.id();
	/** Before the page listens there is one field: blank is now. */
	let awake = $state(false);
	onMount(() => (awake = true));
	let earlier = $state(false);
	let typed = $state('');
	let noDate = $state(false);
	/** How far off the middle of a month or a year may be, s. */
	let roughS = $state<number | null>(null);
	let roughly = $state<Roughly>('exact');

	$effect(() => {
		// What is typed and is no date is sent as it is, and refused: it never becomes now.
		at = earlier ? (momentOf(typed) ?? (typed || 'no date')) : null;
		const doubts = [ROUGHLY[roughly].doubtS, roughS].filter((s): s is number => s !== null);
		doubtS = earlier && doubts.length ? Math.max(...doubts) : null;
	});
	function choose(event: Event & { currentTarget: HTMLSelectElement }) {
		earlier = event.currentTarget.value === 'earlier';
		if (!earlier || typed) return;
		const now = new Date();
		now.setMinutes(now.getMinutes() - now.getTimezoneOffset());
		typed = now.toISOString().slice(0, 16);
	}
</script>

<fieldset class="when">
	<legend class="field-label">{label}</legend>
	<select class="select tap" aria-label="{label}: now or earlier" value={earlier ? 'earlier' : 'now'} onchange={choose}>
		<option value="now">now</option>
		<option value="earlier">earlier …</option>
	</select>
	{#if earlier}
		<DateField
			{id}
			withTime
			rough
			bind:value={typed}
			bind:bad={noDate}
			bind:roughS
			aria-label="{label}: date and time"
		/>
		<select class="select tap" bind:value={roughly} aria-label="{label}: how exactly">
			{#each Object.entries(ROUGHLY) as [key, { text }] (key)}<option value={key}>{text}</option>{/each}
		</select>
		{#if noDate}<span class="text-sm ember-text" role="alert"
				>This is no date. Write it like the one shown, or a month and year.</span
			>
		{:else if roughS}<span class="text-sm muted">give or take {Math.round(roughS / 86_400)} days</span>{/if}
	{/if}
	{#if names && !awake}
		<input type="datetime-local" class="input tap" name={names.at} aria-label="{label}: date and time, blank for now" />
	{:else if names}
		<input type="hidden" name={names.at} value={at ?? ''} />
		<input type="hidden" name={names.doubtS} value={doubtS ?? ''} />
	{/if}
</fieldset>

<style>
	.when {
		display: flex;
		flex-wrap: wrap;
		gap: 0.4rem;
		align-items: center;
	}
	legend {
		float: left;
		width: 100%;
	}
	.when :global(.select),
	.when :global(.input) {
		width: auto;
	}
</style>

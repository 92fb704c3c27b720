<script lang="ts">
	import { announce } from '$lib/client/entry/announce';
	import DateField from '$lib/components/forms/DateField.svelte';
	import { momentOf } from '$lib/components/forms/when';
	import { CoreError } from '$lib/core/foundation/errors';
	import { formatDateTime, type Settings } from '$lib/core/foundation/units';

	interface Props {
		startedAt: string;
		dateStyle: Settings['dateStyle'];
		/** @throws CoreError when it cannot have begun then */
		onmove: (startedAt: string) => void;
	}
	let { startedAt, dateStyle, onmove }: Props = $props();
	let typed = $state<string | null>(null);
	/** Of whoever types, to the minute. */
	const local = (iso: string) => {
		const date = new Date(iso);
		date.setMinutes(date.getMinutes() - date.getTimezoneOffset());
		return date.toISOString().slice(0, 16);
	};
	function move() {
		const moment = momentOf(typed ?? '');
		if (!moment) return announce('Write the day and the time at which it began.');
		if (Date.parse(moment) > Date.now()) return announce('It cannot have begun in the future.');
		try {
			onmove(moment);
			typed = null;
		} catch (error) {
			announce(error instanceof CoreError ? error.message : 'It cannot have begun then.');
		}
	}
</script>

<div class="flex flex-wrap items-end gap-3">
	<p class="muted grow">
		Began {formatDateTime(startedAt, dateStyle)}. It is reckoned as full then; one that was not holds more than this
		tells.
	</p>
	{#if typed === null}<button class="btn tap" onclick={() => (typed = local(startedAt))}
			>It began at another time</button
		>
	{:else}
		<label><span class="field-label">It began</span><DateField withTime bind:value={typed} /></label>
		<button class="btn btn-primary tap" onclick={move}>Record: it began then</button>
		<button class="btn tap" onclick={() => (typed = null)}>As it was</button>
	{/if}
</div>

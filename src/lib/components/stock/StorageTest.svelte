<script lang="ts">
	import { addDays, formatISO } from 'date-fns';
	import { lookAgain } from '$lib/client/tabs/look-again';
	import { announce, attempt } from '$lib/client/entry/announce';
	import { api } from '$lib/client/api/api';
	import Field from '$lib/components/forms/Field.svelte';
	import { formatDate, type Settings } from '$lib/core/foundation/units';

	interface Props {
		cellId: number;
		/** The test that has not ended; null: none. */
		standing: { id: number; version: number; chargedAt: string; dueOn: string } | null;
		/** It is of a bank, whose calendar names the day. */
		hasBank: boolean;
		dateStyle: Settings['dateStyle'];
	}
	let { cellId, standing, hasBank, dateStyle }: Props = $props();
	const today = () => formatISO(new Date(), { representation: 'date' });
	let chargedOn = $state(today());
	/** A month: less hides in the counter. */
	let days = $state<number | null>(30);
	let refillAh = $state<number | null>(null);
	let refillSdAh = $state<number | null>(null);
	let refilledOn = $state(today());
	let fields = $state<Record<string, string>>({});
	const dueOn = $derived(days ? formatISO(addDays(new Date(chargedOn), days), { representation: 'date' }) : null);

	async function send(write: () => Promise<unknown>, said: string) {
		fields = {};
		const done = await attempt(write, (refused) => (fields = refused));
		if (done) {
			announce(said);
			await lookAgain();
		}
	}
	function begin(event: SubmitEvent) {
		event.preventDefault();
		if (!dueOn) return (fields = { dueOn: 'How many days is it to stand?' });
		const body = { cellId, chargedAt: chargedOn, dueOn };
		void send(
			() => api.post('storage-tests', body),
			`It stands. The day is ${hasBank ? 'in the calendar of its bank' : 'on this page'}.`
		);
	}
	function end(event: SubmitEvent) {
		event.preventDefault();
		if (refillAh === null) return (fields = { refillAh: 'How many Ah did it take?' });
		const { id, version } = standing!;
		const body = { version, refillAh, refillSdAh, refilledAt: refilledOn };
		void send(() => api.patch(`storage-tests/${id}`, body), 'Kept, and judged.');
	}
</script>

<details class="sheet my-4 p-4" open={standing !== null}>
	<summary class="tap cursor-pointer font-semibold"
		>{standing
			? `Stands full since ${formatDate(standing.chargedAt, dateStyle)}, to be charged again on ${formatDate(standing.dueOn, dateStyle)}`
			: 'Test what it loses by itself'}</summary
	>
	{#if standing}
		<form class="mt-2 grid gap-3" onsubmit={end} novalidate>
			<p>
				Charge it again to the same volts and the same tail, and count what goes in. Before that day the counter tells
				more of itself than of the cell.
			</p>
			<div class="grid grid-cols-2 items-start gap-3 sm:grid-cols-3">
				<Field label="It took" unit="Ah" type="number" bind:value={refillAh} error={fields.refillAh} />
				<Field
					label="Give or take"
					unit="Ah"
					type="number"
					bind:value={refillSdAh}
					error={fields.refillSdAh}
					hint="blank: 2 % of it"
				/>
				<Field label="On" type="date" bind:value={refilledOn} error={fields.refilledAt} />
			</div>
			<div><button class="btn btn-primary tap">Judge it</button></div>
		</form>
	{:else}
		<form class="mt-2 grid gap-3" onsubmit={begin} novalidate>
			<p class="muted">
				Charge it full to a tail, take everything off it, and let it stand cool and alone. A month tells 1 % from 3 %;
				on the plateau no voltage does.
			</p>
			<div class="grid grid-cols-2 items-start gap-3 sm:grid-cols-3">
				<Field label="Charged full on" type="date" bind:value={chargedOn} error={fields.chargedAt} />
				<Field label="Let it stand" unit="days" type="number" bind:value={days} error={fields.dueOn} />
				<p class="self-end pb-2">{dueOn ? `Again on ${formatDate(dueOn, dateStyle)}` : ''}</p>
			</div>
			<div><button class="btn tap">It stands now</button></div>
		</form>
	{/if}
</details>

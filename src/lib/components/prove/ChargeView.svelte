<script lang="ts">
	import { enhance } from '$app/forms';
	import { formKept } from '$lib/client/entry/form-kept';
	import Field from '$lib/components/forms/Field.svelte';
	import { formatDate, type Settings, localDay } from '$lib/core/foundation/units';

	interface Props {
		battery: { id: number; number: number };
		count: { countedAt: string; chargedAh: number; dischargedAh: number } | null;
		test: { testedAt: string; capacityAh: number; sdAh: number } | null;
		forecastAh: number | null;
		dateStyle: Settings['dateStyle'];
		refused: Record<string, string>;
	}
	let { battery, count, test, forecastAh, dateStyle, refused }: Props = $props();
	let fields = $derived(refused);
	let counted = $state<{ chargedAh: number | null; dischargedAh: number | null }>({
		chargedAh: null,
		dischargedAh: null
	});
	let tested = $state<{ capacityAh: number | null; sdAh: number | null }>({ capacityAh: null, sdAh: null });
	let day = $state(localDay(new Date()));
	const onfields = (refusals: Record<string, string>) => (fields = refusals);
</script>

<section class="sheet grid gap-3 p-4" aria-label="Charge in against charge out">
	<h2>Is the charge counted right?</h2>
	<p>
		Between the same two ends: full to empty by the load’s counter, empty to full by the charger’s. 0.999 of what goes
		in comes out of a sound cell; more or less is a counter.
		{#if count}<span class="muted"
				>Last, {formatDate(count.countedAt, dateStyle)}:
				<span class="figure">{count.chargedAh.toFixed(1)}</span> Ah in,
				<span class="figure">{count.dischargedAh.toFixed(1)}</span> Ah out.</span
			>{/if}
	</p>
	<form
		method="POST"
		action="?/count"
		class="grid grid-cols-2 items-end gap-3 sm:grid-cols-4"
		use:enhance={formKept({ onfields, onkept: () => (counted = { chargedAh: null, dischargedAh: null }) })}
	>
		<input type="hidden" name="batteryId" value={battery.id} />
		<Field
			label="Went in"
			unit="Ah"
			type="number"
			name="chargedAh"
			bind:value={counted.chargedAh}
			error={fields.chargedAh}
		/>
		<Field
			label="Came out"
			unit="Ah"
			type="number"
			name="dischargedAh"
			bind:value={counted.dischargedAh}
			error={fields.dischargedAh}
		/>
		<Field label="Day" type="date" name="countedAt" bind:value={day} error={fields.countedAt} />
		<button class="btn btn-primary tap">Compare them</button>
	</form>
</section>
<section class="sheet mt-4 grid gap-3 p-4" aria-label="Capacity of the battery">
	<h2>Does it give what was foretold?</h2>
	<p>
		{forecastAh === null
			? 'Not every group is measured: matching foretells nothing yet.'
			: `Matching foretells ${forecastAh.toFixed(1)} Ah, its smallest group.`} Full to the cut-off, at a steady load, by a
		counter you trust.
		{#if test}<span class="muted"
				>Last, {formatDate(test.testedAt, dateStyle)}:
				<span class="figure">{test.capacityAh.toFixed(1)} ± {test.sdAh.toFixed(1)} Ah</span>.</span
			>{/if}
	</p>
	<form
		method="POST"
		action="?/test"
		class="grid grid-cols-2 items-end gap-3 sm:grid-cols-4"
		use:enhance={formKept({ onfields, onkept: () => (tested = { capacityAh: null, sdAh: null }) })}
	>
		<input type="hidden" name="battery" value={battery.number} />
		<Field
			label="Capacity"
			unit="Ah"
			type="number"
			name="capacityAh"
			bind:value={tested.capacityAh}
			error={fields.capacityAh}
		/>
		<Field
			label="Usually off by, ±"
			unit="Ah"
			type="number"
			name="sdAh"
			placeholder="1 % of it"
			bind:value={tested.sdAh}
			error={fields.sdAh}
		/>
		<Field label="Day" type="date" name="testedAt" bind:value={day} error={fields.testedAt} />
		<button class="btn btn-primary tap">Keep the test</button>
	</form>
</section>

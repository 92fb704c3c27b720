<script lang="ts">
	import { invalidateAll } from '$app/navigation';
	import { attempt } from '$lib/client/announce';
	import { api } from '$lib/client/api';
	import Choice from '$lib/components/forms/Choice.svelte';
	import Field from '$lib/components/forms/Field.svelte';
	import TopBar from '$lib/components/frame/TopBar.svelte';
	import { formatDate, type Settings } from '$lib/core/units';

	let { data } = $props();
	const METERS = [
		{ percent: 'voltMeterPercent', counts: 'voltMeterCountsMv', name: 'Voltmeter', unit: 'mV' },
		{ percent: 'ohmMeterPercent', counts: 'ohmMeterCountsMohm', name: 'Milliohm meter', unit: 'mΩ' }
	] as const;

	async function change(part: Partial<Settings>) {
		if (await attempt(() => api.patch('settings', part))) await invalidateAll();
	}
</script>

<svelte:head><title>Settings · Kind Ember</title></svelte:head>
<TopBar />
<main class="mx-auto max-w-2xl p-4">
	<h1 class="mb-4">Settings</h1>
	<section class="sheet grid gap-6 p-5">
		<Choice
			label="Units"
			value={data.settings.units}
			options={[
				{ value: 'metric', text: 'Metric: °C, kg, mm, N·m' },
				{ value: 'us', text: 'US: °F, lb, in, in·lb' }
			]}
			onchange={(units) => change({ units })}
		/>
		<Choice
			label="Dates"
			value={data.settings.dateStyle}
			options={(['day-first', 'month-first', 'iso'] as const).map((style) => ({
				value: style,
				text: formatDate('2026-03-09', style)
			}))}
			onchange={(dateStyle) => change({ dateStyle })}
		/>
		<Choice
			label="Look"
			value={data.settings.theme}
			options={[
				{ value: 'ash', text: 'Ash (light)' },
				{ value: 'coal', text: 'Coal (dark)' }
			]}
			onchange={(theme) => change({ theme })}
		/>
		<fieldset class="grid gap-3">
			<legend class="field-label">Your meters</legend>
			{#each METERS as meter (meter.name)}
				<div class="grid grid-cols-2 gap-3">
					<Field
						label="{meter.name} ±"
						unit="% of reading"
						type="number"
						min="0"
						value={data.settings[meter.percent]}
						onchange={(e) => change({ [meter.percent]: Number(e.currentTarget.value) })}
					/>
					<Field
						label="plus"
						unit={meter.unit}
						type="number"
						min="0"
						value={data.settings[meter.counts]}
						onchange={(e) => change({ [meter.counts]: Number(e.currentTarget.value) })}
					/>
				</div>
			{/each}
			<p class="text-sm muted">
				From the accuracy line of the meter’s leaflet; its counts written as a value. Every verdict on a reading takes
				its doubt from here.
			</p>
		</fieldset>
		<p class="muted">Volts, amperes, ampere-hours and milliohms stay as they are: the field has one unit for each.</p>
	</section>
</main>

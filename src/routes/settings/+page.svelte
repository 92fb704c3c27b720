<script lang="ts">
	import { enhance } from '$app/forms';
	import { formKept } from '$lib/client/entry/form-kept';
	import Choice from '$lib/components/forms/Choice.svelte';
	import Field from '$lib/components/forms/Field.svelte';
	import TopBar from '$lib/components/frame/TopBar.svelte';
	import { formatDate, type Settings } from '$lib/core/foundation/units';

	let { data, form } = $props();
	const METERS = [
		{ percent: 'voltMeterPercent', counts: 'voltMeterCountsMv', name: 'Voltmeter', unit: 'mV' },
		{ percent: 'ohmMeterPercent', counts: 'ohmMeterCountsMohm', name: 'Milliohm meter', unit: 'mΩ' }
	] as const;
	let fields = $derived<Record<string, string>>(form?.fields ?? {});
	const kept = formKept({ quiet: true, onfields: (refused) => (fields = refused) });
	const send = (event: Event & { currentTarget: HTMLFormElement }) => event.currentTarget.requestSubmit();
	/** Each is a form of its own: what is chosen here is all that is sent. */
	const CHOICES = [
		{
			name: 'units',
			label: 'Units',
			options: [
				{ value: 'metric', text: 'Metric: °C, kg, mm, N·m' },
				{ value: 'us', text: 'US: °F, lb, in, in·lb' }
			]
		},
		{
			name: 'dateStyle',
			label: 'Dates',
			options: (['day-first', 'month-first', 'iso'] as const).map((style) => ({
				value: style,
				text: formatDate('2026-03-09', style)
			}))
		},
		{
			name: 'theme',
			label: 'Look',
			options: [
				{ value: 'ash', text: 'Ash (light)' },
				{ value: 'coal', text: 'Coal (dark)' }
			]
		}
	] as const satisfies readonly { name: keyof Settings; label: string; options: object }[];
</script>

<svelte:head><title>Settings · Kind Ember</title></svelte:head>
<TopBar />
<main class="mx-auto max-w-2xl p-4">
	<h1 class="mb-4">Settings</h1>
	<section class="sheet grid gap-6 p-5">
		{#each CHOICES as { name, label, options } (name)}
			<form method="POST" use:enhance={kept} onchange={send} class="flex flex-wrap items-end gap-3">
				<Choice {label} {name} value={data.settings[name]} {options} />
				<button class="btn tap until-awake">Keep</button>
			</form>
		{/each}
		<form method="POST" use:enhance={kept} onchange={send} class="grid grid-cols-2 items-end gap-3">
			<Field
				label="You can be asked from"
				unit="o’clock"
				type="number"
				name="wakeFromH"
				value={data.settings.wakeFromH}
				error={fields.wakeFromH}
			/>
			<Field
				label="until"
				unit="o’clock"
				type="number"
				name="wakeUntilH"
				value={data.settings.wakeUntilH}
				error={fields.wakeUntilH}
			/>
			<button class="btn tap until-awake">Keep</button>
		</form>
		<form method="POST" use:enhance={kept} onchange={send} class="grid grid-cols-2 items-end gap-3">
			<Field
				label="Prices are in"
				name="currency"
				value={data.settings.currency}
				maxlength={8}
				error={fields.currency}
			/>
			<button class="btn tap until-awake">Keep</button>
		</form>
		<fieldset class="grid gap-3">
			<legend class="field-label">Your meters</legend>
			{#each METERS as meter (meter.name)}
				<form method="POST" use:enhance={kept} onchange={send} class="grid grid-cols-2 items-end gap-3">
					<Field
						label="{meter.name} ±"
						unit="% of reading"
						type="number"
						name={meter.percent}
						value={data.settings[meter.percent]}
						error={fields[meter.percent]}
					/>
					<Field
						label="plus"
						unit={meter.unit}
						type="number"
						name={meter.counts}
						value={data.settings[meter.counts]}
						error={fields[meter.counts]}
					/>
					<button class="btn tap until-awake">Keep</button>
				</form>
			{/each}
			<p class="text-sm muted">
				From the accuracy line of the meter’s leaflet; its counts written as a value. Every verdict on a reading takes
				its doubt from here.
			</p>
		</fieldset>
		<p class="muted">Volts, amperes, ampere-hours and milliohms stay as they are: the field has one unit for each.</p>
	</section>
</main>

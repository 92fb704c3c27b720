<script lang="ts">
	import { enhance } from '$app/forms';
	import { attempt } from '$lib/client/entry/announce';
	import { api } from '$lib/client/api/api';
	import { formKept } from '$lib/client/entry/form-kept';
	import CurveChart from '$lib/components/charts/CurveChart.svelte';
	import TopBar from '$lib/components/frame/TopBar.svelte';
	import Photos from '$lib/components/photos/Photos.svelte';
	import StorageTest from '$lib/components/stock/StorageTest.svelte';
	import { inOwnStyle } from '$lib/client/settings/own-style';
	import RunList from '$lib/components/stock/RunList.svelte';
	import Whereabouts from '$lib/components/stock/Whereabouts.svelte';
	import { formatDateTime } from '$lib/core/foundation/units';

	let { data, form } = $props();
	// svelte-ignore state_referenced_locally
	let text = $state(form?.typed?.text ?? '');
	let curves = $state<Record<number, { voltageV: number[]; dischargedAh: number[] }>>({});
	const KINDS = {
		arrival: 'Arrived',
		reading: 'Read',
		inspection: 'Looked at',
		run: 'Run',
		storage: 'Stood',
		verdict: 'Judged',
		'said-before': 'Judged before',
		placement: 'Placed',
		removal: 'Taken out',
		group: 'In its group',
		note: 'Note'
	} as const;

	async function toggle(runId: number) {
		if (curves[runId]) {
			const { [runId]: _, ...rest } = curves;
			curves = rest;
			return;
		}
		await attempt(async () => {
			const { curve } = await api.get(`runs/${runId}/curve`);
			curves = { ...curves, [runId]: curve };
		});
	}
</script>

<svelte:head><title>{data.cell.label} · Kind Ember</title></svelte:head>
<TopBar />
<main class="mx-auto max-w-3xl p-4">
	<p>
		<a
			class="tap inline-flex items-center underline underline-offset-4"
			href={data.bank ? `/banks/${data.bank.id}/receive` : '/stock'}>{data.bank?.name ?? 'In the stock'}</a
		>
		· {data.delivery.name}
		{#if data.delivery.rehearsal}<span class="rehearsal-mark ml-2 px-2">Rehearsal: a simulated cell</span>{/if}
	</p>
	<h1>Passport of {data.cell.label}</h1>
	<p class="muted">
		{[
			data.cell.batch ? `Batch ${data.cell.batch}` : null,
			data.cell.code,
			data.cell.plusTurned ? 'Plus is on the other side than printed: build it in turned' : null
		]
			.filter(Boolean)
			.join(' · ')}
	</p>
	{#each data.stops as stop (stop.title)}
		<p class="stop my-3" role="alert">
			<strong>Stop</strong>
			{inOwnStyle(stop.title)}.{#if stop.next}<span class="block">{inOwnStyle(stop.next)}</span>{/if}
		</p>
	{/each}
	<div class="my-3"><Photos subjectKind="cell" subjectId={data.cell.id} label={data.cell.label} /></div>
	<Whereabouts
		label={data.cell.label}
		place={data.place}
		replacements={data.replacements}
		considered={data.considered}
		settings={data.settings}
	/>
	<RunList label={data.cell.label} runs={data.runs} siblings={data.siblings} settings={data.settings} />
	<form
		method="POST"
		action="?/note"
		class="sheet my-4 grid gap-2 p-4"
		use:enhance={formKept({ quiet: true, onkept: () => (text = '') })}
	>
		<label class="field-label" for="note">Add a note</label>
		<textarea id="note" name="text" class="textarea w-full" rows="2" bind:value={text} maxlength="4000" required
		></textarea>
		<div><button class="btn btn-primary tap">Keep the note</button></div>
	</form>
	<StorageTest
		cellId={data.cell.id}
		standing={data.standing}
		hasBank={data.bank !== null}
		dateStyle={data.settings.dateStyle}
	/>
	<ol class="life">
		{#each [...data.events].reverse() as event, i (i)}
			<li>
				<p class="text-sm muted">
					<strong>{KINDS[event.kind]}</strong> ·
					<time datetime={event.at}>{formatDateTime(event.at, data.settings.dateStyle)}</time>
				</p>
				<p class="font-semibold whitespace-pre-line">{event.kind === 'note' ? event.title : inOwnStyle(event.title)}</p>
				{#if event.detail}<p>{inOwnStyle(event.detail)}</p>{/if}
				{#if event.runId !== null}
					<button class="btn tap mt-1" aria-expanded={event.runId in curves} onclick={() => toggle(event.runId!)}
						>{event.runId in curves ? 'Hide the curve' : 'Show the curve'}</button
					>
					{#if curves[event.runId]}<CurveChart
							series={[
								{
									name: data.cell.label,
									x: curves[event.runId]!.dischargedAh,
									y: curves[event.runId]!.voltageV,
									strong: true
								}
							]}
							xLabel="Ah taken out"
							yLabel="V"
						/>{/if}
				{/if}
			</li>
		{/each}
	</ol>
</main>

<style>
	.stop {
		padding: 0.6rem 0.9rem;
		border: 2px solid var(--stop);
		border-radius: 0.6rem;
	}
	.stop strong {
		color: var(--ember-text);
	}
	.life {
		border-left: 3px solid var(--line);
		padding-left: 1.1rem;
		display: grid;
		gap: 1rem;
	}
	.life li {
		position: relative;
	}
	.life li::before {
		content: '';
		position: absolute;
		left: -1.6rem;
		top: 0.35rem;
		width: 0.75rem;
		height: 0.75rem;
		border-radius: 50%;
		background: var(--measure-line);
	}
</style>

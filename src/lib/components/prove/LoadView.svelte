<script lang="ts">
	import { lookAgain } from '$lib/client/tabs/look-again';
	import { announce, attempt } from '$lib/client/entry/announce';
	import { api } from '$lib/client/api/api';
	import BatteryDrawing from '$lib/components/tray/BatteryDrawing.svelte';
	import Field from '$lib/components/forms/Field.svelte';
	import { fitting, type ShownInstrument } from '$lib/components/instruments/instrument-choice';
	import { CoreError } from '$lib/core/foundation/errors';
	import type { BatteryShape } from '$lib/core/build/box';
	import type { Joint } from '$lib/core/prove/joints';
	import { formatDate, type Settings } from '$lib/core/foundation/units';
	import type { StageVerdict } from '$lib/core/foundation/verdicts';
	import { flowWords, mohmRange, signedMohm } from './mohm-words';
	import { allVoltsTyped } from './volt-list';
	import VoltRow from './VoltRow.svelte';

	interface Props {
		bankId: number;
		rehearsal: boolean;
		battery: BatteryShape & { id: number; series: number; parallel: number; groups: readonly { id: number }[] };
		joints: readonly Joint[] | null;
		reading: { readAt: string; currentA: number } | null;
		cellNames: readonly (readonly string[])[];
		verdicts: readonly StageVerdict[];
		instruments: ShownInstrument[];
		dateStyle: Settings['dateStyle'];
	}
	let { bankId, rehearsal, battery, joints, reading, cellNames, verdicts, instruments, dateStyle }: Props = $props();
	const bms = $derived(fitting(instruments, 'bms', rehearsal)[0] ?? null);
	const blank = () => Array.from({ length: battery.series }, () => '');
	let rest = $state(blank());
	let loaded = $state(blank());
	let currentA = $state<number | null>(null);
	let loadA = $state<number | null>(50);
	let busy = $state(false);
	let error = $state<string | null>(null);
	const groupIds = $derived(new Set(battery.groups.map((g) => g.id)));
	const ofBattery = (v: StageVerdict) => groupIds.has(Number(v.subject.id));
	const warmth = $derived(
		Array.from(
			{ length: battery.series },
			(_, i) =>
				verdicts.find((v) => v.code === 'joint-loose' && v.facts.group === i + 1 && ofBattery(v))?.warmth ?? 'calm'
		)
	);
	const ranked = $derived([...(joints ?? [])].sort((a, b) => b.mOhm.likely - a.mOhm.likely));

	async function read(into: 'rest' | 'loaded') {
		busy = true;
		await attempt(async () => {
			const { groupsV, currentA: amps } = await api.post(`banks/${bankId}/read-battery`, { instrumentId: bms!.id });
			const shown = (groupsV ?? []).map((v) => v.toFixed(4));
			if (into === 'rest') rest = shown;
			else {
				loaded = shown;
				currentA = amps === null ? null : Number(amps.toFixed(2));
			}
		});
		busy = false;
	}
	async function switchLoad(amps: number) {
		busy = true;
		await attempt(() => api.post(`banks/${bankId}/rehearsal/hands`, { loadA: amps }));
		busy = false;
	}
	async function keep(event: SubmitEvent) {
		event.preventDefault();
		error = null;
		try {
			const restV = allVoltsTyped(rest, 'At rest');
			const loadV = allVoltsTyped(loaded, 'Under load');
			if (currentA === null)
				throw new CoreError(
					'current',
					'currentA',
					'Give the current: minus while a load draws, plus while a charger charges.'
				);
			const done = await attempt(() =>
				api.post('load-readings', {
					...{ batteryId: battery.id, readAt: new Date().toISOString(), restV, loadV, currentA: currentA! },
					clientKey: crypto.randomUUID()
				})
			);
			if (!done) return;
			announce('Kept.');
			rest = blank();
			loaded = blank();
			currentA = null;
			await lookAgain();
		} catch (cause) {
			if (!(cause instanceof CoreError)) throw cause;
			error = cause.message;
		}
	}
</script>

<section class="sheet grid gap-3 p-4" aria-label="Joints under load">
	<BatteryDrawing
		shape={battery}
		series={battery.series}
		parallel={battery.parallel}
		cells={cellNames}
		groups={joints?.map((j) => signedMohm(j.mOhm.likely)) ?? []}
		groupWarmth={warmth}
		label="Milliohms of each group’s joint over its like"
	/>
	{#if joints && reading}
		<p class="muted">
			mΩ over its like, read {formatDate(reading.readAt, dateStyle)} at
			<span class="figure">{flowWords(reading.currentA)}</span>.
		</p>
		<ol class="ranked">
			{#each ranked.slice(0, 4) as { group, mOhm, heatW } (group)}
				<li>
					<span>Joint of group {group}</span>
					<span class="figure">{mohmRange(mOhm)}</span>
					<span class="figure">{heatW.toFixed(1)} W</span>
				</li>
			{/each}
		</ol>
	{/if}
	<form class="grid gap-3" onsubmit={keep} novalidate>
		<p>
			Read every group at rest, then the same seconds after a steady load came on. Within a minute, before the charge
			has moved.
		</p>
		{#if rehearsal}
			<div class="flex flex-wrap items-end gap-3">
				<Field label="Load at the bench" unit="A" type="number" bind:value={loadA} class="w-36" />
				<button type="button" class="btn tap" disabled={busy || !loadA} onclick={() => switchLoad(loadA!)}
					>Load on</button
				>
				<button type="button" class="btn tap" disabled={busy} onclick={() => switchLoad(0)}>Load off</button>
			</div>
		{/if}
		<VoltRow label="At rest" name="rest" bind:typed={rest} />
		{#if bms}<div>
				<button type="button" class="btn tap" disabled={busy} onclick={() => read('rest')}
					>Read at rest with {bms.name}</button
				>
			</div>{/if}
		<VoltRow label="Under load" name="load" bind:typed={loaded} />
		{#if bms}<div>
				<button type="button" class="btn tap" disabled={busy} onclick={() => read('loaded')}
					>Read under load with {bms.name}</button
				>
			</div>{/if}
		<div class="flex flex-wrap items-end gap-3">
			<Field
				label="Current"
				unit="A, + into the battery"
				type="number"
				bind:value={currentA}
				data-after-volts
				class="w-56"
			/>
			<button class="btn btn-primary tap" disabled={busy}>Judge the joints</button>
		</div>
		{#if error}<p class="ember-text font-semibold" role="alert">{error}</p>{/if}
	</form>
</section>

<style>
	.ranked li {
		display: grid;
		grid-template-columns: minmax(8rem, 1fr) auto 5rem;
		gap: 1rem;
		padding: 0.25rem 0;
		border-bottom: 1px solid var(--line);
		text-align: right;
	}
	.ranked li span:first-child {
		text-align: left;
	}
</style>

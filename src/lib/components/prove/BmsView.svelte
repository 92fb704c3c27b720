<script lang="ts">
	import { lookAgain } from '$lib/client/tabs/look-again';
	import { announce, attempt } from '$lib/client/entry/announce';
	import { api } from '$lib/client/api/api';
	import BatteryDrawing from '$lib/components/tray/BatteryDrawing.svelte';
	import type { BatteryShape } from '$lib/core/build/box';
	import { fitting, type ShownInstrument } from '$lib/components/instruments/instrument-choice';
	import { CoreError } from '$lib/core/foundation/errors';
	import { formatDate, type Settings } from '$lib/core/foundation/units';
	import type { StageVerdict } from '$lib/core/foundation/verdicts';
	import { voltsTyped } from './volt-list';
	import VoltRow from './VoltRow.svelte';

	interface Props {
		bankId: number;
		rehearsal: boolean;
		battery: BatteryShape & { id: number; series: number; parallel: number; groups: readonly { id: number }[] };
		comparison: { readAt: string; bmsV: readonly (number | null)[]; meterV: readonly (number | null)[] } | null;
		cellNames: readonly (readonly string[])[];
		verdicts: readonly StageVerdict[];
		instruments: ShownInstrument[];
		dateStyle: Settings['dateStyle'];
	}
	let { bankId, rehearsal, battery, comparison, cellNames, verdicts, instruments, dateStyle }: Props = $props();
	const bms = $derived(fitting(instruments, 'bms', rehearsal)[0] ?? null);
	const voltmeter = $derived(fitting(instruments, 'voltmeter', rehearsal)[0] ?? null);
	const blank = () => Array.from({ length: battery.series }, () => '');
	let bmsTyped = $state(blank());
	let meterTyped = $state(blank());
	let busy = $state(false);
	let error = $state<string | null>(null);
	const warmth = $derived(
		battery.groups.map(
			(g) => verdicts.find((v) => v.code === 'bms-misreads' && v.subject.id === g.id)?.warmth ?? 'calm'
		)
	);
	const differences = $derived(
		comparison?.bmsV.map((v, i) => {
			const meter = comparison.meterV[i] ?? null;
			return v === null || meter === null
				? null
				: `${v >= meter ? '+' : '−'}${Math.abs((v - meter) * 1000).toFixed(0)} mV`;
		}) ?? []
	);

	async function readBms() {
		busy = true;
		await attempt(async () => {
			const { groupsV } = await api.post(`banks/${bankId}/read-battery`, { instrumentId: bms!.id });
			bmsTyped = (groupsV ?? []).map((v) => v.toFixed(4));
		});
		busy = false;
	}
	const next = $derived(meterTyped.findIndex((text) => text.trim() === ''));
	async function readMeter(groups: readonly number[]) {
		busy = true;
		for (const i of groups) {
			const done = await attempt(async () => {
				const { voltageV } = await api.post(`banks/${bankId}/read-battery`, {
					...{ instrumentId: voltmeter!.id, group: i + 1, batteryId: battery.id }
				});
				meterTyped[i] = voltageV!.toFixed(4);
			});
			if (!done) break;
		}
		busy = false;
	}
	async function keep(event: SubmitEvent) {
		event.preventDefault();
		error = null;
		try {
			const bmsV = voltsTyped(bmsTyped, 'BMS');
			const meterV = voltsTyped(meterTyped, 'Voltmeter');
			if (!bmsV.some((v, i) => v !== null && meterV[i] !== null))
				throw new CoreError('few', 'bmsV', 'Read one group at least with both.');
			const done = await attempt(() =>
				api.post('bms-comparisons', {
					...{ batteryId: battery.id, readAt: new Date().toISOString(), bmsV, meterV },
					clientKey: crypto.randomUUID()
				})
			);
			if (!done) return;
			announce('Kept.');
			bmsTyped = blank();
			meterTyped = blank();
			await lookAgain();
		} catch (cause) {
			if (!(cause instanceof CoreError)) throw cause;
			error = cause.message;
		}
	}
</script>

<section class="sheet grid gap-3 p-4" aria-label="BMS against the voltmeter">
	<BatteryDrawing
		shape={battery}
		series={battery.series}
		parallel={battery.parallel}
		cells={cellNames}
		groups={differences}
		groupWarmth={warmth}
		label="What the BMS reads more than the voltmeter, group by group"
	/>
	{#if comparison}<p class="muted">BMS less voltmeter, read {formatDate(comparison.readAt, dateStyle)}.</p>{/if}
	<form class="grid gap-3" onsubmit={keep} novalidate>
		<p>
			At rest, load and charger off. The BMS first, then the voltmeter on each group’s own terminals within a minute.
		</p>
		<VoltRow label="The BMS says" name="bms" bind:typed={bmsTyped} />
		{#if bms}<div>
				<button type="button" class="btn tap" disabled={busy} onclick={readBms}>Read {bms.name}</button>
			</div>{/if}
		<VoltRow label="The voltmeter says" name="meter" bind:typed={meterTyped} />
		<div class="flex flex-wrap gap-3">
			{#if voltmeter}
				{#if rehearsal}<button
						type="button"
						class="btn tap"
						disabled={busy}
						onclick={() => readMeter(meterTyped.map((_, i) => i))}>Read every group with {voltmeter.name}</button
					>
				{:else}<button type="button" class="btn tap" disabled={busy || next < 0} onclick={() => readMeter([next])}
						>{next < 0 ? 'All are read' : `Read group ${next + 1} with ${voltmeter.name}`}</button
					>{/if}
			{/if}
			<button class="btn btn-primary tap" data-after-volts disabled={busy}>Compare them</button>
		</div>
		{#if error}<p class="ember-text font-semibold" role="alert">{error}</p>{/if}
	</form>
</section>

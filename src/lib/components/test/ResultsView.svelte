<script lang="ts">
	import PhoneFold from '$lib/components/frame/PhoneFold.svelte';
	import type { Snippet } from 'svelte';
	import type { TestData, TestForm } from './test-data';
	import CurvesTogether from './CurvesTogether.svelte';
	import ManyLogs from './run/ManyLogs.svelte';
	import LatestRun from './run/LatestRun.svelte';
	import HowTestRuns from './queue/HowTestRuns.svelte';
	import { lookAgain } from '$lib/client/tabs/look-again';
	import { announce, attempt } from '$lib/client/entry/announce';
	import { api } from '$lib/client/api/api';
	import Choice from '$lib/components/forms/Choice.svelte';
	import StagePage from '$lib/components/frame/StagePage.svelte';
	import CapacityForm, { type CapacityPlan } from '$lib/components/test/run/CapacityForm.svelte';
	import RunEntry, { type LogDraft } from '$lib/components/test/run/RunEntry.svelte';
	import Tray from '$lib/components/tray/Tray.svelte';
	import { USUAL_FOOTPRINT, shadesOf, type DrawnCell } from '$lib/components/tray/tray-cell';
	import { settingApart } from '$lib/client/entry/set-apart';
	import { filesOfCells } from '$lib/client/entry/log-files';
	import { planLive } from '$lib/client/entry/plan-live';
	import { protocolsFor } from '$lib/core/test/clauses';
	import { CHEMISTRY_FIGURES } from '$lib/core/foundation/chemistry';
	import { fromUserUnits, toUserUnits, unitOf } from '$lib/core/foundation/units';

	let { data, form, views }: { data: TestData; form: TestForm; views: Snippet } = $props();
	let selectedId = $state<number | null>(null);
	let draft = $state<LogDraft | null>(null);
	/** Several logs that wait to be put to their cells. */
	let many = $state<File[]>([]);
	let busy = $state<string | null>(null);
	let curve = $state<{ runId: number; voltageV: number[]; dischargedAh: number[] } | null>(null);

	const bank = $derived(data.overview.bank);
	// svelte-ignore state_referenced_locally
	let way = $state<'live' | 'log'>(data.overview.bank.rehearsal ? 'live' : 'log');
	const cellType = $derived(data.overview.cellType);
	const figures = $derived(CHEMISTRY_FIGURES[bank.chemistry]);
	const limits = $derived({
		ratedAh: cellType?.ratedAh ?? 100,
		chargeLimitV: cellType?.chargeLimitV ?? figures.chargeLimitV,
		dischargeLimitV: cellType?.dischargeLimitV ?? figures.dischargeLimitV,
		chargeCRate: cellType?.chargeCRate ?? figures.chargeCRate,
		dischargeCRate: cellType?.dischargeCRate ?? figures.dischargeCRate
	});
	const selected = $derived(
		data.capacities.find((c) => c.cell.id === selectedId) ??
			data.capacities.find((c) => c.run === null) ??
			data.capacities[0] ??
			null
	);
	const tested = $derived(data.capacities.filter((c) => c.capacityAh !== null).length);
	/** How warm a cell is: by what is said of it alone, here as everywhere. */
	const warmest = $derived(
		new Map(data.verdicts.filter((v) => v.subject.kind === 'cell').map((v) => [Number(v.subject.id), v.warmth]))
	);
	const drawn = $derived.by((): DrawnCell[] => {
		const shades = shadesOf(
			data.capacities.map((c) => c.capacityAh),
			0.015 * (cellType?.ratedAh ?? 100)
		);
		return data.capacities.map((c, i) => ({
			id: c.cell.id,
			label: c.cell.label,
			figure: c.capacityAh === null ? null : c.capacityAh.toFixed(1),
			minor: c.sdAh === null ? null : `± ${c.sdAh.toFixed(1)} Ah`,
			shade: shades[i] ?? null,
			warmth: warmest.get(c.cell.id) ?? 'calm',
			turned: c.cell.plusTurned,
			mark: c.refused ? 'test again' : c.outcome === 'short' ? 'short' : c.outcome === 'unsure' ? 'cannot tell' : null
		}));
	});

	$effect(() => {
		const run = selected?.run;
		if (!run || run.source === 'hand' || curve?.runId === run.id) return;
		void attempt(async () => {
			const { curve: points } = await api.get(`runs/${run.id}/curve`);
			curve = { runId: run.id, ...points };
		});
	});

	async function takeFiles(files: File[]) {
		busy = 'Looking into the file …';
		const parts = (await filesOfCells(files).catch(() => null)) ?? files;
		busy = null;
		if (parts.length > 1) many = parts;
		else await readFile(parts[0]!);
	}
	async function readFile(file: File) {
		busy = `Reading ${file.name} …`;
		await attempt(async () => {
			const text = await file.text();
			const rated = cellType ? { ratedAh: cellType.ratedAh, cutoffV: limits.dischargeLimitV } : {};
			draft = {
				fileName: file.name,
				text,
				analysis: await api.sendCsv('capacity-run/analyse', text, rated)
			};
		});
		busy = null;
	}
	async function store(temperature: number | null, bridgeGaps: boolean, heldAt: number | null) {
		if (!draft || !selected) return;
		busy = 'Storing the run …';
		const temperatureC = fromUserUnits(temperature, 'temperature', data.settings.units) ?? undefined;
		const heldAtC = fromUserUnits(heldAt, 'temperature', data.settings.units) ?? undefined;
		const about = { fileName: draft.fileName, bridgeGaps, temperatureC, heldAtC };
		const done = await attempt(() => api.sendCsv(`cells/${selected.cell.id}/runs`, draft!.text, about));
		busy = null;
		if (done) await finished(selected.cell.id, selected.cell.label);
	}
	async function finished(cellId: number, label: string) {
		draft = null;
		selectedId = cellId;
		await lookAgain();
		const run = data.capacities.find((c) => c.cell.id === cellId)?.run;
		announce(`Run of ${label} stored.`, run ? () => void takeBack(run.id, run.version) : undefined);
	}
	async function planRun(plan: CapacityPlan) {
		if (!selected) return;
		const temperatureC = fromUserUnits(plan.temperature, 'temperature', data.settings.units);
		const heldAtC = fromUserUnits(plan.heldAt, 'temperature', data.settings.units);
		const { instruments, phases, intervalMs } = plan;
		await planLive(bank.id, {
			kind: 'capacity',
			cellId: selected.cell.id,
			instruments,
			phases,
			temperatureC,
			heldAtC,
			intervalMs
		});
	}
	async function takeBack(runId: number, version: number) {
		if (!(await attempt(() => api.remove(`runs/${runId}`, version)))) return;
		announce(
			'The run is taken out.',
			() =>
				void attempt(async () => {
					await api.restore(`runs/${runId}`);
					await lookAgain();
				})
		);
		await lookAgain();
	}
</script>

<StagePage
	title="Test"
	subtitle={data.capacities.length ? `${tested} of ${data.capacities.length} cells have a capacity` : 'no cells yet'}
	verdicts={data.verdicts}
	onsetapart={settingApart(bank.id, 'test')}
	onpick={(id) => (selectedId = id)}
>
	{@render views()}
	{#if data.capacities.every((c) => c.run === null)}<HowTestRuns chemistry={bank.chemistry} {...limits} />{/if}
	{#if data.capacities.length === 0}
		<p class="sheet p-6">
			Unpack a delivery first: <a class="underline" href="/banks/{data.overview.bank.id}/receive">Receive</a>.
		</p>
	{:else}
		<Tray
			cells={drawn}
			selectedId={selected?.cell.id}
			onpick={(id) => {
				selectedId = id;
				draft = null;
			}}
			footprint={{
				widthMm: cellType?.widthMm ?? USUAL_FOOTPRINT.widthMm,
				thicknessMm: cellType?.thicknessMm ?? USUAL_FOOTPRINT.thicknessMm
			}}
			label="Capacity of each cell, Ah"
		/>
		<p class="mt-2 text-[0.95rem] muted">
			Ah brought to the temperature and rate of the protocol (25 °C and 0.2 C where none is written), with its doubt. A
			tester may read 1 % high or low until it is compared with another.
		</p>
		{#if selected}
			{#if selected.run && !draft}
				<LatestRun
					shown={selected}
					{curve}
					cutoffV={cellType?.dischargeLimitV ?? null}
					dateStyle={data.settings.dateStyle}
				/>
			{/if}
			{#if many.length}
				<ManyLogs
					files={many}
					cells={data.capacities.map((c) => c.cell)}
					temperatureUnit={unitOf('temperature', data.settings.units)}
					units={data.settings.units}
					onclose={() => {
						many = [];
						void lookAgain();
					}}
				/>
			{/if}
			<CurvesTogether
				capacities={data.capacities}
				chemistry={bank.chemistry}
				ratedAh={cellType?.ratedAh ?? null}
				cutoffV={limits.dischargeLimitV}
				chosen={selected.cell.id}
			/>
			<!-- What was typed for one cell is not the next one’s. -->
			{#key `${selected.cell.id} ${selectedId}`}
				<PhoneFold
					title={selected.run ? 'Another run' : 'Its run'}
					answer={selected.cell.label}
					bare
					start={selected.run || selectedId === null ? 'folded' : 'open'}
					class="mt-4"
				>
					<div>
						<Choice
							quiet
							label="How it is tested"
							value={way}
							options={[
								{ value: 'log', text: 'Tester’s log or by hand' },
								{ value: 'live', text: 'Live from instruments' }
							]}
							onchange={(v) => (way = v)}
						/>
					</div>
					<div>
						{#if way === 'live'}
							<CapacityForm
								cellLabel={selected.cell.label}
								instruments={data.instruments}
								rehearsal={bank.rehearsal}
								{limits}
								clause={data.clause}
								protocols={data.protocols}
								temperatureUnit={unitOf('temperature', data.settings.units)}
								roomTemperature={toUserUnits(data.roomC, 'temperature', data.settings.units)}
								onplan={planRun}
							/>
						{:else}
							<RunEntry
								cellLabel={selected.cell.label}
								{draft}
								{busy}
								temperatureUnit={unitOf('temperature', data.settings.units)}
								onfiles={(files) => void takeFiles(files)}
								onstore={store}
								ondrop={() => (draft = null)}
								cellId={selected.cell.id}
								ways={protocolsFor(bank.chemistry, data.overview.cellType, data.clause, data.protocols)}
								ratedAh={data.overview.cellType?.ratedAh ?? 100}
								chemistry={bank.chemistry}
								refused={form}
								onhand={() => finished(selected.cell.id, selected.cell.label)}
							/>
						{/if}
					</div>
				</PhoneFold>
			{/key}
		{/if}
	{/if}
</StagePage>

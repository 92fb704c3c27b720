<script lang="ts">
	import CurveChart from '$lib/components/charts/CurveChart.svelte';
	import PhoneFold from '$lib/components/frame/PhoneFold.svelte';
	import Photos from '$lib/components/photos/Photos.svelte';
	import { formatDate, formatWithDoubt, type Settings } from '$lib/core/foundation/units';
	import HeldAt from './HeldAt.svelte';
	import Steps from './Steps.svelte';
	import Strip from './Strip.svelte';
	import type { ShownCapacity } from '../test-data';

	/** The run a cell's figure is of: its curve, what it kept of its protocol, how it was corrected. */
	interface Props {
		shown: ShownCapacity;
		curve: { runId: number; voltageV: number[]; dischargedAh: number[] } | null;
		cutoffV: number | null;
		dateStyle: Settings['dateStyle'];
	}
	let { shown, curve, cutoffV, dateStyle }: Props = $props();
	const run = $derived(shown.run!);
</script>

<section class="sheet mt-4 p-4" aria-label="Latest run of {shown.cell.label}">
	<div class="flex flex-wrap items-baseline justify-between gap-2">
		<h2>
			{shown.cell.label}: {formatWithDoubt(shown.capacityAh ?? run.capacityAh, shown.sdAh, 'Ah')}
		</h2>
		<p class="muted">
			{formatDate(run.testedAt, dateStyle)} · {run.source === 'log'
				? run.fileName
				: run.source === 'live'
					? 'live'
					: 'by hand'} · <a class="underline" href="/cells/{shown.cell.id}">passport</a>
		</p>
	</div>
	{#if curve && curve.runId === run.id}
		<CurveChart
			series={[{ name: shown.cell.label, x: curve.dischargedAh, y: curve.voltageV, strong: true }]}
			xLabel="Ah taken out"
			yLabel="V"
			limit={cutoffV ? { y: cutoffV, text: 'cut-off' } : null}
		/>
	{/if}
	<HeldAt held={shown.held} />
	<PhoneFold title="What it kept of its protocol" bare><Strip strip={shown.strip} /></PhoneFold>
	{#if shown.correction && shown.capacityAh !== null}<Steps
			{run}
			correction={shown.correction}
			capacityAh={shown.capacityAh}
			sdAh={shown.sdAh ?? 0}
		/>{/if}
	<div class="mt-2">
		<Photos subjectKind="run" subjectId={run.id} label="the tester’s display" />
	</div>
	<p class="no-print mt-2">
		<a
			class="tap inline-flex items-center underline underline-offset-4"
			href="/api/v1/runs/{run.id}/samples.csv"
			download>This run as CSV</a
		>
	</p>
	{#if run.faults?.length}<ul class="mt-2 list-disc pl-5 text-sm">
			{#each run.faults as fault, i (i)}<li>{fault.message}</li>{/each}
		</ul>{/if}
</section>

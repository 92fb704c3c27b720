<script lang="ts">
	import { attempt } from '$lib/client/announce';
	import { api } from '$lib/client/api';
	import CurveChart from '$lib/components/charts/CurveChart.svelte';
	import { medianCurve } from '$lib/core/capacity-run';

	interface Props {
		capacities: readonly { cell: { id: number; label: string }; run: { id: number; source: string } | null }[];
		cutoffV: number | null;
		/** Drawn strong among the others. */
		chosen: number;
	}
	let { capacities, cutoffV, chosen }: Props = $props();
	const logged = $derived(
		capacities.flatMap(({ cell, run }) => (run && run.source !== 'hand' ? [{ cell, runId: run.id }] : []))
	);
	let curves = $state<Record<number, { voltageV: number[]; dischargedAh: number[] }>>({});
	let loading = $state(false);

	async function load() {
		loading = true;
		await attempt(async () => {
			for (const { runId } of logged)
				if (!curves[runId]) curves = { ...curves, [runId]: (await api.get(`runs/${runId}/curve`)).curve };
		});
		loading = false;
	}
	const drawn = $derived(logged.filter(({ runId }) => curves[runId]));
	const middle = $derived(medianCurve(drawn.map(({ runId }) => curves[runId]!)));
	const series = $derived([
		...drawn
			.filter(({ cell }) => cell.id !== chosen)
			.map(({ cell, runId }) => ({
				name: cell.label,
				x: curves[runId]!.dischargedAh,
				y: curves[runId]!.voltageV,
				strong: false
			})),
		...(drawn.length > 2 ? [{ name: 'the middle', x: middle.dischargedAh, y: middle.voltageV, strong: false }] : []),
		...drawn
			.filter(({ cell }) => cell.id === chosen)
			.map(({ cell, runId }) => ({
				name: cell.label,
				x: curves[runId]!.dischargedAh,
				y: curves[runId]!.voltageV,
				strong: true
			}))
	]);
</script>

{#if logged.length > 1}
	<section class="sheet mt-4 p-4" aria-label="All curves">
		{#if drawn.length > 1}
			<CurveChart {series} xLabel="Ah taken out" yLabel="V" limit={cutoffV ? { y: cutoffV, text: 'cut-off' } : null} />
			<p class="muted">{drawn.length} cells over each other; the chosen one is drawn strong.</p>
		{:else}
			<button class="btn tap" disabled={loading} onclick={() => void load()}
				>{loading ? 'Reading the curves …' : `Lay the curves of ${logged.length} cells over each other`}</button
			>
		{/if}
	</section>
{/if}

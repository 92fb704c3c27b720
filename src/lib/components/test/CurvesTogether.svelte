<script lang="ts">
	import { attempt } from '$lib/client/entry/announce';
	import { api } from '$lib/client/api/api';
	import CurveChart from '$lib/components/charts/CurveChart.svelte';
	import Choice from '$lib/components/forms/Choice.svelte';
	import { curveDifference, medianCurve, usualCurve, type DischargeCurve } from '$lib/core/test/capacity';
	import type { Chemistry } from '$lib/core/foundation/chemistry';

	interface Props {
		capacities: readonly {
			cell: { id: number; label: string };
			run: { id: number; source: string; cRate: number | null } | null;
		}[];
		chemistry: Chemistry;
		/** Of the type; null: not known, and no curve of it is drawn. */
		ratedAh: number | null;
		cutoffV: number | null;
		/** Drawn strong among the others. */
		chosen: number;
	}
	let { capacities, chemistry, ratedAh, cutoffV, chosen }: Props = $props();
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
	/** What the type gives by the model, at the rate of the chosen run. */
	const usual = $derived.by((): DischargeCurve | null => {
		const own = capacities.find((c) => c.cell.id === chosen)?.run ?? capacities.find((c) => c.run?.cRate)?.run;
		if (!ratedAh || !own?.cRate || cutoffV === null || drawn.length === 0) return null;
		return usualCurve(chemistry, ratedAh, own.cRate, cutoffV);
	});
	let against = $state<'volts' | 'chosen' | 'middle' | 'type'>('volts');
	const base = $derived.by((): DischargeCurve | null => {
		if (against === 'type') return usual;
		if (against === 'middle') return middle;
		const own = drawn.find(({ cell }) => cell.id === chosen);
		return against === 'chosen' && own ? curves[own.runId]! : null;
	});
	const drawnAs = (name: string, curve: DischargeCurve, strong: boolean) => {
		const { voltageV, dischargedAh } = base ? curveDifference(curve, base) : curve;
		return { name, x: [...dischargedAh], y: voltageV.map((v) => (v === null ? null : base ? v * 1000 : v)), strong };
	};
	const chosenLabel = $derived(drawn.find(({ cell }) => cell.id === chosen)?.cell.label ?? null);
	const series = $derived([
		...drawn
			.filter(({ cell }) => cell.id !== chosen)
			.map(({ cell, runId }) => drawnAs(cell.label, curves[runId]!, false)),
		...(drawn.length > 2 && against !== 'middle' ? [drawnAs('the middle', middle, false)] : []),
		...(usual && against !== 'type' ? [drawnAs('the type, by the model', usual, false)] : []),
		...drawn
			.filter(({ cell }) => cell.id === chosen && against !== 'chosen')
			.map(({ cell, runId }) => drawnAs(cell.label, curves[runId]!, true))
	]);
</script>

{#if logged.length > 1}
	<section class="sheet mt-4 p-4" aria-label="All curves">
		{#if drawn.length > 1}
			<Choice
				quiet
				label="Drawn as"
				bind:value={against}
				options={[
					{ value: 'volts', text: 'volts' },
					...(chosenLabel ? [{ value: 'chosen' as const, text: `difference to ${chosenLabel}` }] : []),
					...(drawn.length > 2 ? [{ value: 'middle' as const, text: 'to the middle' }] : []),
					...(usual ? [{ value: 'type' as const, text: 'to the type' }] : [])
				]}
			/>
			<CurveChart
				{series}
				xLabel="Ah taken out"
				yLabel={base ? 'mV more' : 'V'}
				limit={base ? { y: 0, text: 'the same' } : cutoffV ? { y: cutoffV, text: 'cut-off' } : null}
				leastSpan={base ? 20 : 0}
			/>
			<p class="muted">
				{drawn.length} cells over each other; the chosen one is drawn strong.{usual
					? ' The curve of the type is that of a usual cell in the model, at the chosen run’s rate and 25 °C.'
					: ''}
			</p>
		{:else}
			<button class="btn tap" disabled={loading} onclick={() => void load()}
				>{loading ? 'Reading the curves …' : `Lay the curves of ${logged.length} cells over each other`}</button
			>
		{/if}
	</section>
{/if}

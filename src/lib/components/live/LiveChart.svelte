<script lang="ts">
	import CurveChart from '$lib/components/charts/CurveChart.svelte';
	import { thinCurve } from '$lib/core/capacity-run';
	import type { LiveSampleShown } from '$lib/client/live-follow';

	interface Props {
		samples: LiveSampleShown[];
		limit: { y: number; text: string } | null;
	}
	let { samples, limit }: Props = $props();
	const MOST_POINTS = 700;
	const volts = (s: LiveSampleShown) => s.cellV ?? s.voltageV ?? 0;
	const drawn = $derived.by(() => {
		if (samples.length <= MOST_POINTS) return samples;
		return thinCurve(samples.map(volts), MOST_POINTS / 2).map((i) => samples[i]);
	});
	const hours = $derived(drawn.map((s) => (s.atMs - samples[0].atMs) / 3_600_000));
</script>

{#if drawn.length > 1}
	<CurveChart
		series={[{ name: 'voltage', x: hours, y: drawn.map(volts), strong: true }]}
		xLabel="hours"
		yLabel="V"
		{limit}
	/>
	<CurveChart
		series={[{ name: 'current', x: hours, y: drawn.map((s) => s.currentA), strong: true }]}
		xLabel="hours"
		yLabel="A"
		height={150}
	/>
{:else}
	<p class="p-4 muted">The curve is drawn as samples come.</p>
{/if}

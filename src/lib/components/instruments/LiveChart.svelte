<script lang="ts">
	import type { LiveSampleShown } from '$lib/client/live/live-line';
	import CurveChart from '$lib/components/charts/CurveChart.svelte';
	import { liveCurve } from './live-curve';

	interface Props {
		samples: LiveSampleShown[];
		/** First moments after gaps, ms since 1970. */
		gapEndsMs: number[];
		limit: { y: number; text: string } | null;
	}
	let { samples, gapEndsMs, limit }: Props = $props();
	/** What the axes span at least: a share of the voltage, and A. */
	const MIN_SPAN = { share: 0.01, amperes: 1 };
	const curve = $derived(liveCurve(samples, gapEndsMs));
</script>

{#if curve.hours.length > 1}
	{#if curve.volts.some((v) => v !== null)}
		<CurveChart
			series={[{ name: 'voltage', x: curve.hours, y: curve.volts, strong: true }]}
			xLabel="hours"
			yLabel="V"
			leastSpan={MIN_SPAN.share * (curve.volts.find((v) => v !== null) ?? 0)}
			{limit}
		/>
	{/if}
	<CurveChart
		series={[{ name: 'current', x: curve.hours, y: curve.amperes, strong: true }]}
		xLabel="hours"
		yLabel="A"
		leastSpan={MIN_SPAN.amperes}
		height={150}
	/>
{:else}
	<p class="p-4 muted">The curve is drawn as samples come.</p>
{/if}

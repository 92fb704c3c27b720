<script lang="ts">
	import FadeChart from '$lib/components/charts/FadeChart.svelte';
	import type { BatteryService } from '$lib/core/serve/state';
	import WhatIf from './WhatIf.svelte';

	interface Props {
		serve: BatteryService;
		/** Share of rated at which it counts as worn. */
		endFraction: number;
	}
	let { serve, endFraction }: Props = $props();
</script>

{#if serve.projection}
	<section class="sheet p-4" aria-label="Capacity over the years">
		<h2>Capacity over the years</h2>
		<FadeChart projection={serve.projection} tests={serve.projection.tests} {endFraction} ageYears={serve.ageYears} />
		<p class="text-sm muted">
			Dots: tests ± 2 sd, brought to 25 °C where their temperature is known. Band: where the true capacity lies with 95
			%; it reaches further down because some batteries begin to fade faster, and nothing foretells when. {serve.efcPerYear ===
			null
				? 'Nobody counted the cycles; 75 to 225 a year are taken'
				: `${serve.efcPerYear.toFixed(0)} full cycles a year`} from here on. Calendar fade {(
				serve.projection.posterior.a.mean * 100
			).toFixed(1)} ± {(serve.projection.posterior.a.sd * 100).toFixed(1)} % per √year; cycles {(
				serve.projection.posterior.b.mean * 1e5
			).toFixed(1)} ± {(serve.projection.posterior.b.sd * 1e5).toFixed(1)} % per 1000.
		</p>
		<WhatIf fade={serve.fade} />
	</section>
{:else}
	<p class="sheet p-6">
		No capacity test yet. Log one a year, under the same conditions: then its course is drawn here.
	</p>
{/if}

<script lang="ts">
	import { endIfKept, type FadeInput } from '$lib/core/foundation/fade';
	import { formatYears as years } from '$lib/core/foundation/units';

	interface Props {
		fade: FadeInput;
	}
	let { fade }: Props = $props();
	const WARMER = [-10, -5, 0, 5, 10];
	const MEAN_SOC = [0.5, 0.6, 0.7, 0.8, 0.9];
	let warmerK = $state(0);
	let now = $state(0.8);
	let then = $state(0.8);
	const isChanged = $derived(warmerK !== 0 || now !== then);
	// Only worked out for whoever asks.
	const end = $derived(isChanged ? endIfKept(fade, { warmerK, meanSoc: { now, then } }) : null);
	const percent = (fraction: number) => `${Math.round(fraction * 100)} %`;
</script>

<details class="mt-2">
	<summary class="tap flex cursor-pointer items-center font-semibold"
		>What if it were kept otherwise?{#if end}&nbsp;<span class="figure"
				>{years(end.low95)} to {years(end.high95)} years</span
			>{/if}</summary
	>
	<div class="flex flex-wrap items-end gap-3">
		<label
			><span class="field-label">On the mean of the year</span>
			<select class="select tap" bind:value={warmerK}>
				{#each WARMER as k (k)}<option value={k}
						>{k === 0 ? 'as warm as so far' : `${Math.abs(k)} K ${k > 0 ? 'warmer' : 'colder'}`}</option
					>{/each}
			</select></label
		>
		<label
			><span class="field-label">Mean charge so far</span>
			<select class="select tap" bind:value={now}
				>{#each MEAN_SOC as soc (soc)}<option value={soc}>{percent(soc)}</option>{/each}</select
			></label
		>
		<label
			><span class="field-label">From now on</span>
			<select class="select tap" bind:value={then}
				>{#each MEAN_SOC as soc (soc)}<option value={soc}>{percent(soc)}</option>{/each}</select
			></label
		>
	</div>
	{#if end}<p class="mt-2">
			{percent(fade.endFraction)} of rated would be passed at
			<strong class="figure">{years(end.low95)} to {years(end.high95)}</strong> years, likeliest {years(end.median)}.
			<span class="muted"
				>Twice the calendar fade per 12 K, six tenths of it at half charge against nine tenths: defaults, each taken as
				true within half its effect.</span
			>
		</p>{/if}
</details>

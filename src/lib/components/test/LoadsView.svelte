<script lang="ts">
	import PhoneFold from '$lib/components/frame/PhoneFold.svelte';
	import { measure } from '$lib/client/settings/own-style';
	import { untrack, type Snippet } from 'svelte';
	import { settingApart } from '$lib/client/entry/set-apart';
	import Choice from '$lib/components/forms/Choice.svelte';
	import StagePage from '$lib/components/frame/StagePage.svelte';
	import PlanNumber from '$lib/components/plan/PlanNumber.svelte';
	import { CHEMISTRY_FIGURES } from '$lib/core/foundation/chemistry';
	import {
		THINGS_AT_HAND,
		WATER_STOP_C,
		fitLoads,
		ownLoad,
		warmWater,
		type LoadFit,
		type LoadNeed
	} from '$lib/core/test/load-finder';
	import { BOTTOM_ABOVE_V } from '$lib/core/balance/steps';
	import type { TestData } from './test-data';

	let { data, views }: { data: TestData; views: Snippet } = $props();
	const bank = $derived(data.overview.bank);
	const ratedAh = $derived(data.overview.cellType?.ratedAh ?? 100);
	let what = $state<'cell' | 'battery'>('cell');
	const series = $derived(what === 'cell' ? 1 : bank.series);
	const capacityAh = $derived(what === 'cell' ? ratedAh : ratedAh * bank.parallel);
	let own = $state<{ w: number | null; ownV: number | null }>({ w: null, ownV: null });
	const things = $derived([...(own.w && own.ownV ? [ownLoad(own.w, own.ownV)] : []), ...THINGS_AT_HAND]);
	const fits = $derived(
		fitLoads(things, { chemistry: bank.chemistry, series, capacityAh, inverterStopsV: data.inverterStopsV }).sort(
			(a, b) => Number(a.why !== null) - Number(b.why !== null) || (a.hours ?? 1e9) - (b.hours ?? 1e9)
		)
	);
	/** Those that end soonest stand first. */
	const FIRST = 3;
	const WHY: Record<NonNullable<LoadFit['why']>, string> = {
		'too-high': 'would burn out: made for a lower voltage',
		'too-low': 'does not run at this voltage',
		'too-much': 'takes more than such a cell gives for long'
	};
	const NEEDS: Record<LoadNeed, string> = {
		inverter: 'an inverter of the battery’s class',
		bond: 'neutral bonded as your code asks',
		isolation: 'cut off from the grid by a switch made for it',
		attended: 'somebody beside it, always',
		water: 'water over it, never dry, never boiling',
		cooling: 'air around it',
		sink: 'somewhere for the energy: a battery with room for all of it, or loads that run meanwhile',
		vehicle: 'the vehicle’s own charge limit set beforehand'
	};
	const percent = (share: number) => `${(share * 100).toFixed(share < 0.0995 ? 1 : 0)} %`;
	/** Down to this the cells go in a bottom balance, V per cell. */
	const bottomV = $derived(
		(data.overview.cellType?.dischargeLimitV ?? CHEMISTRY_FIGURES[bank.chemistry].dischargeLimitV) + BOTTOM_ABOVE_V
	);
	/** What is about to be used, and which of its needs are met. */
	let chosen = $state<string | null>(null);
	let met = $state<Partial<Record<LoadNeed, boolean>>>({});
	const choose = (name: string) => {
		chosen = chosen === name ? null : name;
		met = {};
	};
	let water = $state({ litres: 20, fromC: 15, w: untrack(() => 300) });
	const energyWh = $derived(capacityAh * series * CHEMISTRY_FIGURES[bank.chemistry].nominalV);
	const warmed = $derived(warmWater(energyWh, Math.max(1, water.w), Math.max(0.1, water.litres), water.fromC));
</script>

{#snippet thing({ load, amps, hours, why, stops }: (typeof fits)[number])}
	<li class="sheet row p-3" class:no={why !== null}>
		<strong>{load.name}</strong>
		<span class="figure text-lg">{amps === null ? '–' : `${amps.toFixed(1)} A`}</span>
		<span class="figure text-lg"
			>{hours === null ? '–' : hours < 48 ? `${hours.toFixed(1)} h` : `${(hours / 24).toFixed(1)} days`}</span
		>
		<span class="muted">{why ? WHY[why] : load.needs.map((n) => NEEDS[n]).join('; ')}</span>
		{#if stops && why === null}<span class="checks"
				>The inverter stops at {stops.atV.toFixed(1)} V, {(stops.atV / series).toFixed(2)} V per cell:
				<strong class="figure"
					>{stops.leftLow < 0.001 ? 'at most' : `${percent(stops.leftLow)} to`} {percent(stops.leftHigh)}</strong
				>
				of the charge stays in at room temperature, more in the cold.
				{stops.atV / series > bottomV
					? `Too high for a bottom balance, which needs ${bottomV.toFixed(2)} V per cell.`
					: ''}</span
			>{/if}
		{#if why === null}<button
				class="btn tap justify-self-start"
				aria-expanded={chosen === load.name}
				onclick={() => choose(load.name)}>Use it</button
			>{/if}
		{#if chosen === load.name && why === null}
			<fieldset class="checks grid gap-1">
				<legend class="field-label">Before it is switched on</legend>
				{#each load.needs as need (need)}<label class="tap flex items-center gap-2"
						><input type="checkbox" class="checkbox" bind:checked={met[need]} />{NEEDS[need]}</label
					>{/each}
				{#if load.needs.every((need) => met[need])}<a
						class="btn btn-primary tap justify-self-start"
						href="/banks/{bank.id}/test/notes">Write down its run by notes</a
					>
				{:else}<p class="muted">Tick what is met: then its run begins.</p>{/if}
			</fieldset>
		{/if}
	</li>
{/snippet}

<StagePage
	title="What can take the charge?"
	subtitle="things people have, what each takes, for how long, and what it asks"
	verdicts={data.verdicts}
	onsetapart={settingApart(bank.id, 'test')}
>
	{@render views()}
	<section class="sheet mb-3 flex flex-wrap items-end gap-4 p-4" aria-label="Discharged">
		<Choice
			label="Discharged"
			bind:value={what}
			options={[
				{ value: 'cell', text: `one cell, ${ratedAh} Ah` },
				{ value: 'battery', text: `the battery, ${bank.series}S` }
			]}
		/>
		<div class="w-32"><PlanNumber label="A thing of yours" unit="W" value={own.w} onkeep={(w) => (own.w = w)} /></div>
		<div class="w-32"><PlanNumber label="made for" unit="V" value={own.ownV} onkeep={(v) => (own.ownV = v)} /></div>
	</section>
	<ul class="grid gap-2">
		{#each fits.slice(0, FIRST) as fit (fit.load.name)}{@render thing(fit)}{/each}
	</ul>
	<PhoneFold title="Other things" answer="{fits.length - FIRST} more" bare class="mt-2">
		<ul class="grid gap-2">
			{#each fits.slice(FIRST) as fit (fit.load.name)}{@render thing(fit)}{/each}
		</ul>
	</PhoneFold>
	<section class="sheet mt-3 grid gap-3 p-4" aria-label="Water">
		<h2>Into water</h2>
		<div class="grid grid-cols-3 gap-3">
			<PlanNumber label="Litres" value={water.litres} onkeep={(v) => (water.litres = v ?? 20)} />
			<PlanNumber label="from" quantity="temperature" value={water.fromC} onkeep={(v) => (water.fromC = v ?? 15)} />
			<PlanNumber label="Element takes" unit="W" value={water.w} onkeep={(v) => (water.w = v ?? 300)} />
		</div>
		<p>
			All of it would warm them by <strong class="figure">{warmed.liftC.toFixed(0)} K</strong>.
			{#if warmed.stopAfterMin === null}They stay under {measure(WATER_STOP_C, 'temperature', 0)}.
			{:else if warmed.stopAfterMin <= 0}They are too warm already: begin with cold water.
			{:else}Stop after <strong class="figure">{warmed.stopAfterMin.toFixed(0)} min</strong>, at {measure(
					WATER_STOP_C,
					'temperature',
					0
				)}, or add
				{measure(warmed.iceKg, 'mass', 1)} of ice bit by bit.{/if}
		</p>
		<p class="muted">Stir it. Never boil it, never let the element stand dry, and never go away.</p>
	</section>
</StagePage>

<style>
	.row {
		display: grid;
		grid-template-columns: minmax(0, 14rem) 5.5rem 6.5rem minmax(0, 1fr) auto;
		align-items: baseline;
		gap: 0 1rem;
	}
	.checks {
		grid-column: 1 / -1;
	}
	.no {
		border-style: dashed;
		background: transparent;
	}
	@media (max-width: 640px) {
		.row {
			grid-template-columns: minmax(0, 1fr) auto auto;
		}
		.row .muted {
			grid-column: 1 / -1;
		}
	}
</style>

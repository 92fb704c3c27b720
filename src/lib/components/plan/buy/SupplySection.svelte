<script lang="ts">
	import type { PlanDesk } from '$lib/client/entry/plan-desk.svelte';
	import type { PlanState } from '$lib/core/plan/bank-plan';
	import type { SupplyChoice } from '$lib/core/plan/charging';
	import Fold from '$lib/components/frame/Fold.svelte';
	import PlanNumber from '../PlanNumber.svelte';

	interface Props {
		desk: PlanDesk;
		found: PlanState;
	}
	let { desk, found }: Props = $props();
	const plan = $derived(desk.plan);
	const first = $derived(found.firstCharge);
	const time = (days: number) => (days < 2 ? `${(days * 24).toFixed(0)} h` : `${days.toFixed(1)} days`);
	const SAVES = [
		{ key: 'secondSupply', text: 'a second supply beside it' },
		{ key: 'seriesFirst', text: 'a charge in series first' },
		{ key: 'borrowedBars', text: 'bars for all cells at once' }
	] as const;
	const supply = (i: number, changes: Partial<SupplyChoice>) =>
		desk.change({ supplies: plan.supplies.map((s, k) => (k === i ? { ...s, ...changes } : s)) });
	const add = () =>
		desk.change({
			supplies: [...plan.supplies, { name: 'Bench supply', a: 10, lowestV: 0, highestV: 30, leadOhm: 0.01 }]
		});
	const answer = $derived(
		!first
			? null
			: first.days === null
				? 'nothing in hand charges one cell'
				: `${time(first.days)} with ${first.supply}`
	);
</script>

<Fold title="The first charge" {answer} warm={first !== null && first.days === null}>
	{#each plan.supplies as { name, a, deliversA, highestV, lowestV, leadOhm }, i (i)}
		<div class="grid grid-cols-2 items-end gap-3 sm:grid-cols-4">
			<label class="col-span-2 sm:col-span-1"
				><span class="field-label">Supply</span>
				<input
					class="input tap w-full"
					maxlength="80"
					value={name}
					onchange={(e) => e.currentTarget.value.trim() && supply(i, { name: e.currentTarget.value.trim() })}
				/></label
			>
			<PlanNumber label="Gives" unit="A" value={a} onkeep={(v) => supply(i, { a: v ?? 0 })} />
			<PlanNumber
				label="Delivers at the cells"
				unit="A"
				value={deliversA ?? null}
				usual={a}
				onkeep={(v) => supply(i, { deliversA: v })}
			/>
			<PlanNumber label="Down to" unit="V" value={lowestV} onkeep={(v) => supply(i, { lowestV: v ?? 0 })} />
			<PlanNumber label="Up to" unit="V" value={highestV} onkeep={(v) => supply(i, { highestV: v ?? 0 })} />
			<PlanNumber
				label="Both leads"
				unit="mΩ"
				value={leadOhm}
				times={1000}
				onkeep={(v) => supply(i, { leadOhm: v ?? 0.01 })}
			/>
			<button
				class="btn btn-ghost tap"
				onclick={() => desk.change({ supplies: plan.supplies.filter((_, k) => k !== i) })}>Take it off</button
			>
		</div>
	{/each}
	<div class="flex flex-wrap items-end gap-3">
		<button class="btn tap" onclick={add}>{plan.supplies.length ? 'Another supply' : 'Add a supply'}</button>
		<PlanNumber
			label="On only while I am there"
			unit="h a day"
			value={plan.supplyHoursADay}
			usual="day and night"
			onkeep={(supplyHoursADay) => desk.change({ supplyHoursADay })}
		/>
		<PlanNumber
			label="In series it could be charged with"
			unit="A"
			value={plan.seriesChargeA}
			usual="nothing"
			onkeep={(seriesChargeA) => desk.change({ seriesChargeA })}
		/>
		<PlanNumber
			label="Cells the bars join at once"
			value={plan.barsForCells}
			usual="all"
			onkeep={(barsForCells) => desk.change({ barsForCells })}
		/>
	</div>
	{#if first}
		{#if first.unfit.length}<p class="ember-text">{first.unfit.join(', ')}: cannot be set as low as one cell.</p>{/if}
		{#if first.days !== null}
			<p>
				<strong class="figure text-xl">{time(first.days)}</strong> at {first.setV?.toFixed(2)} V, from 30 % on arrival (usual).
				{#if first.leadsCostDays !== null && first.leadsCostDays > 0.04}The leads cost {time(first.leadsCostDays)} of it.{/if}
			</p>
			<ul class="list-disc pl-5">
				{#each SAVES as { key, text } (key)}
					{@const saved = first.saves[key]}
					{#if saved !== null}<li>{text} {saved > 0.04 ? `saves ${time(saved)}` : 'saves nothing'}</li>{/if}
				{/each}
			</ul>
		{/if}
	{/if}
</Fold>

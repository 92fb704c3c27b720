<script lang="ts">
	import type { PlanDesk } from '$lib/client/entry/plan-desk.svelte';
	import { USUAL_PLAN, type PlannedInverter, type PlanState } from '$lib/core/plan/bank-plan';
	import type { PlannedLoad, Thing } from '$lib/core/plan/loads';
	import Fold from '$lib/components/frame/Fold.svelte';
	import LoadRow from './LoadRow.svelte';
	import PlanNumber from '../PlanNumber.svelte';

	interface Props {
		desk: PlanDesk;
		found: PlanState;
		/** What may be put on the list: one's own things and the usual ones. */
		things: readonly Thing[];
	}
	let { desk, found, things }: Props = $props();
	const plan = $derived(desk.plan);
	const load = $derived(found.load);
	const kwh = (wh: number) => (wh / 1000).toFixed(wh < 10_000 ? 2 : 1);
	/** Until somebody says which (default). */
	const USUAL_INVERTER: PlannedInverter = { efficiency: 0.9, idleW: 12 };
	const inverterWith = (changes: Partial<PlannedInverter>) => ({ ...(plan.inverter ?? USUAL_INVERTER), ...changes });
	const inverterText = $derived(
		plan.inverter ? `${Math.round(plan.inverter.efficiency * 100)} %, ${plan.inverter.idleW} W idle` : 'none: all on DC'
	);
	const SEASONS = [
		{ name: 'Winter', months: [11, 0, 1] },
		{ name: 'Spring', months: [2, 3, 4] },
		{ name: 'Summer', months: [5, 6, 7] },
		{ name: 'Autumn', months: [8, 9, 10] }
	];
	const bySeason = $derived(
		SEASONS.map(({ name, months }) => ({
			name,
			wh: months.reduce((sum, m) => sum + load.whPerDay[m]!, 0) / months.length
		}))
	);
	const most = $derived(Math.max(1, ...bySeason.map((s) => s.wh)));
	const CABLES = { usual: 'a usual cable', thick: 'a thick cable, 70 to 95 mm²', none: 'no sensible cable' };

	const OWN: PlannedLoad = {
		...{ name: 'Another thing', w: 50, count: 1, share: 1, hours: [18, 19, 20] },
		...{ months: null, surgeW: null, dc: false }
	};
	const keep = (loads: readonly PlannedLoad[]) => desk.change({ loads });
	const changed = (i: number, own: PlannedLoad) => keep(plan.loads.map((l, k) => (k === i ? own : l)));
	let choice = $state('');
	function add(event: SubmitEvent) {
		event.preventDefault();
		if (!choice) return;
		const load = things.find((t) => t.load.name === choice)?.load ?? OWN;
		keep([...plan.loads, load]);
		// What runs on mains wants an inverter: the usual one, until somebody says which.
		if (!load.dc && !plan.inverter) desk.change({ inverter: USUAL_INVERTER });
		choice = '';
	}
</script>

<section class="sheet p-4" aria-label="What it takes">
	{#if plan.loads.length}
		<div class="grid gap-x-8 gap-y-3 sm:grid-cols-2">
			<div>
				<p class="muted">From the battery, a day</p>
				{#each bySeason as { name, wh } (name)}
					<div class="season">
						<span>{name}</span>
						<span class="bar" style:width="{(100 * wh) / most}%"></span>
						<span class="figure font-semibold">{kwh(wh)} kWh</span>
					</div>
				{/each}
			</div>
			<div>
				<p class="muted">All of one hour together</p>
				<p>
					<strong class="figure text-2xl">{load.peakW.toFixed(0)} W</strong>
					{#if load.surgeW > load.peakW + 1}<span class="muted">with the largest start {load.surgeW.toFixed(0)} W</span
						>{/if}
				</p>
				<ul class="mt-2">
					{#each load.amps as { classV, peakA, cable } (classV)}
						<li class:ember-text={cable === 'none'}>
							<span class="figure font-semibold">{peakA.toFixed(0)} A</span> at {classV} V: {CABLES[cable]}
						</li>
					{/each}
				</ul>
			</div>
		</div>
		{#if found.daysAlone !== null}<p class="mt-3">
				Without any sun this bank runs it for <strong class="figure">{found.daysAlone.toFixed(1)} days</strong>.
			</p>{/if}
	{:else}
		<p>
			<strong>Begin with what is to run.</strong> Take something from the list of usual things and make its figures yours:
			watts from its label, the hours it runs. Energy, amperes, the layout and the year follow.
		</p>
		<p class="example muted mt-2" aria-hidden="true">
			An example, not yours: a fridge, five lights and a kettle take 1.0 kWh a day, at most 2 100 W: 164 A at 12 V, 41 A
			at 48 V.
		</p>
	{/if}
</section>

<ul class="mt-4 grid gap-3" aria-label="What is to run">
	{#each plan.loads as load, i (i)}
		<LoadRow {load} onkeep={(own) => changed(i, own)} onremove={() => keep(plan.loads.filter((_, k) => k !== i))} />
	{/each}
</ul>
<form class="mt-3 flex flex-wrap items-end gap-3" onsubmit={add}>
	<label class="grow sm:grow-0">
		<span class="field-label">Add a thing</span>
		<select class="select tap w-full" bind:value={choice}>
			<option value="">choose …</option>
			{#each things as { load, isOwn } (load.name)}<option value={load.name}
					>{load.name}, {load.w} W ({isOwn ? 'yours' : 'usual'})</option
				>{/each}
			<option value="own">something else</option>
		</select>
	</label>
	<button class="btn btn-primary tap" disabled={!choice}>Add it</button>
</form>

<div class="mt-4 grid gap-3">
	<Fold
		title="Inverter and standby"
		answer="{inverterText}; {plan.standbyW ?? `${USUAL_PLAN.standbyW} (usual)`} W always"
	>
		<div class="grid grid-cols-2 gap-3 sm:grid-cols-3">
			<PlanNumber
				label="Inverter lets through"
				unit="%"
				value={plan.inverter?.efficiency ?? null}
				times={100}
				usual="none"
				onkeep={(efficiency) => desk.change({ inverter: efficiency === null ? null : inverterWith({ efficiency }) })}
			/>
			<PlanNumber
				label="and idles with"
				unit="W"
				value={plan.inverter?.idleW ?? null}
				usual={12}
				onkeep={(idleW) => desk.change({ inverter: inverterWith({ idleW: idleW ?? USUAL_INVERTER.idleW }) })}
			/>
			<PlanNumber
				label="It can give for long"
				unit="W"
				value={plan.inverter?.ratedW ?? null}
				onkeep={(ratedW) => desk.change({ inverter: inverterWith({ ratedW }) })}
			/>
			<PlanNumber
				label="It stops below"
				unit="V"
				value={plan.inverter?.cutoffV ?? null}
				onkeep={(cutoffV) => desk.change({ inverter: inverterWith({ cutoffV }) })}
			/>
			<PlanNumber
				label="BMS, relays, balancer, display"
				unit="W"
				value={plan.standbyW}
				usual={USUAL_PLAN.standbyW}
				onkeep={(standbyW) => desk.change({ standbyW })}
			/>
		</div>
	</Fold>
</div>

<style>
	.season {
		display: grid;
		grid-template-columns: 4.5rem 1fr 6rem;
		align-items: center;
		gap: 0.5rem;
	}
	.season .figure {
		text-align: right;
	}
	.bar {
		height: 0.9rem;
		border-radius: 0.2rem;
		background: var(--measure-3);
	}
	.example {
		border-left: 3px dashed var(--line);
		padding-left: 0.75rem;
	}
</style>

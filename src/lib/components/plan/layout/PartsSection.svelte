<script lang="ts">
	import { CHEMISTRY_FIGURES, type Chemistry } from '$lib/core/foundation/chemistry';
	import type { PlanDesk } from '$lib/client/entry/plan-desk.svelte';
	import { USUAL_PLAN, type PlanState } from '$lib/core/plan/bank-plan';
	import { drawnAtMostW } from '$lib/core/plan/loads';
	import { sizeParts } from '$lib/core/plan/layouts';
	import Fold from '$lib/components/frame/Fold.svelte';

	interface Props {
		desk: PlanDesk;
		found: PlanState;
		bank: { chemistry: Chemistry; series: number; batteries: number };
	}
	let { desk, found, bank }: Props = $props();
	/** What a coil takes while it is closed, W. */
	let contactorW = $state(0);
	const COILS = [
		{ w: 0, text: 'none: a switch by hand, or the BMS’s own' },
		{ w: 4, text: 'a contactor with an economiser, 4 W' },
		{ w: 12, text: 'a plain contactor, 12 W' },
		{ w: 0.3, text: 'solid state, 0.3 W' }
	];
	const parts = $derived(
		found.nominalWh === null
			? null
			: sizeParts({
					...{ chemistry: bank.chemistry, series: bank.series, batteries: bank.batteries },
					...{ continuousW: found.load.continuousW, surgeW: found.load.surgeW },
					peakW: drawnAtMostW(found.load.peakW, desk.plan.inverter),
					chargeA: desk.plan.chargers.reduce((sum, c) => sum + c.a, 0),
					bankAh: found.nominalWh / (bank.series * CHEMISTRY_FIGURES[bank.chemistry].nominalV),
					freezes: (desk.plan.coldestC ?? USUAL_PLAN.coldestC) < 5,
					contactorW,
					leastV: desk.plan.inverter?.cutoffV
				})
	);
	const size = (a: number | null) => (a === null ? 'none is made so large' : `${a} A`);
	const answer = $derived(
		parts ? `BMS ${size(parts.bms.sizeA)}, fuse ${size(parts.fuse.sizeA)}, shunt ${size(parts.shunt.sizeA)}` : null
	);
	const watts = $derived(desk.plan.loads.length > 0 || Boolean(desk.plan.inverter?.ratedW));
</script>

<Fold title="BMS, fuse, shunt, contactor" {answer} warm={parts !== null && parts.bms.sizeA === null}>
	{#if !parts}<p>Choose the cells first (Layout).</p>
	{:else}
		{#if !watts}<p class="muted">Nothing is on the list of loads: these are for standby and chargers alone.</p>{/if}
		<dl class="grid gap-3">
			<div>
				<dt class="font-bold">BMS, {size(parts.bms.sizeA)}</dt>
				<dd>
					1.25 times the {(parts.bms.wantedA / 1.25).toFixed(0)} A that flow when the voltage is lowest, or are charged; for
					{parts.bms.surgeA.toFixed(0)} A at the largest start; for exactly {parts.bms.series} cells in series, {parts.bms.fullV.toFixed(
						1
					)} V full.
					{parts.bms.feedsItself && parts.bms.series >= 8
						? 'It can feed itself from them.'
						: parts.bms.feedsItself
							? `Ask its sheet for the fewest cells it runs from: many want 8, and stay dark at ${parts.bms.series}.`
							: 'So few cells do not feed a usual BMS: one made for that.'}
					{parts.bms.needsColdSensor ? 'It gets cold: with a sensor that stops the charge in the frost.' : ''}
					Every ampere of load and charge passes it, or it protects nothing.
				</dd>
			</div>
			<div>
				<dt class="font-bold">Main fuse, {size(parts.fuse.sizeA)}, one a battery</dt>
				<dd>
					For direct current of {parts.fuse.leastDcV.toFixed(1)} V and more, at the battery’s terminal, before BMS and loads;
					1.25 times what the BMS lets through, never above what the cable carries. What it can break is compared in Limits
					and Build.
				</dd>
			</div>
			<div>
				<dt class="font-bold">Shunt, {size(parts.shunt.sizeA)}</dt>
				<dd>
					As small as it may be: its zero counts about {parts.shunt.zeroAhPerDay.toFixed(1)} Ah a day out of nothing, one
					five times as large {parts.shunt.fiveTimesAhPerDay.toFixed(1)} Ah (usual: 0.04 % of its rating).
				</dd>
			</div>
			<div>
				<dt class="font-bold">Disconnect</dt>
				<dd class="grid gap-2">
					<select class="select tap max-w-md" bind:value={contactorW} aria-label="Disconnect">
						{#each COILS as { w, text } (w)}<option value={w}>{text}</option>{/each}
					</select>
					{#if contactorW > 0}<span
							>{parts.contactor.whPerDay.toFixed(0)} Wh a day, {(parts.contactor.shareOfCapacity * 100).toFixed(1)} % of what
							it holds.</span
						>{/if}
				</dd>
			</div>
		</dl>
	{/if}
</Fold>

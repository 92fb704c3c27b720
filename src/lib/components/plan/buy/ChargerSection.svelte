<script lang="ts">
	import type { PlanDesk } from '$lib/client/entry/plan-desk.svelte';
	import { chargingVerdicts, type ChargerChoice } from '$lib/core/plan/charging';
	import type { PlanState } from '$lib/core/plan/bank-plan';
	import { WHOLE_BANK } from '$lib/core/foundation/verdicts';
	import Fold from '$lib/components/frame/Fold.svelte';
	import PlanNumber from '../PlanNumber.svelte';

	interface Props {
		desk: PlanDesk;
		found: PlanState;
	}
	let { desk, found }: Props = $props();
	const plan = $derived(desk.plan);
	const KINDS = {
		mains: 'mains charger',
		solar: 'solar controller',
		converter: 'converter',
		bench: 'bench supply',
		alternator: 'alternator, no converter'
	};
	const charger = (i: number, changes: Partial<ChargerChoice>) =>
		desk.change({ chargers: plan.chargers.map((c, k) => (k === i ? { ...c, ...changes } : c)) });
	const answer = $derived(
		found.chargers.length
			? found.chargers.map((c) => `${c.name}: ${c.hours === null ? 'nothing' : `${c.hours.toFixed(0)} h`}`).join(', ')
			: null
	);
	const warm = $derived(
		found.charging !== null &&
			chargingVerdicts(found.charging, WHOLE_BANK).some((v) => v.warmth === 'look' || v.warmth === 'stop')
	);
	const LITHIUM = { yes: true, no: false, unknown: null };
</script>

<Fold title="Chargers" {answer} {warm}>
	{#each plan.chargers as c, i (i)}
		{@const fit = found.chargers[i]}
		<div class="grid grid-cols-2 items-end gap-3 sm:grid-cols-5">
			<label
				><span class="field-label">Charger</span>
				<input
					class="input tap w-full"
					maxlength="80"
					value={c.name}
					onchange={(e) => e.currentTarget.value.trim() && charger(i, { name: e.currentTarget.value.trim() })}
				/></label
			>
			<label
				><span class="field-label">It is a</span>
				<select
					class="select tap w-full"
					value={c.kind}
					onchange={(e) => charger(i, { kind: e.currentTarget.value as ChargerChoice['kind'] })}
				>
					{#each Object.entries(KINDS) as [kind, text] (kind)}<option value={kind}>{text}</option>{/each}
				</select></label
			>
			<PlanNumber label="Gives" unit="A" value={c.a} onkeep={(a) => charger(i, { a: a ?? 0 })} />
			<PlanNumber label="Charges to" unit="V" value={c.absorbV} onkeep={(absorbV) => charger(i, { absorbV })} />
			<label
				><span class="field-label">Set for lithium</span>
				<select
					class="select tap w-full"
					value={c.lithium === null ? 'unknown' : c.lithium ? 'yes' : 'no'}
					onchange={(e) => charger(i, { lithium: LITHIUM[e.currentTarget.value as keyof typeof LITHIUM] })}
				>
					<option value="unknown">not known</option>
					<option value="yes">yes</option>
					<option value="no">no such setting</option>
				</select></label
			>
			{#if c.kind === 'solar' || c.kind === 'bench'}
				{#if c.kind === 'solar'}<PlanNumber
						label="Panels open"
						unit="V"
						value={c.panelOpenV ?? null}
						onkeep={(panelOpenV) => charger(i, { panelOpenV })}
					/>{/if}
				<PlanNumber
					label={c.kind === 'bench' ? 'Into a solar controller at' : 'Panels working'}
					unit="V"
					value={c.panelWorkV ?? null}
					onkeep={(panelWorkV) => charger(i, { panelWorkV })}
				/>
				<PlanNumber
					label="Controller bears"
					unit="V"
					value={c.mostPanelV ?? null}
					onkeep={(mostPanelV) => charger(i, { mostPanelV })}
				/>
				<PlanNumber
					label="wants above"
					unit="V"
					value={c.startMarginV ?? null}
					usual={5}
					onkeep={(startMarginV) => charger(i, { startMarginV })}
				/>
			{/if}
			<button
				class="btn btn-ghost tap"
				onclick={() => desk.change({ chargers: plan.chargers.filter((_, k) => k !== i) })}>Take it off</button
			>
			{#if fit}<p class="col-span-full muted">
					{fit.hours === null
						? ''
						: `${fit.hours.toFixed(1)} h from 20 to 95 %, ${fit.cRate.toFixed(2)} C. `}{fit.panelColdV === null
						? ''
						: c.kind === 'bench'
							? `In place of panels at ${fit.panelColdV.toFixed(0)} V. `
							: `Panels open on the coldest morning: ${fit.panelColdV.toFixed(0)} V. `}{fit.panelHotV === null ||
					c.kind === 'bench'
						? ''
						: `Working in the heat: ${fit.panelHotV.toFixed(0)} V.`}
				</p>{/if}
		</div>
	{/each}
	<div class="flex flex-wrap items-end gap-3">
		<button
			class="btn tap"
			onclick={() =>
				desk.change({
					chargers: [...plan.chargers, { name: 'Charger', kind: 'mains', a: 20, absorbV: null, lithium: null }]
				})}>{plan.chargers.length ? 'Another charger' : 'Add a charger'}</button
		>
		<PlanNumber
			label="Coldest morning"
			quantity="temperature"
			value={plan.coldestC}
			usual={-10}
			onkeep={(coldestC) => desk.change({ coldestC })}
		/>
		<PlanNumber
			label="Panels in the heat"
			quantity="temperature"
			value={plan.hottestC}
			usual={65}
			onkeep={(hottestC) => desk.change({ hottestC })}
		/>
	</div>
</Fold>

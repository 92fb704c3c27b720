<script lang="ts">
	import { inOwnStyle, measure } from '$lib/client/settings/own-style';
	import type { PlanDesk } from '$lib/client/entry/plan-desk.svelte';
	import { CHEMISTRY_FIGURES, type Chemistry } from '$lib/core/foundation/chemistry';
	import { HARDWARE_ITEMS, besideLead } from '$lib/core/plan/charging';
	import { USUAL_PLAN, type PlanState } from '$lib/core/plan/bank-plan';
	import { nominalClassV } from '$lib/core/plan/loads';
	import type { Settings } from '$lib/core/foundation/units';
	import { hardwareWords } from '$lib/core/plan/verdicts';
	import BoxSection from '../layout/BoxSection.svelte';
	import CalendarSection from '../CalendarSection.svelte';
	import ChargerSection from './ChargerSection.svelte';
	import Fold from '$lib/components/frame/Fold.svelte';
	import MoneySection, { type StoredItem, type StoredSnapshot } from './MoneySection.svelte';
	import PartsSection from '../layout/PartsSection.svelte';
	import PlanNumber from '../PlanNumber.svelte';
	import SupplySection from './SupplySection.svelte';

	interface Props {
		desk: PlanDesk;
		found: PlanState;
		bank: { id: number; chemistry: Chemistry; series: number; batteries: number; rows: number | null };
		items: readonly StoredItem[];
		snapshots: readonly StoredSnapshot[];
		settings: Settings;
		/** Width, thickness and height of the cell are known. */
		sizesKnown: boolean;
		/** Loads that are known as instruments. */
		knownTesters: number;
		/** All checks of Prove are made. */
		isProved: boolean;
	}
	let { desk, found, bank, items, snapshots, settings, sizesKnown, knownTesters, isProved }: Props = $props();
	const plan = $derived(desk.plan);
	const hasKit = $derived(Object.keys(plan.kit).length > 0);
	const hardwareAnswer = $derived(
		!hasKit
			? `${found.hardware.fixture.bar} bars for the balance, ${found.hardware.build.bar} for the build`
			: found.missing.length
				? `${found.missing
						.map((m) => hardwareWords(m.item, m.missing))
						.slice(0, 2)
						.join(', ')} missing`
				: 'all there'
	);
	const liftAnswer = $derived(
		found.batteryKg === null || !found.lift
			? null
			: `${measure(found.batteryKg, 'mass', 0)} a battery: ${{ alone: 'one person', two: 'two people', hoist: 'a hoist, or built in place' }[found.lift.by]}`
	);
	/** Its nominal class, V. */
	const classV = $derived(nominalClassV(bank.series * CHEMISTRY_FIGURES[bank.chemistry].nominalV));
	const lead = $derived(besideLead(classV));
</script>

<div class="grid gap-3">
	<SupplySection {desk} {found} />
	<Fold title="Bars, studs, rings" answer={hardwareAnswer} warm={hasKit && found.missing.length > 0}>
		<div class="flex flex-wrap gap-4">
			<label
				><span class="field-label">Threads on a pole</span>
				<select
					class="select tap"
					value={plan.studsPerPole}
					onchange={(e) => desk.change({ studsPerPole: Number(e.currentTarget.value) as 1 | 2 })}
				>
					<option value={1}>one</option>
					<option value={2}>two</option>
				</select></label
			>
			{#if bank.batteries > 1}<label
					><span class="field-label">The batteries are balanced</span>
					<select
						class="select tap"
						value={plan.balance}
						onchange={(e) => desk.change({ balance: e.currentTarget.value as 'together' | 'in-turn' })}
					>
						<option value="together">together</option>
						<option value="in-turn">one after the other</option>
					</select></label
				>{/if}
			<PlanNumber
				label="Rows of a battery"
				value={plan.rows}
				usual={bank.rows ?? 1}
				onkeep={(rows) => desk.change({ rows })}
				class="max-w-40"
			/>
		</div>
		<ul class="grid gap-1">
			<li class="hardware muted"><span></span><span>balance</span><span>build</span><span>there</span></li>
			{#each HARDWARE_ITEMS as item (item)}
				{@const wanted = found.hardware.atOnce[item] ?? 0}
				{#if wanted > 0}
					{@const there = plan.kit[item] ?? null}
					<li class="hardware">
						<span class:ember-text={hasKit && (there ?? 0) < wanted}>{hardwareWords(item, 2).replace('2 ', '')}</span>
						<span class="figure">{found.hardware.fixture[item] ?? 0}</span>
						<span class="figure">{found.hardware.build[item] ?? 0}</span>
						<PlanNumber
							quiet
							label="{hardwareWords(item, 2).replace('2 ', '')} that are there"
							value={there}
							onkeep={(n) => desk.change({ kit: { ...plan.kit, [item]: n ?? undefined } })}
						/>
					</li>
				{/if}
			{/each}
		</ul>
		<p class="muted">What stood in the fixture is free again for the build: the larger of the two is wanted at once.</p>
	</Fold>
	<PartsSection {desk} {found} {bank} />
	<ChargerSection {desk} {found} />
	<BoxSection {desk} {found} known={sizesKnown} />
	<Fold
		title="Who carries it"
		answer={liftAnswer}
		warm={plan.people !== null && found.lift !== null && !found.lift.canLift}
	>
		<PlanNumber
			label="People who lift"
			value={plan.people}
			usual={USUAL_PLAN.people}
			onkeep={(people) => desk.change({ people })}
			class="max-w-40"
		/>
		{#if found.lift && found.batteryKg !== null}
			<ul class="list-disc pl-5">
				<li>{measure(found.batteryKg, 'mass', 0)}: cells and 15 % for bars, box, BMS and cables (usual).</li>
				<li>
					One person carries {measure(23, 'mass', 0)}, two {measure(40, 'mass', 0)}; beyond that a hoist, or the cells
					are carried one by one and built in where they stay.
				</li>
				{#if found.lift.lotsForPeople > 1}<li>Carry it in {found.lift.lotsForPeople} loads.</li>{/if}
				{#if found.lift.slingHeightMm !== null}<li>
						Slings at 60°: the hook hangs {measure(found.lift.slingHeightMm, 'length', 0)} above the handles.
					</li>{/if}
				{#if found.lift.floorKgPerM2 !== null}<li>
						The battery loads the floor with {inOwnStyle(`${found.lift.floorKgPerM2.toFixed(0)} kg/m²`)}: check that the
						floor can carry it.
					</li>{/if}
				<li>In a boat or vehicle it is strapped against its own weight in every direction: local codes say how.</li>
			</ul>
			<button class="btn tap justify-self-start" onclick={() => print()}>Print this page</button>
		{/if}
	</Fold>
	<Fold title="Where it may stand" answer="vents away from beds and ignition sources">
		<ul class="list-disc pl-5">
			<li>
				Gas from a failed cell burns and poisons: the box vents to the outside, away from where people sleep and from
				anything that sparks.
			</li>
			<li>Cases are live in many cells: a sheet between neighbours, between cells and box, under them too.</li>
			<li>Upright. On their narrow side only where the maker allows it; never upside down, whatever the carton did.</li>
			<li>Not above heat, not in an engine space; frost only if the BMS or charger blocks charging when cold.</li>
		</ul>
	</Fold>
	<Fold title="A lead-acid battery beside it" answer="a converter between, never one wire">
		<p>What happens where somebody leaves them on one wire, at {classV} V:</p>
		<ul class="list-disc pl-5">
			{#each lead.ranges as { fromV, toV, carries } (carries)}
				<li>
					<span class="figure">{fromV.toFixed(1)} to {toV.toFixed(1)} V</span>: {{
						lithium: 'lithium supplies the load; the lead-acid battery is on float and draws current',
						both: 'both supply the load',
						lead: 'the lead-acid battery supplies the load; lithium is nearly empty'
					}[carries]}
				</li>
			{/each}
		</ul>
		<p>
			Every night the lithium recharges the lead. Kept for starting, it is charged through a converter; two chemistries
			are never joined without one.
		</p>
	</Fold>
	<MoneySection
		{desk}
		{found}
		{items}
		{snapshots}
		chemistry={bank.chemistry}
		bankId={bank.id}
		currency={settings.currency}
		dateStyle={settings.dateStyle}
	/>
	<CalendarSection {desk} {found} bankId={bank.id} dateStyle={settings.dateStyle} {knownTesters} {isProved} />
</div>

<style>
	.hardware {
		display: grid;
		grid-template-columns: minmax(0, 1fr) 4rem 4rem 6rem;
		align-items: center;
		gap: 0.5rem;
	}
	.hardware .figure {
		text-align: right;
	}
</style>

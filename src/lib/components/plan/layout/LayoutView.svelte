<script lang="ts">
	import PhoneFold from '$lib/components/frame/PhoneFold.svelte';
	import { lookAgain } from '$lib/client/tabs/look-again';
	import { announce, attempt } from '$lib/client/entry/announce';
	import { api } from '$lib/client/api/api';
	import type { PlanDesk } from '$lib/client/entry/plan-desk.svelte';
	import type { Chemistry } from '$lib/core/foundation/chemistry';
	import { CHEMISTRY_FIGURES } from '$lib/core/foundation/chemistry';
	import { USUAL_PLAN, type PlanState } from '$lib/core/plan/bank-plan';
	import { compareLayouts, type CellChoice, type Layout } from '$lib/core/plan/layouts';
	import Fold from '$lib/components/frame/Fold.svelte';
	import LabelCheck from './LabelCheck.svelte';
	import LayoutCards from './LayoutCards.svelte';
	import LayoutChart from './LayoutChart.svelte';
	import PlanNumber from '../PlanNumber.svelte';
	import { REFUSALS, layoutKey, layoutName } from './layout-words';

	interface CellType {
		id: number;
		name: string;
		chemistry: Chemistry;
		ratedAh: number;
		massKg: number | null;
		widthMm: number | null;
		thicknessMm: number | null;
		chargeCRate: number | null;
		dischargeCRate: number | null;
	}
	interface Props {
		desk: PlanDesk;
		found: PlanState;
		bank: {
			id: number;
			version: number;
			chemistry: Chemistry;
			series: number;
			parallel: number;
			batteries: number;
			cellTypeId: number | null;
		};
		cellTypes: readonly CellType[];
		/** Ready-made batteries that stand beside those that are compared. */
		readyMade: number;
		/** Loose cells of each type. */
		loose: Record<number, number>;
		currency: string;
		/** What is to be bought, with its prices. */
		items: readonly { name: string; unitPrice: number }[];
	}
	let { desk, found: plan, bank, readyMade, cellTypes, loose, currency, items }: Props = $props();
	const written = $derived(desk.plan);
	/** Days without sun a layout is looked for, when no energy is named. */
	const DAYS = 2;
	let days = $state(DAYS);
	// svelte-ignore state_referenced_locally
	let chosenTypes = $state<number[]>(bank.cellTypeId === null ? cellTypes.map((t) => t.id) : [bank.cellTypeId]);
	let pinned = $state<string[]>([]);
	let classes = $state([12, 24, 48]);

	const needWh = $derived(Math.max(...plan.load.whPerDay) * days);
	/** By the list of what to buy, where it names the cell; else what is written here, of the bank's own kind. */
	const priceOf = (type: CellType): number | null =>
		items.find((i) => i.name.trim().toLowerCase() === type.name.toLowerCase())?.unitPrice ??
		(type.id === bank.cellTypeId || chosenTypes.length === 1 ? written.cellPrice : null);
	const cells = $derived(
		cellTypes
			.filter((t) => chosenTypes.includes(t.id))
			.map((t): CellChoice => ({ ...t, price: priceOf(t), inStock: loose[t.id] ?? 0 }))
	);
	const layouts = $derived(
		needWh > 0 && cells.length
			? compareLayouts(cells, {
					usableWh: needWh,
					continuousW: plan.load.continuousW,
					peakW: plan.load.peakW,
					chargeW:
						written.chargers.reduce((sum, c) => sum + c.a, 0) *
						bank.series *
						CHEMISTRY_FIGURES[bank.chemistry].nominalV,
					window: written.window ?? USUAL_PLAN.window,
					classesV: classes,
					mostBatteries: 3,
					bmsPrice: written.bmsPrice
				})
			: []
	);
	const possible = $derived(layouts.filter((l) => l.refusals.length === 0));
	const priced = $derived(layouts.filter((l) => l.price !== null));
	const refused = $derived(layouts.filter((l) => l.refusals.length > 0));
	/** What is compared: the pinned, or the first three. */
	const shown = $derived(
		pinned.length ? pinned.flatMap((key) => layouts.find((l) => layoutKey(l) === key) ?? []) : possible.slice(0, 3)
	);
	const MAX_PINNED = 3;
	function pin(key: string) {
		pinned = pinned.includes(key) ? pinned.filter((k) => k !== key) : [...pinned, key].slice(-MAX_PINNED);
	}
	const toggle = <T,>(list: T[], item: T) => (list.includes(item) ? list.filter((i) => i !== item) : [...list, item]);

	async function choose({ series, parallel, batteries, cell }: Layout) {
		const done = await attempt(() =>
			api.patch(`banks/${bank.id}`, {
				version: bank.version,
				series,
				parallel,
				batteries: batteries + readyMade,
				cellTypeId: Number(cell.id)
			})
		);
		if (!done) return;
		await lookAgain();
		announce(`The bank is ${series}S${parallel}P${batteries > 1 ? ` × ${batteries}` : ''} now.`);
	}
	const isChosen = (l: Layout) =>
		l.series === bank.series &&
		l.parallel === bank.parallel &&
		l.batteries + readyMade === bank.batteries &&
		l.cell.id === bank.cellTypeId;
</script>

<PhoneFold
	title="What is asked of it"
	answer={`${(needWh / 1000).toFixed(1)} kWh usable, at most ${plan.load.peakW.toFixed(0)} W`}
>
	<div class="grid grid-cols-2 items-end gap-3 sm:grid-cols-4">
		<label
			><span class="field-label">Days without any sun</span>
			<select class="select tap w-full" bind:value={days}>
				{#each [0.5, 1, 2, 3, 5, 7] as d (d)}<option value={d}>{d}</option>{/each}
			</select></label
		>
		<PlanNumber
			label="Of the capacity is used"
			unit="%"
			value={written.window}
			times={100}
			usual={USUAL_PLAN.window * 100}
			onkeep={(window) => desk.change({ window })}
		/>
		<PlanNumber
			label="A cell costs"
			unit={currency}
			value={written.cellPrice}
			onkeep={(cellPrice) => desk.change({ cellPrice })}
		/>
		<PlanNumber
			label="A BMS costs"
			unit={currency}
			value={written.bmsPrice}
			onkeep={(bmsPrice) => desk.change({ bmsPrice })}
		/>
	</div>
	<div class="flex flex-wrap gap-x-6 gap-y-1">
		<fieldset class="flex flex-wrap items-center gap-3">
			<legend class="sr-only">Nominal voltage</legend>
			{#each [12, 24, 48] as v (v)}<label class="tap flex items-center gap-2"
					><input
						type="checkbox"
						class="checkbox"
						checked={classes.includes(v)}
						onchange={() => (classes = toggle(classes, v))}
					/>
					{v} V</label
				>{/each}
		</fieldset>
		<fieldset class="flex flex-wrap items-center gap-3">
			<legend class="sr-only">Cell types</legend>
			{#each cellTypes as type (type.id)}<label class="tap flex items-center gap-2"
					><input
						type="checkbox"
						class="checkbox"
						checked={chosenTypes.includes(type.id)}
						onchange={() => (chosenTypes = toggle(chosenTypes, type.id))}
					/>
					{type.name}{loose[type.id] ? `, ${loose[type.id]} loose` : ''}</label
				>{/each}
		</fieldset>
	</div>
	<p>
		Wanted: <strong class="figure">{(needWh / 1000).toFixed(1)} kWh</strong> usable, at most
		<strong class="figure">{plan.load.peakW.toFixed(0)} W</strong>.
		{#if written.loads.length === 0}<span class="muted"
				>Nothing is on the list of loads yet: this is standby alone.</span
			>{/if}
	</p>
</PhoneFold>

{#if priced.length > 1}
	<section class="sheet mt-4 p-4" aria-label="Price against energy">
		<LayoutChart layouts={priced} {currency} {pinned} onpin={pin} />
	</section>
{:else if layouts.length}<p class="mt-3 muted">
		Write down what a cell and a BMS cost, and the layouts are drawn by price.
	</p>{/if}

<LayoutCards
	layouts={shown}
	{currency}
	{isChosen}
	onchoose={choose}
	onpin={pinned.length ? (l) => pin(layoutKey(l)) : null}
/>
{#if layouts.length && possible.length === 0}<p class="sheet mt-4 p-4 ember-text font-semibold">
		No layout of these cells can be. See why below.
	</p>{/if}

<div class="mt-4 grid gap-3">
	{#if possible.length > 3}
		<Fold title="All that can be" answer="{possible.length} layouts">
			<ul class="grid gap-1">
				{#each possible.slice(0, 40) as layout (layoutKey(layout))}
					<li class="flex flex-wrap items-center justify-between gap-3">
						<span
							><strong>{layoutName(layout)}</strong>
							<span class="muted">{layout.cell.name}, {layout.nominalV.toFixed(1)} V</span></span
						>
						<span class="figure">{(layout.usableWh / 1000).toFixed(1)} kWh</span>
						<button
							class="btn tap"
							aria-pressed={pinned.includes(layoutKey(layout))}
							onclick={() => pin(layoutKey(layout))}
							>{pinned.includes(layoutKey(layout)) ? 'Put away' : 'Compare'}</button
						>
					</li>
				{/each}
			</ul>
		</Fold>
	{/if}
	{#if refused.length}
		<Fold title="What cannot be" answer="{refused.length} layouts">
			<ul class="grid gap-1">
				{#each refused.slice(0, 20) as layout (layoutKey(layout))}
					<li>
						<strong>{layoutName(layout)}</strong> <span class="muted">{layout.cell.name}:</span>
						{layout.refusals.map((r) => REFUSALS[r]).join('; ')}
					</li>
				{/each}
			</ul>
		</Fold>
	{/if}
	<LabelCheck />
</div>

<script lang="ts" module>
	/** A line of the list as it is stored. */
	export interface StoredItem {
		id: number;
		version: number;
		name: string;
		quantity: number;
		unitPrice: number;
		shipping: number;
		priceBreaks?: { from: number; unitPrice: number }[] | null;
		pricedOn: string | null;
		source: string | null;
		used: boolean;
	}
	/** The list as it was on a day. */
	export interface StoredSnapshot {
		id: number;
		takenAt: string;
		items: { name: string; quantity: number; unitPrice: number; shipping: number; used: boolean }[];
	}
</script>

<script lang="ts">
	import { lookAgain } from '$lib/client/tabs/look-again';
	import { announce, attempt } from '$lib/client/entry/announce';
	import { api } from '$lib/client/api/api';
	import type { PlanDesk } from '$lib/client/entry/plan-desk.svelte';
	import Field from '$lib/components/forms/Field.svelte';
	import { projectFade } from '$lib/core/foundation/fade';
	import type { Chemistry } from '$lib/core/foundation/chemistry';
	import { USUAL_PLAN, type PlanState } from '$lib/core/plan/bank-plan';
	import { costOf, lineCents, nextBreak, unitCentsAt, type PlanItem } from '$lib/core/plan/money';
	import { formatDate, type Settings } from '$lib/core/foundation/units';
	import Fold from '$lib/components/frame/Fold.svelte';
	import PriceHistory from './PriceHistory.svelte';
	import PlanNumber from '../PlanNumber.svelte';
	import { money } from '../layout/layout-words';

	interface Props {
		desk: PlanDesk;
		found: PlanState;
		items: readonly StoredItem[];
		snapshots: readonly StoredSnapshot[];
		bankId: number;
		chemistry: Chemistry;
		currency: string;
		dateStyle: Settings['dateStyle'];
	}
	let { desk, found: plan, items, snapshots, bankId, chemistry, currency, dateStyle }: Props = $props();
	const written = $derived(desk.plan);
	const cents = (value: number) => Math.round(value * 100);
	const asItem = (i: StoredItem): PlanItem => ({
		name: i.name,
		quantity: i.quantity,
		unitCents: cents(i.unitPrice),
		shippingCents: cents(i.shipping),
		breaks: (i.priceBreaks ?? []).map((b) => ({ from: b.from, unitCents: cents(b.unitPrice) })),
		used: i.used
	});
	/** Cycles a year and years to the end: of the year that was drawn, else if everything goes through the battery, by what is usual. */
	const efcPerYear = $derived(
		desk.drawnYear?.efcPerYear ??
			(plan.usableWh && written.loads.length
				? (plan.load.whPerDay.reduce((sum, wh) => sum + wh, 0) / 12) * (365 / plan.usableWh)
				: null)
	);
	const life = $derived.by(() => {
		if (desk.drawnYear) return desk.drawnYear.yearsToEnd;
		if (efcPerYear === null || chemistry !== 'LFP') return null;
		const fresh = { ratedAh: 100, endFraction: 0.8, observations: [], efcPerYear };
		const { low95, median, high95 } = projectFade(fresh).endAgeYears;
		return { low95, likely: median, high95 };
	});
	const cost = $derived(
		costOf(items.map(asItem), {
			nominalWh: plan.builtWh,
			usableWh: plan.builtWh === null ? null : plan.builtWh * (written.window ?? USUAL_PLAN.window),
			efcPerYear,
			yearsToEnd: life
		})
	);
	const total = $derived(cost.totalCents / 100);
	const readyPerKwh = $derived(
		written.readyMadePrice !== null && written.readyMadeWh
			? written.readyMadePrice / (written.readyMadeWh / 1000)
			: null
	);
	const answer = $derived(
		items.length
			? `${money(total, currency)}${cost.perKwhUsable === null ? '' : `, ${money(cost.perKwhUsable, currency)} a usable kWh`}`
			: null
	);
	const NEW = {
		name: '',
		quantity: 1,
		unitPrice: null as number | null,
		shipping: 0,
		pricedOn: null as string | null,
		source: '',
		used: false,
		breakFrom: null as number | null,
		breakPrice: null as number | null
	};
	let draft = $state({ ...NEW });
	let fields = $state<Record<string, string>>({});
	async function add(event: SubmitEvent) {
		event.preventDefault();
		fields = {};
		if (!draft.name.trim()) fields.name = 'What is it?';
		if (draft.unitPrice === null) fields.unitPrice = 'What does one cost?';
		if (draft.breakFrom !== null && draft.breakPrice === null) fields.breakPrice = 'What does one cost then?';
		if (Object.keys(fields).length) return;
		const { source, pricedOn, breakFrom, breakPrice, ...rest } = draft;
		const priceBreaks = breakFrom !== null && breakPrice !== null ? [{ from: breakFrom, unitPrice: breakPrice }] : null;
		const body = {
			...rest,
			priceBreaks,
			unitPrice: draft.unitPrice!,
			bankId,
			source: source || null,
			pricedOn: pricedOn || null
		};
		if (!(await attempt(() => api.post('plan-items', body)))) return;
		draft = { ...NEW };
		await lookAgain();
	}
	async function takeOff({ id, version, name }: StoredItem) {
		if (!(await attempt(() => api.remove(`plan-items/${id}`, version)))) return;
		announce(
			`${name} is off the list.`,
			() =>
				void attempt(async () => {
					await api.restore(`plan-items/${id}`);
					await lookAgain();
				})
		);
		await lookAgain();
	}
</script>

<Fold title="What it costs" {answer}>
	<ul class="grid gap-2">
		{#each items as item (item.id)}
			{@const line = asItem(item)}
			{@const more = nextBreak(line)}
			<li class="flex flex-wrap items-center justify-between gap-x-4">
				<span
					><strong>{item.quantity} × {item.name}</strong>{#if item.used}&nbsp;<span class="muted">used</span>{/if}
					<span class="muted block text-sm"
						>{[item.source, item.pricedOn ? formatDate(item.pricedOn, dateStyle) : 'price without a date']
							.filter(Boolean)
							.join(', ')}{line.breaks?.length
							? `; one costs ${money(unitCentsAt(line) / 100, currency)} at this quantity`
							: ''}</span
					>{#if more}<span class="block text-sm"
							>{more.quantity} of them cost {money(more.savesCents / 100, currency)} less than {item.quantity}.</span
						>{/if}</span
				>
				<span class="flex items-center gap-3">
					<span class="figure font-semibold">{money(lineCents(line) / 100, currency)}</span>
					<button class="btn btn-ghost tap" onclick={() => takeOff(item)}>Take it off</button>
				</span>
			</li>
		{/each}
	</ul>
	<form class="grid grid-cols-2 items-end gap-3 sm:grid-cols-4" onsubmit={add} novalidate>
		<Field label="What" bind:value={draft.name} maxlength={120} error={fields.name} class="col-span-2" />
		<Field label="How many" type="number" bind:value={draft.quantity} />
		<Field label="One costs" unit={currency} type="number" bind:value={draft.unitPrice} error={fields.unitPrice} />
		<Field label="Shipping" unit={currency} type="number" bind:value={draft.shipping} />
		<Field label="Cheaper from" unit="pieces" type="number" bind:value={draft.breakFrom} />
		<Field
			label="one costs then"
			unit={currency}
			type="number"
			bind:value={draft.breakPrice}
			error={fields.breakPrice}
		/>
		<Field label="Price of" type="date" bind:value={draft.pricedOn} />
		<Field label="Said by" bind:value={draft.source} maxlength={200} />
		<label class="tap flex items-center gap-2"
			><input type="checkbox" class="checkbox" bind:checked={draft.used} /> used</label
		>
		<button class="btn btn-primary tap">Put it on the list</button>
	</form>
	{#if items.some((i) => i.used)}<p>
			Cells bought used must still pass: a leak test of 14 days, capacity before anything else, resistance against new,
			no swelling.
		</p>{/if}
	{#if items.length}
		<dl class="grid gap-1 sm:max-w-md">
			<div class="flex justify-between">
				<dt class="muted">In all</dt>
				<dd class="figure font-semibold">{money(total, currency)}</dd>
			</div>
			{#if plan.calendar}<div class="flex justify-between">
					<dt class="muted">and of your own work</dt>
					<dd class="figure">{plan.calendar.handsH.toFixed(0)} h</dd>
				</div>{/if}
			{#if cost.perKwhNominal !== null}<div class="flex justify-between">
					<dt class="muted">a kWh by rating</dt>
					<dd class="figure">{money(cost.perKwhNominal, currency)}</dd>
				</div>{/if}
			{#if cost.perKwhUsable !== null}<div class="flex justify-between">
					<dt class="muted">a usable kWh</dt>
					<dd class="figure">{money(cost.perKwhUsable, currency)}</dd>
				</div>{/if}
			{#if cost.perKwhDelivered}<div class="flex justify-between gap-3">
					<dt class="muted">a kWh delivered over its life</dt>
					<dd class="figure text-right">
						{cost.perKwhDelivered.low95.toFixed(2)} … {cost.perKwhDelivered.high95.toFixed(2)}
						{currency}
					</dd>
				</div>
				<p class="text-sm muted">
					95 %, by how long such cells usually last; with all that runs going through the battery, {efcPerYear?.toFixed(
						0
					)} cycles a year.
				</p>{/if}
			{#if readyPerKwh !== null}<div class="flex justify-between">
					<dt class="muted">a usable kWh, ready-made</dt>
					<dd class="figure">{money(readyPerKwh, currency)}</dd>
				</div>{/if}
		</dl>
	{/if}
	<div class="grid grid-cols-2 gap-3">
		<PlanNumber
			label="A ready-made one costs"
			unit={currency}
			value={written.readyMadePrice}
			onkeep={(readyMadePrice) => desk.change({ readyMadePrice })}
		/>
		<PlanNumber
			label="and gives, usable"
			unit="kWh"
			value={written.readyMadeWh}
			times={0.001}
			onkeep={(readyMadeWh) => desk.change({ readyMadeWh })}
		/>
	</div>
	<PriceHistory {items} {snapshots} {bankId} {currency} {dateStyle} />
</Fold>

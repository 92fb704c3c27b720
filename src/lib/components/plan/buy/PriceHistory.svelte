<script lang="ts">
	import { lookAgain } from '$lib/client/tabs/look-again';
	import { announce, attempt } from '$lib/client/entry/announce';
	import { api } from '$lib/client/api/api';
	import { differences, unitCentsAt, type PlanItem } from '$lib/core/plan/money';
	import { formatDate, type Settings } from '$lib/core/foundation/units';
	import type { StoredItem, StoredSnapshot } from './MoneySection.svelte';
	import { money } from '../layout/layout-words';
	import { priceRows } from './price-rows';

	interface Props {
		items: readonly StoredItem[];
		snapshots: readonly StoredSnapshot[];
		bankId: number;
		currency: string;
		dateStyle: Settings['dateStyle'];
	}
	let { items, snapshots, bankId, currency, dateStyle }: Props = $props();
	const asItems = (list: StoredSnapshot['items']): PlanItem[] =>
		list.map(({ unitPrice, shipping, ...rest }) => ({
			...rest,
			unitCents: Math.round(unitPrice * 100),
			shippingCents: Math.round(shipping * 100)
		}));
	const stored = $derived(
		items.map(({ priceBreaks, ...item }): PlanItem => ({
			...asItems([item])[0]!,
			breaks: (priceBreaks ?? []).map((b) => ({ from: b.from, unitCents: Math.round(b.unitPrice * 100) }))
		}))
	);
	const inOrder = $derived([...snapshots].sort((a, b) => b.takenAt.localeCompare(a.takenAt)));
	let chosen = $state<number | null>(null);
	const against = $derived(inOrder.find((s) => s.id === chosen) ?? inOrder[0] ?? null);
	const changed = $derived(against ? differences(asItems(against.items), stored) : []);
	const sign = (cents: number) => `${cents > 0 ? '+' : '−'}${money(Math.abs(cents) / 100, currency)}`;
	let pasted = $state('');
	const read = $derived(priceRows(pasted));

	async function keepToday() {
		const list = items.map(({ name, quantity, shipping, used }, i) => ({
			name,
			quantity,
			// What one costs at this quantity: the day's prices, not the ways to reach them.
			unitPrice: unitCentsAt(stored[i]!) / 100,
			shipping,
			used
		}));
		const body = { bankId, takenAt: new Date().toISOString(), items: list };
		if (!(await attempt(() => api.post('price-snapshots', body)))) return;
		announce('Today’s prices are kept.');
		await lookAgain();
	}
	async function putOn() {
		for (const row of read.rows)
			if (!(await attempt(() => api.post('plan-items', { ...row, bankId, used: false })))) break;
		pasted = '';
		await lookAgain();
	}
</script>

<div class="flex flex-wrap gap-2">
	<button class="btn tap" onclick={keepToday} disabled={items.length === 0}>Keep today’s prices</button>
	<a class="btn tap" href="/api/v1/banks/{bankId}/tables/plan-items.csv" download>The list as CSV</a>
</div>
{#if against}
	<div>
		<label
			><span class="field-label">Compared with</span>
			<select class="select tap" value={against.id} onchange={(e) => (chosen = Number(e.currentTarget.value))}>
				{#each inOrder as s (s.id)}<option value={s.id}>{formatDate(s.takenAt, dateStyle)}</option>{/each}
			</select></label
		>
		<ul class="mt-2 grid gap-1 sm:max-w-md">
			{#each changed as { name, beforeCents, afterCents } (name)}
				<li class="flex justify-between gap-3">
					<span
						>{name}
						<span class="muted">{beforeCents === 0 ? 'new' : afterCents === 0 ? 'off the list' : ''}</span></span
					><span class="figure">{sign(afterCents - beforeCents)}</span>
				</li>
			{:else}<li class="muted">Nothing has changed since.</li>{/each}
		</ul>
	</div>
{/if}
<details>
	<summary class="tap flex cursor-pointer items-center underline decoration-dotted underline-offset-4"
		>Paste a list</summary
	>
	<label
		><span class="field-label">Name, how many, price, shipping: a line each, from a spreadsheet</span>
		<textarea class="textarea w-full" rows="4" bind:value={pasted}></textarea></label
	>
	{#if read.unread.length}<p class="ember-text">
			{read.unread.length === 1 ? 'Line' : 'Lines'}
			{read.unread.join(', ')} could not be read and {read.unread.length === 1 ? 'stays' : 'stay'} out.
		</p>{/if}
	<button class="btn tap mt-2" disabled={read.rows.length === 0} onclick={putOn}
		>Put {read.rows.length} {read.rows.length === 1 ? 'line' : 'lines'} on the list</button
	>
</details>
